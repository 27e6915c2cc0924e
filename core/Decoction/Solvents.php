<?php

declare(strict_types=1);

namespace Kettle\Decoction;

use Kettle\Material\Row;
use Kettle\Material\Tables;

/** What each solvent takes from a plant, as far as the tables say what the plant is wanted for: coarse, nought to three. */
final readonly class Solvents
{
    /** From here on a solvent takes something worth the trouble. */
    private const WELL = 2;

    public function __construct(private Tables $tables) {}

    /** @return list<array{id: string, name: string}> what a plant is wanted for; empty where the tables do not say */
    public function worthsOf(string $herb): array
    {
        $ids = $this->table()->row('plants')->rowOrNull($herb)?->texts('worths') ?? [];

        return array_values(
            array_map(
                fn (Row $row) => ['id' => $row->text('id'), 'name' => $row->text('name')],
                array_filter($this->table()->rows('worths'), fn (Row $row) => in_array($row->text('id'), $ids, true)),
            ),
        );
    }

    /**
     * Every solvent for a plant and a use, the best first.
     *
     * @param  ?string  $use of uses(); null for any
     * @return list<array{id: string, name: string, takes: list<array{worth: string, name: string, takes: int}>, most: int, sum: int,
     *     fits: bool, keeps: string, how: string, mixes: string, planned: bool}>
     *
     * @throws DecoctionException
     */
    public function for(string $herb, ?string $use): array
    {
        $mixes = $use === null ? ['oil', 'water'] : $this->use($use)->texts('mixes');
        $worths = array_column($this->worthsOf($herb), 'name', 'id');
        $taken = [];
        foreach ($this->table()->rows('worths') as $row) {
            if (isset($worths[$row->text('id')])) {
                $taken[$row->text('id')] = $row->row('takes');
            }
        }
        $rows = [];
        foreach ($this->table()->rows('solvents') as $i => $row) {
            $takes = [];
            foreach ($taken as $worth => $by) {
                $takes[] = ['worth' => $worth, 'name' => $worths[$worth], 'takes' => (int) $by->number($row->text('id'))];
            }
            $each = array_column($takes, 'takes');
            $rows[] = [
                'id' => $row->text('id'),
                'name' => $row->text('name'),
                'takes' => $takes,
                'most' => $each === [] ? 0 : max($each),
                'sum' => (int) array_sum($each),
                'fits' => in_array($row->text('mixes'), $mixes, true),
                'keeps' => $row->text('keeps'),
                'how' => $row->text('how'),
                'mixes' => $row->text('mixes'),
                'planned' => $row->flag('planned'),
            ];
        }
        usort($rows, fn (array $a, array $b) => [$b['fits'], $b['sum'], $b['most']] <=> [$a['fits'], $a['sum'], $a['most']]);

        return $rows;
    }

    /** Whether an oil takes anything worth it from a plant; null where the tables do not say what it is wanted for. */
    public function isAnOil(string $herb): ?bool
    {
        $worths = array_column($this->worthsOf($herb), 'id');
        $takes = array_map(
            fn (Row $row) => $row->row('takes')->number('oil'),
            array_filter($this->table()->rows('worths'), fn (Row $row) => in_array($row->text('id'), $worths, true)),
        );

        return $takes === [] ? null : max($takes) >= self::WELL;
    }

    /** Id of the solvent that takes the most of a plant. */
    public function best(string $herb): string
    {
        $rows = $this->for($herb, null);

        return $rows === [] ? '' : $rows[0]['id'];
    }

    /** @return list<array{id: string, name: string, why: string}> */
    public function uses(): array
    {
        return array_values(
            array_map(
                fn (Row $row) => ['id' => $row->text('id'), 'name' => $row->text('name'), 'why' => $row->text('why')],
                $this->table()->rows('uses'),
            ),
        );
    }

    /** @throws DecoctionException */
    public function use(string $id): Row
    {
        foreach ($this->table()->rows('uses') as $row) {
            if ($row->text('id') === $id) {
                return $row;
            }
        }
        throw DecoctionException::use($id, array_column($this->uses(), 'id'));
    }

    private function table(): Row
    {
        return $this->tables->table('solvents');
    }
}
