<?php

declare(strict_types=1);

namespace Kettle\Ask;

use Kettle\Decoction\BoilingPot;
use Kettle\Decoction\DecoctionException;
use Kettle\Decoction\Doneness;
use Kettle\Decoction\LevelLog;
use Kettle\Decoction\Solvents;
use Kettle\Material\Tables;
use Kettle\Reason\RefusedException;
use Kettle\Reason\Said;
use Kettle\Recipe\Fields;
use Kettle\Recipe\Kitchen;

/**
 * The questions asked at the pot: what its level says, whether it is done, and which solvent at all. Shapes:
 * docs/formats/reckon.schema.json.
 *
 * @phpstan-type Solvent array{id: string, name: string, takes: list<array{worth: string, name: string, takes: int}>, most: int, sum: int,
 *     fits: bool, keeps: string, how: string, mixes: string, planned: bool}
 */
final readonly class PotQuestions
{
    private const MOST_MARKS = 20_000;

    private BoilFields $fields;

    public function __construct(private Tables $tables, private Kitchen $kitchen)
    {
        $this->fields = new BoilFields($tables, $kitchen);
    }

    /**
     * @param  array<mixed>  $document marks, each {h, and mm, ml or g}; pot; end_mm, end_ml or end_g
     * @return array{marks: int, ml_per_hour: array{low: ?float, value: float, high: ?float}, left_ml: ?float, end_ml: ?float,
     *     ends_h: array{low: ?float, value: float, high: ?float}|null, more_h: array{low: ?float, value: float, high: ?float}|null,
     *     line: array{from_ml: float, now_ml: float}, points: list<array{h: float, ml: float}>}
     *
     * @throws RefusedException
     */
    public function level(array $document): array
    {
        $pot = $this->fields->pot($document);
        $marks = [];
        foreach (
            is_array($document['marks'] ?? null) ? array_slice(array_values($document['marks']), 0, self::MOST_MARKS) : [] as $i => $mark
        ) {
            $mark = is_array($mark) ? $mark : [];
            $marks[] = ['h' => (float) $this->fields->number($mark, 'h'), 'ml' => $this->stands($mark, '', $pot, "marks.{$i}")];
        }
        $log = LevelLog::of($marks, $pot);
        $rate = $log->rate();
        $rounded = fn (?float $h): ?float => $h === null ? null : round($h, 4);
        $endMl = $left = $ends = $more = null;
        if (array_filter(['end_mm', 'end_ml', 'end_g'], fn (string $key) => isset($document[$key])) !== []) {
            $endMl = $this->stands($document, 'end_', $pot, 'end');
            $left = max(0.0, round($log->at($log->lastH) - $endMl, 3));
            $end = $log->end($endMl);
            $on = fn (?float $h): ?float => $h === null ? null : round(max(0.0, $h - $log->lastH), 4);
            $ends = ['low' => $rounded($end['low']), 'value' => round($end['value'], 4), 'high' => $rounded($end['high'])];
            $more = ['low' => $on($end['low']), 'value' => (float) $on($end['value']), 'high' => $on($end['high'])];
        }

        return [
            'marks' => $log->marks,
            'ml_per_hour' => ['low' => $rounded($rate['low']), 'value' => round($rate['value'], 4), 'high' => $rounded($rate['high'])],
            'left_ml' => $left,
            'end_ml' => $endMl === null ? null : round($endMl, 3),
            'ends_h' => $ends,
            'more_h' => $more,
            'line' => ['from_ml' => round($log->startMl, 3), 'now_ml' => round($log->at($log->lastH), 3)],
            'points' => $marks,
        ];
    }

    /**
     * @param  array<mixed>  $document flame, froth, wick and senses, each of Doneness::SEEN or left out; fat
     * @return array{verdict: string, says: string, why: list<array{id: string, says: string}>, firmness: ?string, for: string}
     *
     * @throws RefusedException
     */
    public function done(array $document): array
    {
        $seen = [];
        foreach (array_keys(Doneness::SEEN) as $sign) {
            $seen[$sign] = Fields::text($document, $sign);
        }

        return $this->told(Doneness::of($seen, Fields::text($document, 'fat') ?? 'oil'));
    }

    /**
     * Whether it is done, in words.
     *
     * @return array{verdict: string, says: string, why: list<array{id: string, says: string}>, firmness: ?string, for: string}
     */
    public function told(Doneness $done): array
    {
        $say = fn (string $id): string => $this->kitchen->words()->of(Said::of("done.{$id}"));

        return [
            'verdict' => $done->verdict,
            'says' => $say($done->verdict),
            'why' => array_map(fn (string $id) => ['id' => $id, 'says' => $say($id)], $done->why),
            'firmness' => $done->firmness,
            'for' => $done->firmness === null ? '' : $say("firm-{$done->firmness}"),
        ];
    }

    /**
     * @param  array<mixed>  $document herb, use
     * @return array{herb: string, name: string, use: ?string, why: string, worths: list<array{id: string, name: string}>, oil: ?bool,
     *     says: string, solvents: list<Solvent>}
     *
     * @throws RefusedException
     */
    public function solvents(array $document): array
    {
        $herb = $this->kitchen->cupboard()->herb(Fields::text($document, 'herb') ?? '');
        $use = Fields::text($document, 'use');
        $solvents = new Solvents($this->tables);
        $rows = $solvents->for($herb->id, $use);
        $worths = $solvents->worthsOf($herb->id);
        $said = ['herb' => $herb->said()];

        return [
            'herb' => $herb->id,
            'name' => $herb->name,
            'use' => $use,
            'why' => $use === null ? '' : $solvents->use($use)->text('why'),
            'worths' => $worths,
            'oil' => $solvents->isAnOil($herb->id),
            'says' => $this->kitchen->words()->of(
                match ($solvents->isAnOil($herb->id)) {
                    null => Said::of('note.worth-unknown', $said),
                    true => Said::of('solvent.oil-takes', $said + ['worths' => implode(', ', self::taken($rows, 'oil'))]),
                    false => Said::of(
                        'note.oil-takes-little',
                        $said + [
                            'worths' => implode(', ', array_column($worths, 'name')),
                            'better' => ['solvent' => $solvents->best($herb->id)],
                        ],
                    ),
                },
            ),
            'solvents' => $rows,
        ];
    }

    /**
     * @param  list<Solvent>  $rows
     * @return list<string> what a solvent takes well
     */
    private static function taken(array $rows, string $id): array
    {
        $takes = array_column($rows, 'takes', 'id')[$id] ?? [];

        return array_column(array_filter($takes, fn (array $each) => $each['takes'] >= 2), 'name');
    }

    /**
     * What stands in the pot by one of a stick, a jug or a scale: a gram of water is a millilitre.
     *
     * @param  array<mixed>  $from
     *
     * @throws RefusedException
     */
    private function stands(array $from, string $prefix, ?BoilingPot $pot, string $field): float
    {
        $mm = $this->fields->number($from, "{$prefix}mm");
        if ($mm !== null) {
            return $pot === null ? throw DecoctionException::stickWithoutPot()->about('pot') : $pot->mlAt($mm);
        }

        return $this->fields->number($from, "{$prefix}ml") ??
            ($this->fields->number($from, "{$prefix}g") ?? throw DecoctionException::noLevel()->about($field));
    }
}
