<?php

declare(strict_types=1);

namespace Kettle\Ask;

use Kettle\Decoction\BoilDays;
use Kettle\Decoction\BoilingPot;
use Kettle\Decoction\Decocted;
use Kettle\Decoction\DecoctionException;
use Kettle\Decoction\Doneness;
use Kettle\Decoction\Glycerite;
use Kettle\Decoction\Hardness;
use Kettle\Decoction\LevelLog;
use Kettle\Decoction\LongOil;
use Kettle\Decoction\Rate;
use Kettle\Decoction\Solvents;
use Kettle\Material\HerbMix;
use Kettle\Material\HerbPart;
use Kettle\Material\Tables;
use Kettle\Measure\AmountException;
use Kettle\Measure\Kind;
use Kettle\Reason\Faults;
use Kettle\Reason\Figure;
use Kettle\Reason\RefusedException;
use Kettle\Reason\Said;
use Kettle\Recipe\Fields;
use Kettle\Recipe\HerbsReader;
use Kettle\Recipe\Kitchen;
use Kettle\Recipe\Planning;
use Kettle\Time\Interval;

/**
 * The questions of what is boiled down: decoctions, the long oil, the level in the pot, glycerin extracts, and which solvent at
 * all. Shapes: docs/formats/reckon.schema.json.
 *
 * @phpstan-type Level array{starts_mm: float, ends_mm: float, over_mm: float, height_mm: float, diameter_mm: float, goes_in_ml: float,
 *     layers: list<array{of: string, ml: float, mm: float}>}
 * @phpstan-type Told array{id: string, rank: string, says: string}
 * @phpstan-type Figures array<string, array<string, mixed>>
 * @phpstan-type Decoction array{hardness: string, keeps_days: int, figures: Figures, pot: Level|null, notes: list<Told>}
 * @phpstan-type Long array{stage: string, figures: Figures, stages: list<array{stage: string, liquid: string, pot: Level|null}>,
 *     hours: float, days: list<array{from: string, to: string}>, signs: list<array{id: string, says: string}>, notes: list<Told>}
 * @phpstan-type Solvent array{id: string, name: string, takes: list<array{worth: string, name: string, takes: int}>, most: int, sum: int,
 *     fits: bool, keeps: string, how: string, mixes: string, planned: bool}
 */
final readonly class DecoctionQuestions
{
    private const STAGES = ['cleanse', 'cook', 'whole'];

    private const MOST_MARKS = 20_000;

    public function __construct(private Planning $planning, private Tables $tables, private Kitchen $kitchen) {}

    /**
     * @param  array<mixed>  $document hardness or herbs; one of want, water and herb; ml_per_hour or pot
     * @return Decoction
     *
     * @throws RefusedException
     */
    public function decoction(array $document): array
    {
        $mix = $this->mix($document);
        $hardness = $this->hardness($document, $mix);
        $made = $this->made($document, $hardness, $mix['total'] ?? null);
        $pot = $this->pot($document);
        $rate = $this->rate($document, $pot, false);
        $notes = [
            ...$this->aboutHerbs($mix['mix'] ?? null, $hardness),
            $this->note('hard-water', 'note'),
            $this->note('decoction-days', 'note', ['days' => $this->tables->table('decoction')->row('keeps')->number('days')]),
            $this->note('flame', 'care'),
        ];

        return [
            'hardness' => $hardness->id,
            'keeps_days' => (int) $this->tables->table('decoction')->row('keeps')->number('days'),
            'figures' => $this->planning->figures([...$made->figures($rate), ...self::shares($mix['mix'] ?? null, $made)], $this->kitchen),
            'pot' => $pot === null
                    ? null
                    : $this->levels($pot, false, $made->goesInMl($this->tables), $made->endMl + $made->herbMl($this->tables), [
                        ['of' => 'herb', 'ml' => $made->herbMl($this->tables)],
                        ['of' => 'water', 'ml' => $made->waterMl],
                    ]),
            'notes' => [...$this->aboutPot($pot, $made->goesInMl($this->tables)), ...$notes],
        ];
    }

    /**
     * @param  array<mixed>  $document stage; one of oil, paste and decoction; liquid, ml_per_hour or pot, hours_a_day, from, purpose;
     *     paste, herbs of the paste; decoct, {hardness or herbs} of the decoction
     * @return Long
     *
     * @throws RefusedException
     */
    public function longOil(array $document): array
    {
        $stage = Fields::text($document, 'stage') ?? 'whole';
        if (! in_array($stage, self::STAGES, true)) {
            throw DecoctionException::stage($stage);
        }
        $oil = $this->oil($document);
        $pot = $this->pot($document);
        $hoursADay = $this->numberOrNull($document, 'hours_a_day');
        $figures = $stages = [];
        $hours = 0.0;
        foreach ($stage === 'whole' ? ['cleanse', 'cook'] : [$stage] as $each) {
            $liquid = $each === 'cleanse' ? 'water' : $this->liquid($document);
            $prefix = $stage === 'whole' ? "{$each}." : '';
            $found = $oil->figures($this->rate($document, $pot, true), $hoursADay, $liquid['id'] ?? 'water', $prefix);
            $figures = [...$figures, ...$found];
            $took = self::figure($found, "{$prefix}hours");
            $hours += $took->number();
            $stages[] = [
                'stage' => $each,
                'liquid' => $liquid['id'] ?? 'water',
                'pot' => $pot === null
                        ? null
                        : $this->levels($pot, $liquid['froths'] ?? false, $oil->goesInMl(), $oil->endsMl(), [
                            ['of' => 'paste', 'ml' => $oil->pasteMl()],
                            ['of' => 'liquid', 'ml' => $oil->liquidMl],
                            ['of' => 'oil', 'ml' => $oil->oilMl],
                        ]),
            ];
        }
        $notes = [];
        if ($stage !== 'cleanse' && $this->liquid($document)['id'] === 'decoction') {
            $decoct = is_array($document['decoct'] ?? null) ? $document['decoct'] : [];
            $mix = RefusedException::at('decoct.herbs', fn () => $this->mix($decoct));
            if ($mix !== null || Fields::text($decoct, 'hardness') !== null) {
                $hardness = $this->hardness($decoct, $mix);
                $made = Decocted::wanted($hardness, $oil->liquidMl);
                $rate = $this->rate($document, $pot, false);
                $figures = [...$figures, ...$made->figures($rate, 'decoction.')];
                $hours += self::figure($figures, 'decoction.hours')->number();
                $notes = $this->aboutHerbs($mix['mix'] ?? null, $hardness);
            }
        }
        $froths = array_filter($stages, fn (array $each) => $this->froths($each['liquid'])) !== [];
        $notes = [
            ...$this->aboutFood($document, $stage),
            ...$this->aboutPot($pot, $oil->goesInMl()),
            $this->note('flame', 'care'),
            ...$froths ? [$this->note('froth', 'care')] : [],
            $this->note('water-spits', 'care'),
            $this->note('last-water', 'care'),
            $this->note('metals', 'care'),
            ...$notes,
        ];

        return [
            'stage' => $stage,
            'figures' => $this->planning->figures($figures, $this->kitchen),
            'stages' => $stages,
            'hours' => round($hours, 3),
            'days' => $this->days($hours, $hoursADay),
            'signs' => self::signs(),
            'notes' => $notes,
        ];
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
        $pot = $this->pot($document);
        $marks = [];
        foreach (
            is_array($document['marks'] ?? null) ? array_slice(array_values($document['marks']), 0, self::MOST_MARKS) : [] as $i => $mark
        ) {
            $mark = is_array($mark) ? $mark : [];
            $marks[] = ['h' => (float) $this->numberOrNull($mark, 'h'), 'ml' => $this->stands($mark, '', $pot, "marks.{$i}")];
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
        $done = Doneness::of($seen, Fields::text($document, 'fat') ?? 'oil');
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
     * @param  array<mixed>  $document total, glycerin_share, extract_now, ml_per_hour or pot
     * @return array{share: float, keeps_itself: bool, figures: Figures, notes: list<Told>}
     *
     * @throws RefusedException
     */
    public function glycerin(array $document): array
    {
        $share = $this->numberOrNull($document, 'glycerin_share');
        $made = Glycerite::of(
            $this->amount($document, 'total', Kind::Mass) ?? throw DecoctionException::amount('total'),
            $share !== null && $share > 1 ? $share / 100 : $share,
            $this->amount($document, 'extract_now', Kind::Mass),
            $this->tables,
        );

        return [
            'share' => round($made->share, 4),
            'keeps_itself' => $made->keepsItself(),
            'figures' => $this->planning->figures($made->figures($this->rate($document, $this->pot($document), false)), $this->kitchen),
            'notes' => [
                ...$made->keepsItself()
                    ? []
                    : [$this->note('glycerin-not-kept', 'stop', ['percent' => round($made->share * 100), 'days' => $made->days()])],
                $this->note('glycerin-mixes', 'note'),
            ],
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
     * @param  array<mixed>  $document
     * @return array{mix: HerbMix, total: ?float}|null the herbs, and what they weigh where it is said
     *
     * @throws RefusedException
     */
    private function mix(array $document): ?array
    {
        $herbs = ['herbs' => $document['herbs'] ?? []];
        if ($herbs['herbs'] === []) {
            return null;
        }
        $faults = new Faults();
        $read = (new HerbsReader($this->kitchen->cupboard(), $this->kitchen))->read($herbs, $faults);
        $first = $faults->all()[0] ?? null;
        if ($read === null || $first !== null) {
            throw $first === null
                ? DecoctionException::noHerb()
                : new DecoctionException($first['reason'], $first['sentence'], $first['field']);
        }

        return ['mix' => $read['mix'], 'total' => $read['total']?->value];
    }

    /**
     * @param  array<mixed>  $document
     * @param  array{mix: HerbMix, total: ?float}|null  $mix
     *
     * @throws DecoctionException
     */
    private function hardness(array $document, ?array $mix): Hardness
    {
        $said = Fields::text($document, 'hardness');
        if ($said !== null) {
            return Hardness::named($said, $this->tables);
        }
        if ($mix === null) {
            throw DecoctionException::noHerb();
        }

        return Hardness::hardest($this->hardnesses($mix['mix']));
    }

    /**
     * @return non-empty-list<Hardness>
     *
     * @throws DecoctionException
     */
    private function hardnesses(HerbMix $mix): array
    {
        return array_map(fn (HerbPart $part) => Hardness::ofForm($part->form->id, $part->form->name, $this->tables), $mix->parts);
    }

    /**
     * @param  array<mixed>  $document
     *
     * @throws RefusedException
     */
    private function made(array $document, Hardness $hardness, ?float $weighedG): Decocted
    {
        $want = $this->amount($document, 'want', Kind::Volume);
        $water = $this->amount($document, 'water', Kind::Volume);
        $herb = $this->amount($document, 'herb', Kind::Mass) ?? $weighedG;
        if (count(array_filter([$want, $water, $herb], fn (?float $each) => $each !== null)) !== 1) {
            throw DecoctionException::oneAmount('how much decoction, how much water, or how much herb');
        }

        return match (true) {
            $want !== null => Decocted::wanted($hardness, $want),
            $water !== null => Decocted::ofWater($hardness, $water),
            default => Decocted::ofHerb($hardness, (float) $herb),
        };
    }

    /**
     * @param  array<mixed>  $document
     *
     * @throws RefusedException
     */
    private function oil(array $document): LongOil
    {
        $given = array_filter(
            [
                'oil' => $this->amount($document, 'oil', Kind::Volume),
                'paste' => $this->amount($document, 'paste', Kind::Mass),
                'liquid' => $this->amount($document, 'decoction', Kind::Volume),
            ],
            fn (?float $amount) => $amount !== null,
        );
        if (count($given) !== 1) {
            throw DecoctionException::oneAmount('how much oil, how much paste, or how much decoction');
        }
        $known = array_key_first($given);

        return LongOil::of($known, $given[$known], $this->tables);
    }

    /**
     * @param  array<mixed>  $document
     * @return array{id: string, name: string, froths: bool, food: bool}
     *
     * @throws DecoctionException
     */
    private function liquid(array $document): array
    {
        $id = Fields::text($document, 'liquid') ?? 'decoction';
        $known = [];
        foreach ($this->tables->table('decoction')->rows('liquids') as $row) {
            $known[] = $row->text('id');
            if ($row->text('id') === $id) {
                return ['id' => $id, 'name' => $row->text('name'), 'froths' => $row->flag('froths'), 'food' => $row->flag('food')];
            }
        }
        throw DecoctionException::liquid($id, $known);
    }

    /** @throws DecoctionException */
    private function froths(string $liquid): bool
    {
        return $this->liquid(['liquid' => $liquid])['froths'];
    }

    /**
     * @param  array<mixed>  $document
     *
     * @throws DecoctionException
     */
    private function pot(array $document): ?BoilingPot
    {
        $pot = $document['pot'] ?? null;

        return is_array($pot)
            ? BoilingPot::measured((float) $this->numberOrNull($pot, 'diameter_mm'), (float) $this->numberOrNull($pot, 'height_mm'))
            : null;
    }

    /**
     * As it was said, else of the pot's width, else the usual.
     *
     * @param  array<mixed>  $document
     *
     * @throws DecoctionException
     */
    private function rate(array $document, ?BoilingPot $pot, bool $underOil): Rate
    {
        $said = $this->numberOrNull($document, 'ml_per_hour');
        if ($said !== null) {
            return Rate::said($said);
        }
        if ($pot === null) {
            return Rate::usual($this->tables);
        }
        $at = $this->tables->table('decoction');
        [$low, $high] = $underOil
            ? [$at->row('long_oil')->number('low_c'), $at->row('long_oil')->number('high_c')]
            : [$at->row('decoct_c')->number('low'), $at->row('decoct_c')->number('high')];

        return Rate::ofPot($pot, $low, $high, $this->kitchen->roomC, $underOil, $this->tables);
    }

    /**
     * The pot to scale: refused where it would boil over before it begins.
     *
     * @param  list<array{of: string, ml: float}>  $layers from the bottom
     * @return Level
     *
     * @throws DecoctionException
     */
    private function levels(BoilingPot $pot, bool $froths, float $goesInMl, float $endsMl, array $layers): array
    {
        $writer = $this->kitchen->writer();
        $plain = fn (float $ml): string => $writer->plain($ml, Kind::Volume);
        if ($goesInMl > $pot->brimMl()) {
            throw DecoctionException::smallerThanWater($plain($goesInMl), $plain($pot->brimMl()));
        }
        $over = $pot->overMm($froths, $this->tables);
        if ($pot->levelMm($goesInMl) > $over) {
            throw DecoctionException::tooSmall($plain($goesInMl), $plain($pot->mlAt($over)));
        }

        return [
            'starts_mm' => round($pot->levelMm($goesInMl), 1),
            'ends_mm' => round($pot->levelMm($endsMl), 1),
            'over_mm' => round($over, 1),
            'height_mm' => $pot->heightMm,
            'diameter_mm' => $pot->diameterMm,
            'goes_in_ml' => round($goesInMl, 1),
            'layers' => array_map(fn (array $layer) => $layer + ['mm' => round($pot->levelMm($layer['ml']), 1)], $layers),
        ];
    }

    /** @return list<array{from: string, to: string}> days with somebody at home; about eight hours each where nobody said */
    private function days(float $hours, ?float $hoursADay): array
    {
        $row = $this->tables->table('decoction')->row('long_oil');

        return array_map(
            fn (Interval $session) => $session->toArray(),
            BoilDays::lay(
                $hours,
                $hoursADay ?? ($row->number('least_h') + $row->number('most_h')) / 2,
                $this->kitchen->now,
                $this->kitchen->waking,
            ),
        );
    }

    /** @return list<Told> */
    private function aboutHerbs(?HerbMix $mix, Hardness $hardness): array
    {
        if ($mix === null) {
            return [];
        }
        $volatile = $this->tables->table('decoction')->texts('volatile');
        $scented = array_values(array_filter($mix->parts, fn (HerbPart $part) => in_array($part->plant->id, $volatile, true)));
        $softer = array_values(
            array_filter(
                $mix->parts,
                fn (HerbPart $part) => Hardness::ofForm($part->form->id, $part->form->name, $this->tables)->order < $hardness->order,
            ),
        );

        return [
            ...$softer === []
                ? []
                : [$this->note('mixed-hardness', 'care', ['hardest' => $hardness->name, 'soft' => self::names($softer)])],
            ...$scented === [] ? [] : [$this->note('volatile', 'care', ['herbs' => self::names($scented)])],
        ];
    }

    /**
     * @param  list<HerbPart>  $parts
     * @return array{all: list<Said>}
     */
    private static function names(array $parts): array
    {
        return ['all' => array_map(fn (HerbPart $part) => Said::just($part->plant->said()), $parts)];
    }

    /** @return list<Told> */
    private function aboutPot(?BoilingPot $pot, float $goesInMl): array
    {
        $times = $this->tables->table('decoction')->row('pot')->number('least_times');

        return $pot === null || $pot->brimMl() >= $times * $goesInMl
            ? []
            : [$this->note('pot-half', 'care', ['brim' => ['mL' => $pot->brimMl()], 'goes_in' => ['mL' => $goesInMl]])];
    }

    /**
     * @param  array<mixed>  $document
     * @return list<Told>
     *
     * @throws RefusedException
     */
    private function aboutFood(array $document, string $stage): array
    {
        if ((Fields::text($document, 'purpose') ?? 'skin') !== 'kitchen') {
            return [];
        }
        $decoct = is_array($document['decoct'] ?? null) ? $document['decoct'] : [];
        $herbs = [];
        foreach (['paste_herbs' => ['herbs' => $document['paste_herbs'] ?? null], 'decoct' => $decoct] as $from) {
            $herbs = [...$herbs, ...$this->mix($from)['mix']->parts ?? []];
        }
        $food = $herbs !== [] && array_filter($herbs, fn (HerbPart $part) => ! $part->plant->kitchen) === [];

        return $food && ($stage === 'cleanse' || $this->liquid($document)['food']) ? [] : [$this->note('kitchen-not-food', 'stop')];
    }

    /** @return list<Figure> what of each herb, where there are several */
    private static function shares(?HerbMix $mix, Decocted $made): array
    {
        if ($mix === null || $mix->isSingle()) {
            return [];
        }
        $figures = [];
        foreach ($mix->shares() as $i => $share) {
            $figures[] = Figure::exactly("herb_mass.{$i}", $made->herbG * $share, 'g');
        }

        return $figures;
    }

    /** @param  list<Figure>  $figures */
    private static function figure(array $figures, string $id): Figure
    {
        foreach ($figures as $figure) {
            if ($figure->id === $id) {
                return $figure;
            }
        }
        throw new \LogicException("There is no figure {$id}.");
    }

    /** @return list<array{id: string, says: string}> by which the oil is told to be done: all four */
    private static function signs(): array
    {
        return [
            ['id' => 'flame', 'says' => 'A little paste held in a flame does not crackle'],
            ['id' => 'froth', 'says' => 'Froth stands on the oil; on butterfat it has gone'],
            ['id' => 'wick', 'says' => 'The paste rolls between the fingers into a wick'],
            ['id' => 'senses', 'says' => 'Smell and colour are as they should be'],
        ];
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
        $mm = $this->numberOrNull($from, "{$prefix}mm");
        if ($mm !== null) {
            return $pot === null ? throw DecoctionException::stickWithoutPot()->about('pot') : $pot->mlAt($mm);
        }

        return $this->numberOrNull($from, "{$prefix}ml") ??
            ($this->numberOrNull($from, "{$prefix}g") ?? throw DecoctionException::noLevel()->about($field));
    }

    /**
     * @param  array<mixed>  $document
     *
     * @throws RefusedException
     */
    private function amount(array $document, string $field, Kind $kind): ?float
    {
        $typed = Fields::text($document, $field);

        try {
            return $typed === null ? null : $this->kitchen->reader()->read($typed, $kind, $kind === Kind::Mass ? 'g' : 'mL')->value;
        } catch (AmountException $refused) {
            throw $refused->about($field);
        }
    }

    /** @param  array<mixed>  $document */
    private function numberOrNull(array $document, string $field): ?float
    {
        $value = $document[$field] ?? null;

        return is_numeric($value) ? (float) $value : null;
    }

    /**
     * @param  'stop'|'care'|'note'  $rank
     * @param  array<string, mixed>  $with
     * @return Told
     */
    private function note(string $id, string $rank, array $with = []): array
    {
        return ['id' => $id, 'rank' => $rank, 'says' => $this->kitchen->words()->of(Said::of("note.{$id}", $with))];
    }
}
