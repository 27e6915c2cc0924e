<?php

namespace App\Labels;

use App\Responses\Press\LabelSize as LabelSizeShape;
use Kettle\Material\Row;
use Kettle\Material\Tables;

/** A sheet, roll or tag of labels, mm from the paper's own edges. */
final readonly class LabelSize
{
    public const USUAL = 'a4-3x7';

    public const TAG = 'tag';

    /** @param  'roll'|'sheet'|'tag'  $paper */
    private function __construct(
        public string $id,
        public string $name,
        public string $paper,
        public float $pageW,
        public float $pageH,
        public float $w,
        public float $h,
        public int $columns,
        public int $rows,
        public float $left,
        public float $top,
        public float $gapX,
        public float $gapY,
        public bool $round,
    ) {}

    /** @return array<string, self> by id */
    public static function all(Tables $tables): array
    {
        $all = [];
        foreach ($tables->table('labels')->rows('rows') as $row) {
            $all[$row->text('id')] = self::fromRow($row);
        }

        return $all;
    }

    /** @throws LabelException */
    public static function named(string $id, Tables $tables): self
    {
        return self::all($tables)[$id] ?? throw LabelException::size($id);
    }

    private static function fromRow(Row $row): self
    {
        return new self(
            $row->text('id'),
            $row->text('name'),
            $row->oneOf('paper', ['roll', 'sheet', 'tag']),
            $row->number('page_w'),
            $row->number('page_h'),
            $row->number('w'),
            $row->number('h'),
            (int) $row->number('columns'),
            (int) $row->number('rows'),
            $row->number('left'),
            $row->number('top'),
            $row->number('gap_x'),
            $row->number('gap_y'),
            $row->flag('round'),
        );
    }

    public function each(): int
    {
        return $this->columns * $this->rows;
    }

    /** @return array{float, float} where a label's corner lies, counted from 0 along the rows */
    public function at(int $place): array
    {
        return [
            $this->left + ($place % $this->columns) * ($this->w + $this->gapX),
            $this->top + intdiv($place, $this->columns) * ($this->h + $this->gapY),
        ];
    }

    public function shape(): LabelSizeShape
    {
        return new LabelSizeShape($this->id, $this->name, $this->paper, $this->w, $this->h, $this->columns, $this->rows, $this->round);
    }
}
