<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Reason\Reason;
use Kettle\Reason\Reckoned;
use Kettle\Reason\Wording;

/**
 * Writes a plan as the document of docs/formats/plan.schema.json, the same for the Bench and for
 * `kettle reckon`: plain arrays, every figure in words as well as in numbers.
 */
final readonly class PlanDocument
{
    public function __construct(private Wording $wording, private AmountWriter $writer)
    {
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
            'figures' => array_map($this->figure(...), $plan->figures),
            'herb' => [
                'id' => $wish->plant->id, 'name' => $wish->plant->name, 'latin' => $wish->plant->latin,
                'part' => $wish->plant->part, 'state' => 'dried', 'form' => $wish->form->id, 'form_name' => $wish->form->name,
            ],
            'oils' => array_map(fn (array $oil) => [
                'id' => $oil['carrier']->id, 'name' => $oil['carrier']->name, 'inci' => $oil['carrier']->inci,
                'share' => round($oil['share'], 6), 'allergens' => $oil['carrier']->allergens,
            ], $wish->blend->shares()),
            'ratio' => $plan->amounts->ratio->text(),
            'purpose' => $wish->purpose,
            'jar' => [
                'id' => $levels->jar->id, 'called' => $levels->jar->called,
                'brim_ml' => $levels->jar->brimMl, 'height_mm' => $levels->jar->heightMm,
                'diameter_mm' => round($levels->jar->diameterMm(), 1),
                'dry_fill_mm' => round($levels->dryFillMm, 1), 'bed_mm' => round($levels->bedMm, 1), 'level_mm' => round($levels->levelMm, 1),
                'marks' => $this->marks($plan),
            ],
            'method' => [
                'id' => $wish->method->id, 'name' => $wish->method->name, 'heated' => $wish->method->heated,
                'school' => $wish->school->id, 'school_name' => $wish->school->name, 'hours' => $wish->school->usualH,
                'target_c' => $wish->school->targetC, 'ceiling_c' => $wish->school->ceilingC, 'handling' => $wish->method->handling,
            ],
            'schedule' => [
                'fill_at' => $times->fillAt->format(DATE_ATOM),
                'sessions' => array_map(fn (array $s) => ['from' => $s['from']->format(DATE_ATOM), 'to' => $s['to']->format(DATE_ATOM)], $times->sessions),
                'strain_at' => $times->strainAt->format(DATE_ATOM),
                'settled_at' => $times->settledAt->format(DATE_ATOM),
                'ready_on' => $times->readyDay()->format('Y-m-d'),
                'keeping_months' => round($plan->shelfLife->months, 1),
            ],
            'notes' => $plan->notes,
        ];
    }

    /** @return array<string, mixed> */
    public function figure(Reckoned $figure): array
    {
        return [
            'value' => self::rounded($figure->value),
            'unit' => $figure->unit,
            'low' => self::rounded($figure->low),
            'high' => self::rounded($figure->high),
            'text' => $this->text($figure->value, $figure->unit),
            'range_text' => $figure->low === null || $figure->high === null ? null
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
        if ($unit === 'date') {
            return (new \DateTimeImmutable((string) $value))->format('j M Y');
        }

        return AmountWriter::plain((float) $value, Kind::from($unit));
    }

    /** @return array{text: string, rounding_percent: float}|null */
    private function kitchen(Reckoned $figure): ?array
    {
        return in_array($figure->unit, ['g', 'mL'], true)
            ? $this->writer->kitchen($figure->number(), Kind::from($figure->unit))
            : null;
    }

    /**
     * Marks up the side of the jar, in the house's cups.
     *
     * @return list<array{mm: float, text: string}>
     */
    private function marks(Plan $plan): array
    {
        $jar = $plan->amounts->jar;
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
