<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Material\Heed;
use Kettle\Material\HerbPart;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Reason\Figure;
use Kettle\Reason\Note;
use Kettle\Reason\Reason;
use Kettle\Reason\Said;
use Kettle\Reason\Wording;
use Kettle\Time\Dates;
use Kettle\Time\Interval;
use Kettle\Vessel\Jar;

/**
 * Writes a plan as the document of docs/formats/plan.schema.json, the same for the Bench and for `kettle reckon`: plain
 * arrays, every figure in words as well as in numbers. It is made in two steps. The record has numbers, codes and sentences
 * as they are kept, and is what a batch keeps of its plan; told, it is in one cook's words.
 */
final readonly class PlanDocument
{
    private AmountWriter $writer;

    private Words $words;

    public function __construct(private Wording $wording, private Kitchen $kitchen)
    {
        $this->writer = $kitchen->writer();
        $this->words = $kitchen->words();
    }

    /** @return array<string, mixed> */
    public function of(Plan $plan): array
    {
        return $this->told($this->record($plan));
    }

    /**
     * A record in this cook's words.
     *
     * @param  array<mixed>  $record of this plan, or of one kept earlier
     * @return array<string, mixed>
     */
    public function told(array $record): array
    {
        $figures = is_array($record['figures'] ?? null) ? $record['figures'] : [];
        $told = $this->words->tell(['figures' => []] + $record);
        $told['figures'] = array_map($this->toldFigure(...), array_filter($figures, is_array(...)));
        if (is_array($record['schedule'] ?? null)) {
            $heated = is_array($record['method'] ?? null) && ($record['method']['heated'] ?? false) === true;
            $told['schedule'] = ['says' => $this->days($record['schedule'], $heated)] + $record['schedule'];
        }

        // In the document's own order, whatever is told in its place.
        return array_replace(array_intersect_key($told, $record), $told);
    }

    /**
     * @param  array<mixed>  $schedule
     * @return array{begin: string, settled: string, warm: list<string>} in words; with their hours where it is warmed
     */
    private function days(array $schedule, bool $heated): array
    {
        $say = fn (mixed $moment, string $as): string => is_string($moment) ? Dates::say($moment, $as) : '';
        $warm = [];
        foreach (is_array($schedule['sessions'] ?? null) ? $schedule['sessions'] : [] as $session) {
            [$from, $to] = is_array($session) ? [$session['from'] ?? '', $session['to'] ?? ''] : ['', ''];
            // The day is said once, where it ends on the day it began.
            $sameDay = $say($from, 'short_weekday') === $say($to, 'short_weekday');
            $warm[] = $this->words->of(
                Said::of('schedule.from-to', ['from' => $say($from, 'moment'), 'to' => $say($to, $sameDay ? 'clock' : 'moment')]),
            );
        }
        $as = $heated ? 'moment' : 'short_weekday';

        return ['begin' => $say($schedule['fill_at'] ?? '', $as), 'settled' => $say($schedule['settled_at'] ?? '', $as), 'warm' => $warm];
    }

    /** @return array<string, mixed> numbers, codes, and sentences as they are kept */
    public function record(Plan $plan): array
    {
        $wish = $plan->wish;
        $levels = $plan->amounts->levels;
        $times = $plan->timetable;

        $wayKnown = $wish->asked->before->wayKnown ?? true;

        return [
            'name' => $plan->name(),
            'sentence' => $plan->sentence,
            'sentence_text' => $plan->sentenceText(),
            'figures' => $this->asTyped(array_map(self::figureRecord(...), $plan->figures), $wish),
            'herb' => self::herb($wish->mix->first(), 1.0) + ['mix' => Said::just($wish->mix->said())],
            'herbs' => array_map(
                fn (int $i, float $share) => self::herb($wish->mix->parts[$i], $share),
                array_keys($wish->mix->shares()),
                $wish->mix->shares(),
            ),
            'oils' => array_map(
                fn (array $oil) => [
                    'id' => $oil['carrier']->id,
                    'name' => Said::just($oil['carrier']->said()),
                    'inci' => $oil['carrier']->names->inci,
                    'share' => round($oil['share'], 6),
                    'allergens' => $oil['carrier']->food->allergens,
                ],
                $wish->blend->shares(),
            ),
            'ratio' => $plan->amounts->ratio->text(),
            'basis' => $wish->sizing->basis,
            'way' => $wish->practice->way,
            ...$wish->asked->heeds === [] ? [] : ['heed' => array_map(fn (Heed $heed) => $heed->id, $wish->asked->heeds)],
            ...$wish->asked->before === null ? [] : ['before' => $wish->asked->before->toArray()],
            ...$wish->isGuessed() ? ['guessed' => true] : [],
            ...$wish->asked->inOil === null ? [] : ['in_oil' => $wish->asked->inOil->record()],
            'strained_twice' => $wish->practice->strainedTwice,
            ...$wish->practice->strained ? [] : ['strained' => false],
            'state' => $wish->mix->state->value,
            'purpose' => $wish->purpose,
            'kept' => $wish->storage(),
            'uptake_key' => $wish->mix->uptakeKey(),
            'dry_g' => round($plan->amounts->dryG($wish), 3),
            'jar' => [
                'id' => $levels->jar->id,
                'called' => $levels->jar->called,
                'count' => $plan->amounts->jars,
                'each' => $plan->amounts->jars === 1
                        ? null
                        : Said::of('plan.in-each', [
                            'herb' => ['g' => $plan->amounts->herbG / $plan->amounts->jars],
                            'oil' => ['mL' => $plan->amounts->oilMl / $plan->amounts->jars],
                        ]),
                'brim_ml' => $levels->jar->brimMl,
                'height_mm' => $levels->jar->heightMm,
                'diameter_mm' => round($levels->jar->diameterMm(), 1),
                'kind' => $levels->jar->kind,
                'dry_fill_mm' => round($levels->dryFillMm, 1),
                'bed_mm' => round($levels->bedMm, 1),
                'level_mm' => round($levels->levelMm, 1),
                'marks' => $this->marks($plan),
            ],
            'method' => [
                'id' => $wish->method->id,
                'name' => $wayKnown ? Said::just(['method' => $wish->method->id]) : Said::of('plan.way-unknown'),
                'heated' => $wish->method->heated,
                'school' => $wish->variant->id,
                'school_name' => $wayKnown ? Said::just(['school' => [$wish->method->id, $wish->variant->id]]) : '',
                'hours' => $wish->variant->usualH,
                'stands_h' => $wish->standsH(),
                'cooled_open' => $wish->practice->cooledOpen,
                'target_c' => $wish->variant->targetC,
                'ceiling_c' => $wish->variant->ceilingC,
                'handling' => $wish->method->handlingFor($wish->mix),
                'attended' => $wish->practised()->tending->attended,
                'shake_every_h' => $wish->practised()->tending->shakeEveryH,
                'soak_h' => $wish->soakH(),
                'settles' => ! $wish->sets(),
                'traits' => $wish->method->traits,
                'water' => $wish->method->warming->water,
                'warm_up_min' => isset($plan->figures['warm_up']) ? (int) $plan->figures['warm_up']->number() : 0,
                'load' => $plan->load->toArray(),
            ],
            'schedule' => [
                'fill_at' => $times->fillAt->format(DATE_ATOM),
                'sessions' => array_map(fn (Interval $s) => $s->toArray(), $times->sessions),
                'strain_at' => $times->strainAt->format(DATE_ATOM),
                'settled_at' => $times->settledAt->format(DATE_ATOM),
                'ready_on' => $times->readyDay()->format('Y-m-d'),
                'keeping_months' => round($plan->keeping->months, 2),
            ],
            'picture' => array_map(fn (float $percent) => round($percent, 1), $wish->blend->picture()),
            'stores' => $plan->supplies->document($this->kitchen),
            'steps' => Steps::of($plan),
            'notes' => array_map(fn (Note $note) => $note->toArray(), $plan->notes),
        ];
    }

    /**
     * A document that was told, as a record: what can be said anew of its figures goes, and its sentences stand as they stood.
     *
     * @param  array<mixed>  $document
     * @return array<mixed>
     */
    public static function kept(array $document): array
    {
        $figures = is_array($document['figures'] ?? null) ? $document['figures'] : [];
        foreach ($figures as $id => $figure) {
            if (! is_array($figure)) {
                continue;
            }
            $kitchen = $figure['kitchen'] ?? null;
            $figures[$id] = array_intersect_key($figure, array_flip(['value', 'unit', 'low', 'high', 'typed'])) +
                // What was typed is told so beside what it weighs, and is not rounded.
                (is_array($kitchen) && ($kitchen['rounding_percent'] ?? 1) == 0 ? ['typed' => $kitchen['text'] ?? ''] : []) + [
                    'reasons' => array_map(
                        fn (mixed $reason) => is_array($reason) ? array_intersect_key($reason, array_flip(['rule', 'inputs'])) : [],
                        is_array($figure['reasons'] ?? null) ? array_values($figure['reasons']) : [],
                    ),
                ];
        }
        $stood = fn (mixed $words): mixed => is_string($words) && $words !== '' ? Said::asItStood($words)->toArray() : $words;
        $document = ['figures' => $figures] + $document;
        if (is_array($document['schedule'] ?? null)) {
            unset($document['schedule']['says']);
        }
        $document['sentence_text'] = $stood($document['sentence_text'] ?? null);
        foreach (['sentence' => ['text'], 'steps' => ['says'], 'notes' => ['says', 'why', 'source']] as $list => $keys) {
            $document[$list] = array_map(
                fn (mixed $each) => is_array($each)
                    ? array_replace($each, array_map($stood, array_intersect_key($each, array_flip($keys))))
                    : $each,
                is_array($document[$list] ?? null) ? $document[$list] : [],
            );
        }

        return $document;
    }

    /**
     * What was given in spoons or cups is said so beside what it weighs.
     *
     * @param  array<string, array<string, mixed>>  $figures
     * @return array<string, array<string, mixed>>
     */
    private function asTyped(array $figures, Wish $wish): array
    {
        foreach (['herb_mass' => $wish->sizing->herb, 'oil_volume' => $wish->sizing->oil] as $id => $amount) {
            if ($amount !== null && $amount->throughDensity && isset($figures[$id])) {
                $figures[$id]['typed'] = $amount->typed;
            }
        }

        return $figures;
    }

    /** @return array<string, mixed> */
    public function figure(Figure $figure): array
    {
        return $this->toldFigure(self::figureRecord($figure));
    }

    /** @return array<string, mixed> as it is kept */
    public static function figureRecord(Figure $figure): array
    {
        return [
            'value' => self::rounded($figure->value),
            'unit' => $figure->unit,
            'low' => self::rounded($figure->low),
            'high' => self::rounded($figure->high),
            'reasons' => array_map(fn (Reason $reason) => $reason->toArray(), $figure->reasons),
        ];
    }

    /**
     * @param  array<mixed>  $figure as it is kept
     * @return array<string, mixed>
     */
    private function toldFigure(array $figure): array
    {
        $unit = is_string($figure['unit'] ?? null) ? $figure['unit'] : '';
        [$value, $low, $high] = [$figure['value'] ?? '', $figure['low'] ?? null, $figure['high'] ?? null];

        return [
            'value' => $value,
            'unit' => $unit,
            'low' => $low,
            'high' => $high,
            'text' => $this->words->thing([$unit => $value]),
            'range_text' => $low === null || $high === null
                    ? null
                    : $this->words->of(Said::of('figure.range', ['low' => [$unit => $low], 'high' => [$unit => $high]])),
            'kitchen' => match (true) {
                is_string($figure['typed'] ?? null) => ['text' => $figure['typed'], 'rounding_percent' => 0.0],
                in_array($unit, ['g', 'mL'], true) && is_numeric($value) => $this->writer->kitchen((float) $value, Kind::from($unit)),
                default => null,
            },
            'reasons' => array_map($this->reason(...), is_array($figure['reasons'] ?? null) ? array_values($figure['reasons']) : []),
        ];
    }

    /** @return array{rule: string, says: string, source: string, standing: string, inputs: array<string, float|int|string>} */
    private function reason(mixed $reason): array
    {
        return $this->wording->of(
            is_array($reason) && is_string($reason['rule'] ?? null) ? $reason['rule'] : '',
            is_array($reason) && is_array($reason['inputs'] ?? null) ? $reason['inputs'] : [],
            $this->words->fill(...),
            $this->words->thing(...),
        );
    }

    private static function rounded(float|string|null $value): float|string|null
    {
        return is_float($value) ? round($value, 6) : $value;
    }

    /** @return array<string, mixed> */
    private static function herb(HerbPart $part, float $share): array
    {
        return [
            'id' => $part->plant->id,
            // What the tables do not have is called as somebody called it.
            'name' => $part->plant->id === '' ? $part->plant->name : Said::just($part->plant->said()),
            'latin' => $part->plant->latin,
            'part' => $part->plant->id === '' ? $part->plant->part : Said::just(['part' => $part->plant->id]),
            'state' => $part->form->state->value,
            'form' => $part->form->id,
            'form_name' => Said::just($part->form->said()),
            'share' => round($share, 6),
            'water' => round($part->water, 3),
            'best' => $part->plant->best->value,
        ];
    }

    /**
     * Marks up the side of the jar, in the house's cups.
     *
     * @return list<array{mm: float, text: Said}>
     */
    private function marks(Plan $plan): array
    {
        $jar = $plan->amounts->jar;
        if ($jar->kind === Jar::PAN) {
            return [];
        }
        $cup = $this->writer->cupMl();
        $step = match (true) {
            $jar->brimMl < $cup => $cup / 4,
            $jar->brimMl < 3 * $cup => $cup / 2,
            default => $cup,
        };
        $marks = [];
        for ($ml = $step; $ml < $jar->brimMl * 0.97; $ml += $step) {
            $marks[] = ['mm' => round($jar->heightOf($ml), 1), 'text' => Said::of('mark.cups', ['cups' => ['mixed' => $ml / $cup]])];
        }

        return $marks;
    }
}
