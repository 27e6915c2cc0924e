<?php

namespace App\Labels;

use App\Http\Shapes\LabelLine;
use App\Models\Batch;
use App\Words\Times;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;

/**
 * What a label says: plant, part and state, oil, ratio, method, made, strained and bottled days,
 * best before, where the plant came from, what it is for, and cautions.
 */
final readonly class LabelText
{
    public function __construct(private Times $times)
    {
    }

    /** @return list<LabelLine> */
    public function of(Batch $batch): array
    {
        $plan = $batch->plan;
        /** @var array{name: string, part: string, state: string, latin: string, mix?: string} $herb */
        $herb = $plan['herb'];
        /** @var list<array{name: string, part: string, state: string, latin: string}> $herbs */
        $herbs = $plan['herbs'] ?? [$herb];
        /** @var list<array{name: string, share: float, allergens: list<string>}> $oils */
        $oils = $plan['oils'];
        /** @var array{name: string} $method */
        $method = $plan['method'];
        $ratio = is_string($plan['ratio'] ?? null) ? $plan['ratio'] : '';
        $lines = [
            'title' => ucfirst($herb['mix'] ?? $herb['name']).' oil',
            'herb' => implode('; ', array_map($this->herb(...), $herbs)),
            'oil' => 'in '.implode(', ', array_map(
                fn (array $oil) => $oil['name'].(count($oils) > 1 ? ' '.round($oil['share'] * 100).' %' : ''), $oils,
            )),
            'ratio' => $ratio.', '.$method['name'],
            'days' => $this->days($batch),
            'best_before' => 'Best before '.$this->times->date($batch->best_before),
            'origin' => $batch->origin === '' ? '' : 'From '.$batch->origin,
            'for' => 'For '.$this->purpose(is_string($plan['purpose'] ?? null) ? $plan['purpose'] : 'skin').(($plan['purpose'] ?? '') === 'kitchen' ? '' : ', not to be eaten'),
            'cautions' => $this->cautions($oils),
            'code' => $batch->code,
        ];

        return array_values(array_map(
            fn (string $id, string $text) => new LabelLine($id, $text), array_keys(array_filter($lines)), array_filter($lines),
        ));
    }

    /** @param  array{name: string, part: string, state: string, latin: string}  $herb */
    private function herb(array $herb): string
    {
        $part = $herb['part'] === '' || str_contains($herb['name'], $herb['part']) ? '' : ', '.$herb['part'];

        return ucfirst($herb['name']).$part.', '.$herb['state'].($herb['latin'] === '' ? '' : ' ('.$herb['latin'].')');
    }

    /** Net contents in both systems: "50 mL (1.7 fl oz)". */
    public static function net(float $ml): string
    {
        return AmountWriter::plain($ml, Kind::Volume).' ('.AmountWriter::fluidOunces($ml).')';
    }

    private function days(Batch $batch): string
    {
        return implode(', ', array_filter([
            'Made '.$this->times->date($batch->filled_at ?? $batch->start_at),
            $batch->strained_at === null ? 'strain by '.$this->times->date($batch->strain_at) : 'strained '.$this->times->date($batch->strained_at),
            $batch->bottled_at === null ? '' : 'bottled '.$this->times->date($batch->bottled_at),
        ]));
    }

    private function purpose(string $purpose): string
    {
        return match ($purpose) {
            'salve' => 'salves', 'kitchen' => 'the kitchen', 'massage' => 'massage', 'perfume' => 'perfume',
            default => 'the '.$purpose,
        };
    }

    /**
     * @param  list<array{name: string, share: float, allergens: list<string>}>  $oils
     */
    private function cautions(array $oils): string
    {
        $allergens = array_unique(array_merge(...array_map(fn (array $oil) => $oil['allergens'], $oils)));

        return implode(' ', array_filter([
            $allergens === [] ? '' : 'Contains '.implode(', ', $allergens).'.',
            'Keep cool and dark. Smell it, and try a little, before use.',
        ]));
    }
}
