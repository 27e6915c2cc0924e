<?php

declare(strict_types=1);

namespace Kettle\Batch;

use Kettle\Batch\Line\Strained;
use Kettle\Batch\Line\TaskLine;
use Kettle\Diary\Progress;
use Kettle\Infusion\Method;
use Kettle\Material\Carrier;
use Kettle\Material\Cupboard;
use Kettle\Material\Herb;
use Kettle\Material\HerbForm;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Measure\Ratio;
use Kettle\Recipe\Kitchen;
use Kettle\Stores\Condition;
use Kettle\Stores\Lot;
use Kettle\Stores\LotKind;

/** What the records of a batch say for and against each fault: by fact (data/faults.json), the words it is said with. */
final readonly class Evidence
{
    /** An oil of this oxidisability or more takes up oxygen readily: between olive, about 2, and grapeseed, about 7. From memory. */
    private const POLY_FROM = 4.0;

    /** Sets, or clouds, in a refrigerator, degrees C. */
    private const COLD_C = 10.0;

    /** A room is cool below, degrees C. */
    private const COOL_ROOM_C = 15.0;

    /** Oil over the herb is thin below, mm. Common practice, no source. */
    private const THIN_MM = 15.0;

    /** Fewer hours at warmth than this share of the planned are too few. */
    private const ENOUGH = 0.85;

    /** Strained so many days late, or early, it shows. */
    private const LATE_DAYS = 7;

    private const EARLY_DAYS = 3;

    /** Bottled so soon after straining, h, it had not settled. */
    private const SETTLES_H = 20;

    public function __construct(private Kitchen $kitchen, private Cupboard $cupboard) {}

    /** @return array<string, array<string, string>> */
    public function ofTheHerb(FrozenPlan $plan, Logbook $log): array
    {
        $wet = $plan->state->isWet();
        $forms = array_values(
            array_filter(array_map(fn (PlannedHerb $herb): ?HerbForm => $this->cupboard->forms()[$herb->form] ?? null, $plan->herbs)),
        );
        $form = fn (\Closure $is): ?array => ($found = array_values(array_filter($forms, $is))) === [] ? null : ['form' => $found[0]->name];
        $mucilage = array_values(array_filter($plan->plants($this->cupboard), fn (Herb $herb) => $herb->has(Herb::MUCILAGE)));
        $seen = array_merge([], ...array_map(fn (TaskLine $line) => $line->seen, $log->all(TaskLine::class)));
        $strained = $log->last(Strained::class);
        $way = $strained->way ?? $plan->way;
        $cover = $plan->figureOrNull('cover');

        return self::those([
            'wet-herb' => $wet ? ['state' => $plan->state->value] : null,
            'dry-herb' => $wet ? null : [],
            'squeezed-wet' => $wet && $way !== 'drained' ? ['way' => $way] : null,
            'drained' => $way === 'drained' ? [] : null,
            'pressed' => $way === 'pressed' ? [] : null,
            'powder' => $form(fn (HerbForm $form) => $form->traits->powder) === null ? null : [],
            'woody' => $form(fn (HerbForm $form) => $form->traits->woody),
            'fluffy' => $form(fn (HerbForm $form) => $form->traits->fluffy),
            'mucilage' => $mucilage === [] ? null : ['mucilage' => $mucilage[0]->note],
            'lean' => preg_match('/1:(\d+(?:\.\d+)?)/', $plan->ratio, $m) === 1 && (float) $m[1] > Ratio::LEAN ? ['ratio' => $m[0]] : null,
            'thin-cover' => $cover !== null && $cover < self::THIN_MM ? ['cover' => AmountWriter::plain($cover, Kind::Length)] : null,
            'herb-above-seen' => in_array(TaskLine::HERB_ABOVE, $seen, true) ? [] : null,
            'drops-seen' => in_array(TaskLine::DROPS_WIPED, $seen, true) ? [] : null,
            'not-weighed' => $strained !== null && ! $strained->weighed ? [] : null,
        ]);
    }

    /** @return array<string, array<string, string>> */
    public function ofTheOils(FrozenPlan $plan, StoredAs $as, string $purpose): array
    {
        $roomC = $this->kitchen->roomC;
        $carriers = array_map(fn (array $oil): Carrier => $oil['carrier'], $plan->blend($this->cupboard)->shares());
        $first = fn (\Closure $is): ?Carrier => array_values(array_filter($carriers, $is))[0] ?? null;
        $hard = $first(fn (Carrier $oil) => $oil->setsBelowC > $roomC);
        $clouds = $first(fn (Carrier $oil) => $oil->setsBelowC > 0 && $oil->setsBelowC <= $roomC);
        $poly = $first(fn (Carrier $oil) => ($oil->oxidisability() ?? 0) >= self::POLY_FROM);

        $loses = (string) round($poly?->oxidisability() ?? 0, 1);

        return self::those([
            'hard-fat' => $hard === null ? null : ['hard' => ucfirst($hard->name)],
            'clouds-cold' => $clouds === null ? null : ['clouds' => ucfirst($clouds->name)],
            'liquid-warm' => $hard === null ? ['room' => $this->kitchen->warmth($roomC)] : null,
            'liquid-cold' => $first(fn (Carrier $oil) => $oil->setsBelowC > self::COLD_C) === null && $clouds === null ? [] : null,
            'poly-oil' => $poly === null ? null : ['poly' => ucfirst($poly->name), 'oxidisability' => $loses],
            'cold-place' => $as->place === 'fridge' ? [] : null,
            'warm-place' => $as->place === 'warm' ? [] : null,
            'clear-glass' => $as->glass === 'clear' ? [] : null,
            'kitchen' => $purpose === 'kitchen' ? [] : null,
            'cool-room' => $roomC < self::COOL_ROOM_C ? ['room' => $this->kitchen->warmth($roomC)] : null,
        ]);
    }

    /**
     * @param  ?string  $over how far and how long over its ceiling, as the Stove has it
     * @return array<string, array<string, string>>
     */
    public function ofTheWarmth(FrozenPlan $plan, Method $method, Progress $progress, ?string $over): array
    {
        $planned = $plan->method->hours;
        $had = $progress->warmed->hours();
        $overWater = $method->has(Method::IN_WATER) ? [] : null;

        return self::those([
            'over-ceiling' => $over === null ? null : ['over' => lcfirst($over)],
            'under-warm' => $method->heated && $progress->strainedAt !== null && $had < self::ENOUGH * $planned
                    ? ['had' => AmountWriter::clockSpan($had), 'hours' => AmountWriter::span($planned)]
                    : null,
            'cold-method' => $method->heated ? null : [],
            'steam' => $overWater,
            'in-water' => $overWater,
            'flame' => $method->has(Method::OVER_FLAME) ? [] : null,
            'short' => $planned > 0 && $planned < $method->variants[0]->usualH ? ['hours' => AmountWriter::span($planned)] : null,
        ]);
    }

    /**
     * @param  bool  $airy whether a bottle is more than half empty
     * @return array<string, array<string, string>>
     */
    public function ofTheDays(
        FrozenPlan $plan,
        Lateness $late,
        ?\DateTimeImmutable $strainedAt,
        ?\DateTimeImmutable $bottledAt,
        bool $airy,
    ): array {
        $over = $late->strainDaysLate();
        $early = $strainedAt === null ? 0 : (int) round($plan->method->hours / 24) - $late->daysOnHerb();

        return self::those([
            'overdue' => $over > self::LATE_DAYS ? ['over' => (string) $over] : null,
            'cut-short' => ! $plan->method->heated && $early > self::EARLY_DAYS ? ['early' => (string) $early] : null,
            'not-settled' => $bottledAt !== null &&
                $strainedAt !== null &&
                $bottledAt->getTimestamp() - $strainedAt->getTimestamp() < self::SETTLES_H * 3600
                    ? []
                    : null,
            'headspace' => $airy ? [] : null,
            'past-best' => $late->isPastBest() ? [] : null,
            'past-use' => $late->isPastUse() ? [] : null,
        ]);
    }

    /**
     * What was known of its lots when they were used.
     *
     * @param  list<array{lot: Lot, at: \DateTimeImmutable, checked: bool}>  $used in order; whether anybody ever looked at it
     * @return array<string, array<string, string>>
     */
    public function ofTheLots(array $used): array
    {
        $facts = ['herb-aged' => null, 'oil-aged' => null, 'old-lot' => null, 'herb-never-checked' => null];
        foreach ($used as ['lot' => $lot, 'at' => $at, 'checked' => $checked]) {
            // As it stood on that day; a verdict given since says nothing of then, but is all there is to say.
            $condition = Condition::of($lot, $at->setTime(0, 0), $this->cupboard);
            $aged = $condition->is === Condition::SOUND ? null : ['why' => lcfirst($this->kitchen->words()->of($condition->reasons[0]))];
            if ($lot->kind === LotKind::Herb) {
                $facts['herb-aged'] ??= $aged;
                $facts['herb-never-checked'] ??= $checked ? null : [];
            } elseif ($lot->kind === LotKind::Carrier) {
                $facts['oil-aged'] ??= $aged;
                $facts['old-lot'] ??= $condition->is === Condition::PAST ? [] : null;
            }
        }

        return self::those($facts);
    }

    /**
     * @param  array<string, array<string, string>|null>  $facts
     * @return array<string, array<string, string>>
     */
    private static function those(array $facts): array
    {
        return array_filter($facts, fn (?array $words) => $words !== null);
    }
}
