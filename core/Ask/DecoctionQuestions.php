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
use Kettle\Material\HerbMix;
use Kettle\Material\HerbPart;
use Kettle\Material\Tables;
use Kettle\Measure\Kind;
use Kettle\Reason\Figure;
use Kettle\Reason\Note;
use Kettle\Reason\RefusedException;
use Kettle\Reason\Said;
use Kettle\Recipe\Fields;
use Kettle\Recipe\Kitchen;
use Kettle\Recipe\Planning;
use Kettle\Time\Interval;

/**
 * The questions of what is boiled down: decoctions, the long oil, and glycerin extracts. Shapes: docs/formats/reckon.schema.json.
 *
 * @phpstan-type Level array{starts_mm: float, ends_mm: float, over_mm: float, height_mm: float, diameter_mm: float, goes_in_ml: float,
 *     layers: list<array{of: string, ml: float, mm: float}>}
 *
 * @phpstan-import-type Told from BoilFields
 *
 * @phpstan-type Figures array<string, array<string, mixed>>
 * @phpstan-type Decoction array{hardness: string, keeps_days: int, figures: Figures, pot: Level|null, notes: list<Told>}
 * @phpstan-type Long array{stage: string, figures: Figures, stages: list<array{stage: string, liquid: string, pot: Level|null}>,
 *     hours: float, days: list<array{from: string, to: string}>, signs: list<array{id: string, says: string}>, notes: list<Told>}
 */
final readonly class DecoctionQuestions
{
    private const PLAIN_OIL = 'olive';

    private const STAGES = ['cleanse', 'cook', 'whole'];

    private BoilFields $fields;

    public function __construct(private Planning $planning, private Tables $tables, private Kitchen $kitchen)
    {
        $this->fields = new BoilFields($tables, $kitchen);
    }

    /**
     * @param  array<mixed>  $document hardness or herbs; one of want, water and herb; ml_per_hour or pot
     * @return Decoction
     *
     * @throws RefusedException
     */
    public function decoction(array $document): array
    {
        $mix = $this->fields->mix($document);
        $hardness = $this->fields->hardness($document, $mix);
        $made = $this->fields->decocted($document, $hardness, $mix['total'] ?? null);
        $pot = $this->fields->pot($document);
        $rate = $this->fields->rate($document, $pot, false);
        $days = (int) $this->tables->table('decoction')->row('keeps')->number('days');
        $notes = [
            ...$this->cautions($mix['mix'] ?? null, 'skin'),
            ...$this->aboutHerbs($mix['mix'] ?? null, $hardness),
            $this->fields->note('hard-water', 'note'),
            $this->fields->note('decoction-days', 'note', ['days' => $days]),
            $this->fields->note('flame', 'care'),
        ];

        return [
            'hardness' => $hardness->id,
            'keeps_days' => $days,
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
        $oil = $this->fields->longOil($document);
        $pot = $this->fields->pot($document);
        $hoursADay = $this->fields->number($document, 'hours_a_day');
        $cookedIn = $this->fields->liquid(Fields::text($document, 'liquid') ?? 'decoction');
        $rate = $this->fields->rate($document, $pot, true);
        $figures = $stages = [];
        $hours = 0.0;
        $froths = false;
        foreach ($stage === 'whole' ? ['cleanse', 'cook'] : [$stage] as $each) {
            $liquid = $each === 'cleanse' ? $this->fields->liquid('water') : $cookedIn;
            $froths = $froths || $liquid['froths'];
            $prefix = $stage === 'whole' ? "{$each}." : '';
            $found = $oil->figures($rate, $hoursADay, $liquid['id'], $prefix);
            $figures = [...$figures, ...$found];
            $hours += self::figure($found, "{$prefix}hours")->number();
            $stages[] = [
                'stage' => $each,
                'liquid' => $liquid['id'],
                'pot' => $pot === null
                        ? null
                        : $this->levels($pot, $liquid['froths'], $oil->goesInMl(), $oil->endsMl(), [
                            ['of' => 'paste', 'ml' => $oil->pasteMl()],
                            ['of' => 'liquid', 'ml' => $oil->liquidMl],
                            ['of' => 'oil', 'ml' => $oil->oilMl],
                        ]),
            ];
        }
        $purpose = Fields::text($document, 'purpose') ?? 'skin';
        $paste = RefusedException::at('paste_herbs', fn () => $this->fields->mix(['herbs' => $document['paste_herbs'] ?? []]));
        $told = $this->cautions($paste['mix'] ?? null, $purpose);
        $notes = [];
        if ($stage !== 'cleanse' && $cookedIn['id'] === 'decoction') {
            $decoct = is_array($document['decoct'] ?? null) ? $document['decoct'] : [];
            $mix = RefusedException::at('decoct.herbs', fn () => $this->fields->mix($decoct));
            $told = [...$told, ...$this->cautions($mix['mix'] ?? null, $purpose)];
            if ($mix !== null || Fields::text($decoct, 'hardness') !== null) {
                $hardness = $this->fields->hardness($decoct, $mix);
                $made = Decocted::wanted($hardness, $oil->liquidMl);
                $figures = [...$figures, ...$made->figures($this->fields->rate($document, $pot, false), 'decoction.')];
                $hours += self::figure($figures, 'decoction.hours')->number();
                $notes = $this->aboutHerbs($mix['mix'] ?? null, $hardness);
                [$boiled, $lots] = $this->decoctionStage($made, $pot);
                $stages = [$boiled, ...$stages];
                $notes = [...$lots === null ? [] : [$lots], ...$notes];
            }
        }
        $notes = [
            // What is told of both is told once.
            ...array_values(array_column($told, null, 'says')),
            ...$this->aboutFood($document, $stage === 'cleanse' || $cookedIn['food']),
            ...$this->aboutPot($pot, $oil->goesInMl()),
            $this->fields->note('flame', 'care'),
            ...$froths ? [$this->fields->note('froth', 'care')] : [],
            $this->fields->note('water-spits', 'care'),
            $this->fields->note('last-water', 'care'),
            $this->fields->note('metals', 'care'),
            ...$notes,
        ];

        return [
            'stage' => $stage,
            'figures' => $this->planning->figures($figures, $this->kitchen),
            'stages' => $stages,
            'hours' => round($hours, 3),
            'days' => $this->days($hours, $hoursADay),
            'signs' => $this->signs(),
            'notes' => $notes,
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
        $share = $this->fields->number($document, 'glycerin_share');
        $made = Glycerite::of(
            $this->fields->amount($document, 'total', Kind::Mass) ?? throw DecoctionException::amount('total'),
            $share !== null && $share > 1 ? $share / 100 : $share,
            $this->fields->amount($document, 'extract_now', Kind::Mass),
            $this->tables,
        );

        return [
            'share' => round($made->share, 4),
            'keeps_itself' => $made->keepsItself(),
            'figures' => $this->planning->figures(
                $made->figures($this->fields->rate($document, $this->fields->pot($document), false)),
                $this->kitchen,
            ),
            'notes' => [
                ...$this->cautions($this->fields->mix($document)['mix'] ?? null, 'skin'),
                ...$made->keepsItself()
                    ? []
                    : [$this->fields->note('glycerin-not-kept', 'stop', ['percent' => round($made->share * 100), 'days' => $made->days()])],
                $this->fields->note('glycerin-mixes', 'note'),
            ],
        ];
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

    /**
     * The decoction of a long oil, in the same pot; where its water does not fit into that, it is boiled in several lots.
     *
     * @return array{array{stage: string, liquid: string, pot: Level|null}, Told|null}
     */
    private function decoctionStage(Decocted $made, ?BoilingPot $pot): array
    {
        $stage = ['stage' => 'decoction', 'liquid' => 'water', 'pot' => null];
        if ($pot === null) {
            return [$stage, null];
        }
        $goesIn = $made->goesInMl($this->tables);
        $over = $pot->mlAt($pot->overMm(false, $this->tables));
        if ($goesIn > $over) {
            $lots = (int) ceil($goesIn / $over);

            return [
                $stage,
                $this->fields->note('decoction-lots', 'care', ['goes_in' => ['mL' => $goesIn], 'over' => ['mL' => $over], 'lots' => $lots]),
            ];
        }
        $herb = $made->herbMl($this->tables);
        $stage['pot'] = $this->levels($pot, false, $goesIn, $made->endMl + $herb, [
            ['of' => 'herb', 'ml' => $herb],
            ['of' => 'water', 'ml' => $made->waterMl],
        ]);

        return [$stage, null];
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

    /**
     * @return list<Told>
     */
    private function cautions(?HerbMix $mix, string $purpose): array
    {
        return array_map(
            fn (Note $note) => ['id' => $note->id, 'rank' => $note->rank, 'says' => $this->kitchen->words()->of($note->says)] +
                ($note->acknowledge ? ['must_read' => true] : []),
            $this->minded($mix, $purpose),
        );
    }

    /**
     * What is to be minded of the herbs, by the same rules as of an oil of them: what is deadly in oil is so in water.
     *
     * @return list<Note>
     */
    public function minded(?HerbMix $mix, string $purpose): array
    {
        if ($mix === null) {
            return [];
        }
        $held = $this->planning->cautions($this->asAnOil($mix, $purpose), $this->kitchen, 'bench');

        return array_values(array_filter($held, fn (Note $note) => $note->rank !== 'note'));
    }

    /**
     * What must, or should, stand on its label.
     *
     * @param  list<array<string, mixed>>  $herbs as a wish names them
     * @return list<array{must: bool, says: Said}>
     */
    public function labels(array $herbs, string $purpose): array
    {
        $mix = $this->fields->mix(['herbs' => $herbs])['mix'] ?? null;

        return $mix === null ? [] : $this->planning->labels($this->asAnOil($mix, $purpose), $this->kitchen);
    }

    /** @return array<string, mixed> a wish for an oil of which nothing is to be minded but its herbs */
    private function asAnOil(HerbMix $mix, string $purpose): array
    {
        return [
            'herbs' => array_map(
                fn (HerbPart $part) => ($part->plant->id === '' ? ['name' => $part->plant->name] : ['id' => $part->plant->id]) + [
                    'form' => $part->form->id,
                    'state' => 'dried',
                ],
                $mix->parts,
            ),
            'oils' => [self::PLAIN_OIL],
            'purpose' => $purpose,
            'finished' => ['amount' => '100 mL'],
            'before' => ['made' => $this->kitchen->today()->format('Y-m-d')],
        ];
    }

    /** @return list<Told> */
    private function aboutHerbs(?HerbMix $mix, Hardness $hardness): array
    {
        if ($mix === null) {
            return [];
        }
        $volatile = $this->tables->table('decoction')->texts('volatile');
        $scented = array_values(array_filter($mix->parts, fn (HerbPart $part) => in_array($part->plant->id, $volatile, true)));
        $softer = [];
        foreach ($this->fields->hardnesses($mix) as $i => $each) {
            $softer = [...$softer, ...$each->order < $hardness->order ? [$mix->parts[$i]] : []];
        }

        return [
            ...$softer === []
                ? []
                : [$this->fields->note('mixed-hardness', 'care', ['hardest' => $hardness->name, 'soft' => self::names($softer)])],
            ...$scented === [] ? [] : [$this->fields->note('volatile', 'care', ['herbs' => self::names($scented)])],
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
            : [$this->fields->note('pot-half', 'care', ['brim' => ['mL' => $pot->brimMl()], 'goes_in' => ['mL' => $goesInMl]])];
    }

    /**
     * @param  array<mixed>  $document
     * @param  bool  $food whether what it is cooked in is
     * @return list<Told>
     *
     * @throws RefusedException
     */
    private function aboutFood(array $document, bool $food): array
    {
        if ((Fields::text($document, 'purpose') ?? 'skin') !== 'kitchen') {
            return [];
        }
        $decoct = is_array($document['decoct'] ?? null) ? $document['decoct'] : [];
        $herbs = [];
        foreach ([['herbs' => $document['paste_herbs'] ?? []], $decoct] as $from) {
            $herbs = [...$herbs, ...$this->fields->mix($from)['mix']->parts ?? []];
        }
        $food = $food && $herbs !== [] && array_filter($herbs, fn (HerbPart $part) => ! $part->plant->kitchen) === [];

        return $food ? [] : [$this->fields->note('kitchen-not-food', 'stop')];
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
    private function signs(): array
    {
        return array_map(
            fn (string $sign) => ['id' => $sign, 'says' => $this->kitchen->words()->of(Said::of("done.sign-{$sign}"))],
            array_keys(Doneness::SEEN),
        );
    }
}
