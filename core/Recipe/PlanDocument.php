<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Material\HerbPart;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Reason\Figure;
use Kettle\Reason\Note;
use Kettle\Reason\Reason;
use Kettle\Reason\Wording;
use Kettle\Time\Interval;
use Kettle\Vessel\Jar;

/**
 * Writes a plan as the document of docs/formats/plan.schema.json, the same for the Bench and for
 * `kettle reckon`: plain arrays, every figure in words as well as in numbers.
 */
final readonly class PlanDocument
{
    private AmountWriter $writer;

    public function __construct(private Wording $wording, private Kitchen $kitchen)
    {
        $this->writer = $kitchen->writer();
    }

    /** @return array<string, mixed> */
    public function of(Plan $plan): array
    {
        $wish = $plan->wish;
        $levels = $plan->amounts->levels;
        $times = $plan->timetable;

        return [
            'name' => $plan->name(),
            'sentence' => $plan->sentence,
            'sentence_text' => $plan->sentenceText(),
            'figures' => $this->asTyped(array_map($this->figure(...), $plan->figures), $wish),
            'herb' => self::herb($wish->mix->first(), 1.0) + ['mix' => $wish->mix->name()],
            'herbs' => array_map(
                fn (int $i, float $share) => self::herb($wish->mix->parts[$i], $share),
                array_keys($wish->mix->shares()),
                $wish->mix->shares(),
            ),
            'oils' => array_map(
                fn (array $oil) => [
                    'id' => $oil['carrier']->id,
                    'name' => $oil['carrier']->name,
                    'inci' => $oil['carrier']->names->inci,
                    'share' => round($oil['share'], 6),
                    'allergens' => $oil['carrier']->food->allergens,
                ],
                $wish->blend->shares(),
            ),
            'ratio' => $plan->amounts->ratio->text(),
            'basis' => $wish->sizing->basis,
            'way' => $wish->practice->way,
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
                        : sprintf(
                            '%s of herb and %s of oil in each',
                            AmountWriter::plain($plan->amounts->herbG / $plan->amounts->jars, Kind::Mass),
                            AmountWriter::plain($plan->amounts->oilMl / $plan->amounts->jars, Kind::Volume),
                        ),
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
                'name' => $wish->method->name,
                'heated' => $wish->method->heated,
                'school' => $wish->variant->id,
                'school_name' => $wish->variant->name,
                'hours' => $wish->variant->usualH,
                'stands_h' => $wish->standsH(),
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
            'steps' => Steps::of($plan, $this->kitchen),
            'notes' => array_map(fn (Note $note) => $note->toArray(), $plan->notes),
        ];
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
                $figures[$id]['kitchen'] = ['text' => $amount->typed, 'rounding_percent' => 0.0];
            }
        }

        return $figures;
    }

    /** @return array<string, mixed> */
    public function figure(Figure $figure): array
    {
        return [
            'value' => self::rounded($figure->value),
            'unit' => $figure->unit,
            'low' => self::rounded($figure->low),
            'high' => self::rounded($figure->high),
            'text' => $this->text($figure->value, $figure->unit),
            'range_text' => $figure->low === null || $figure->high === null
                    ? null
                    : $this->text($figure->low, $figure->unit).' to '.$this->text($figure->high, $figure->unit),
            'kitchen' => $this->kitchen($figure),
            'reasons' => array_map(fn (Reason $reason) => $this->wording->of($reason), $figure->reasons),
        ];
    }

    private static function rounded(float|string|null $value): float|string|null
    {
        return is_float($value) ? round($value, 6) : $value;
    }

    private function text(float|string $value, string $unit): string
    {
        return match ($unit) {
            'date' => (new \DateTimeImmutable((string) $value))->format('j M Y'),
            'money' => $this->kitchen->money((float) $value),
            'C' => $this->kitchen->warmth((float) $value),
            'g/mL' => number_format((float) $value, 3).' g/mL',
            'min' => self::minutes((float) $value),
            'iodine' => (string) round((float) $value),
            'index' => (string) round((float) $value, 1),
            '%' => Wording::number((float) $value).' %',
            'mg', 'IU', 'drops', 'capsules' => Wording::number((float) $value).' '.((float) $value === 1.0 ? rtrim($unit, 's') : $unit),
            default => AmountWriter::plain((float) $value, Kind::from($unit)),
        };
    }

    private static function minutes(float $value): string
    {
        $minutes = (int) round($value);

        return $minutes < 120 ? $minutes.' min' : intdiv($minutes, 60).' h'.($minutes % 60 === 0 ? '' : ' '.$minutes % 60 .' min');
    }

    /** @return array<string, mixed> */
    private static function herb(HerbPart $part, float $share): array
    {
        return [
            'id' => $part->plant->id,
            'name' => $part->plant->name,
            'latin' => $part->plant->latin,
            'part' => $part->plant->part,
            'state' => $part->form->state->value,
            'form' => $part->form->id,
            'form_name' => $part->form->name,
            'share' => round($share, 6),
            'water' => round($part->water, 3),
            'best' => $part->plant->best->value,
        ];
    }

    /** @return array{text: string, rounding_percent: float}|null */
    private function kitchen(Figure $figure): ?array
    {
        return in_array($figure->unit, ['g', 'mL'], true) ? $this->writer->kitchen($figure->number(), Kind::from($figure->unit)) : null;
    }

    /**
     * Marks up the side of the jar, in the house's cups.
     *
     * @return list<array{mm: float, text: string}>
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
            $marks[] = ['mm' => round($jar->heightOf($ml), 1), 'text' => AmountWriter::mixed($ml / $cup).' c'];
        }

        return $marks;
    }
}
