<?php

namespace App\Actions\Stove;

use App\House\KitchenFactory;
use App\Models\Cooker;
use Kettle\Ask\WarmthQuestions;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Reason\Said;
use Kettle\Vessel\Cooker as CoreCooker;
use Kettle\Warmth\Band;

/** What a pot will do on a setting, before it is switched on. */
final readonly class Forecast
{
    public function __construct(private SetUp $setUp, private KitchenFactory $kitchens) {}

    /**
     * @param  array<string, mixed>  $setUp
     * @return array<string, mixed> as `reckon pot` answers
     */
    public function foretell(array $setUp, string $setting, Band $band, float $hours, ?float $pouredC): array
    {
        return (new WarmthQuestions($this->kitchens->plain()))->pot([
            ...$pouredC === null ? [] : ['poured_c' => $pouredC],
            ...$this->setUp->parts($setUp, $setting, (float) $setUp['water_ml'] / 1000),
            'hours' => $hours,
            'band' => ['low' => $band->low, 'target' => $band->target, 'ceiling' => $band->ceiling],
        ]);
    }

    /**
     * @param  array<string, mixed>  $said
     * @return list<array{int, float}> seconds from switching on, and degrees C of the oil
     */
    public function path(array $said): array
    {
        /** @var list<array{min: float|int, oil_c: float|int}> $path */
        $path = $said['path'];

        return array_map(fn (array $point) => [(int) ($point['min'] * 60), (float) $point['oil_c']], $path);
    }

    /**
     * @param  array<string, mixed>  $said
     * @return array<string, mixed> of what it comes to, what is told of it later
     */
    public static function keep(array $said): array
    {
        return array_intersect_key($said, array_flip(['minutes_to_band', 'settles_c', 'water_lost_ml_per_h', 'passes_ceiling']));
    }

    /**
     * @param  array<string, mixed>  $setUp
     * @return list<string> what was foretold, in a line or two
     */
    public function kept(array $setUp, Band $band): array
    {
        $foretold = $setUp['foretold'] ?? null;
        if (! is_array($foretold)) {
            // As it stood, from before the figures were kept.
            return array_map($this->kitchens->words()->of(...), is_array($setUp['says'] ?? null) ? array_values($setUp['says']) : []);
        }

        return array_map(
            fn (array $line) => $line['label'].': '.$line['text'].($line['range'] === null ? '' : ' ('.$line['range'].')'),
            $this->lines($foretold, $band),
        );
    }

    /**
     * @param  array<string, mixed>  $said
     * @return list<array{label: string, text: string, range: ?string}> from less to more
     */
    public function lines(array $said, Band $band): array
    {
        $minutes = fn (mixed $value): string => $value === null ? 'not at all' : AmountWriter::clockSpan((float) $value / 60);
        $warmth = fn (mixed $value): string => $this->kitchens->plain()->warmth((float) $value);
        $ml = fn (mixed $value): string => AmountWriter::plain(round((float) $value), Kind::Volume);
        $line = fn (string $label, string $key, \Closure $words): array => [
            'label' => $label,
            'text' => $words($said[$key]['value']),
            'range' => self::range($said[$key]['cooler'], $said[$key]['hotter'], $words),
        ];

        return [
            $line('Into the band', 'minutes_to_band', $minutes),
            $line('Settles at', 'settles_c', $warmth),
            ...$said['water_lost_ml_per_h']['hotter'] > 0 ? [$line('Water lost an hour', 'water_lost_ml_per_h', $ml)] : [],
            [
                'label' => 'The ceiling',
                'text' => $warmth($band->ceiling).
                    ($said['passes_ceiling']['value'] ? ' is passed' : ($said['passes_ceiling']['hotter'] ? ' may be passed' : ' is kept')),
                'range' => null,
            ],
        ];
    }

    /** From less to more, whichever of the two it is; what never comes about is last. */
    private static function range(mixed $a, mixed $b, \Closure $words): ?string
    {
        $ends = [$a, $b];
        usort($ends, fn (mixed $x, mixed $y) => ($x ?? INF) <=> ($y ?? INF));

        return $words($ends[0]) === $words($ends[1]) ? null : $words($ends[0]).' to '.$words($ends[1]);
    }

    /**
     * Settings under which the ceiling is kept and the band is reached.
     *
     * @param  array<string, mixed>  $keep
     * @return list<string>
     */
    public function instead(Cooker $cooker, string $setting, array $keep, Band $band, float $hours, ?float $pouredC): array
    {
        $instead = [];
        foreach ($cooker->settings as $other) {
            if ($other['name'] === $setting) {
                continue;
            }
            $said = $this->foretell($keep, $other['name'], $band, $hours, $pouredC);
            if (! $said['passes_ceiling']['value'] && $said['minutes_to_band']['value'] !== null) {
                $instead[] = $other['name'];
            }
        }

        return $instead;
    }

    /** Why a setting is not taken as it is; null where the ceiling is kept. */
    public function stop(string $setting, float $settlesC, bool $passes, Band $band): ?Said
    {
        return $passes
            ? Said::of('stove.over-ceiling', [
                'on' => CoreCooker::on($setting),
                'reaches' => ['C' => $settlesC],
                'ceiling' => ['C' => $band->ceiling],
            ])
            : null;
    }
}
