<?php

namespace App\Pages\Press;

use App\Labels\LabelLayout;
use App\Labels\LabelSize;
use App\Responses\Batch\CautionView;
use App\Responses\Press\LabelLine;
use Kettle\Material\Tables;

/** Everything one kind of label is made of: what may stand on it, what does, and how it was set. */
final readonly class LabelOf
{
    /**
     * @param  array<string, array{string, bool}>  $fields name, and whether it is on where nobody chose, by id; in the order of weight
     * @param  array<string, string>  $texts by field
     * @param  array<string, mixed>|null  $set size, start, fields, names and words, as somebody set them
     * @param  list<CautionView>  $cautions
     * @param  'kitchen'|'skin'  $for
     * @param  int  $count labels to be printed
     * @param  string  $net net amount and number of the first of them; empty where none is filled
     * @param  string  $longest of the net amounts there will be; empty for none
     */
    public function __construct(
        public array $fields,
        public array $texts,
        private ?array $set,
        public array $cautions,
        public string $for,
        public bool $keptCold,
        public int $count,
        public string $net,
        public string $longest,
        public int $version,
    ) {}

    public function size(Tables $tables): LabelSize
    {
        return LabelSize::named(self::said($this->set, 'size', LabelSize::USUAL), $tables);
    }

    public function start(Tables $tables): int
    {
        $start = $this->set['start'] ?? 1;

        return is_int($start) ? max(1, min($start, $this->size($tables)->each())) : 1;
    }

    /** @return 'cook'|'inci' */
    public function names(): string
    {
        return self::said($this->set, 'names', 'cook') === 'inci' ? 'inci' : 'cook';
    }

    public function words(): string
    {
        return self::said($this->set, 'words', '');
    }

    public function withNet(): bool
    {
        return in_array('net', $this->on(), true);
    }

    /** @return list<string> fields that are on */
    public function on(): array
    {
        $fields = $this->set['fields'] ?? null;

        return is_array($fields)
            ? array_values(array_filter($fields, 'is_string'))
            : array_keys(array_filter($this->fields, fn (array $field) => $field[1]));
    }

    /** @return list<LabelLine> what stands on it */
    public function lines(): array
    {
        $on = $this->on();
        $lines = [];
        foreach ($this->texts as $id => $text) {
            if ($text !== '' && ($id === LabelLayout::MUST || in_array($id, $on, true)) && $id !== 'net') {
                $lines[] = new LabelLine($id, $text);
            }
        }

        return $lines;
    }

    /** @param  array<string, mixed>|null  $set */
    public static function said(?array $set, string $key, string $else): string
    {
        return is_string($set[$key] ?? null) ? $set[$key] : $else;
    }
}
