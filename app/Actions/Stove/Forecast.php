<?php

namespace App\Actions\Stove;

use App\House\KitchenFactory;
use App\Models\Cooker;
use App\Models\StoveSession;
use Kettle\Ask\WarmthQuestions;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Reason\Said;
use Kettle\Vessel\Cooker as CoreCooker;
use Kettle\Warmth\Band;

/**
 * What a pot will do on a setting, before it is switched on.
 *
 * @phpstan-import-type KeptSetUp from StoveSession
 * @phpstan-import-type KeptForetold from StoveSession
 * @phpstan-import-type Foretold from WarmthQuestions
 * @phpstan-import-type Ends from WarmthQuestions
 */
final readonly class Forecast
{
    public function __construct(private SetUp $setUp, private KitchenFactory $kitchens) {}

    /**
     * @param  KeptSetUp  $setUp
     * @return Foretold as `reckon pot` answers
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
     * @param  Foretold  $said
     * @return list<array{int, float}> seconds from switching on, and degrees C of the oil
     */
    public function path(array $said): array
    {
        return array_map(fn (array $point) => [(int) ($point['min'] * 60), $point['oil_c']], $said['path']);
    }

    /**
     * @param  Foretold  $said
     * @return KeptForetold of what it comes to, what is told of it later
     */
    public static function keep(array $said): array
    {
        return [
            'minutes_to_band' => $said['minutes_to_band'],
            'settles_c' => $said['settles_c'],
            'water_lost_ml_per_h' => $said['water_lost_ml_per_h'],
            'passes_ceiling' => $said['passes_ceiling'],
        ];
    }

    /**
     * @param  KeptSetUp  $setUp
     * @return list<string> what was foretold, in a line or two
     */
    public function kept(array $setUp, Band $band): array
    {
        $foretold = $setUp['foretold'] ?? null;
        if ($foretold === null) {
            // As it stood, from before the figures were kept.
            return array_map($this->kitchens->words()->thing(...), $setUp['says'] ?? []);
        }

        return array_map(
            fn (array $line) => $line['label'].': '.$line['text'].($line['range'] === null ? '' : ' ('.$line['range'].')'),
            $this->lines($foretold, $band),
        );
    }

    /**
     * @param  KeptForetold|Foretold  $said
     * @return list<array{label: string, text: string, range: ?string}> from less to more
     */
    public function lines(array $said, Band $band): array
    {
        $minutes = fn (?float $value): string => $value === null ? 'not at all' : AmountWriter::clockSpan($value / 60);
        $warmth = fn (?float $value): string => $this->kitchens->plain()->warmth((float) $value);
        $ml = fn (?float $value): string => AmountWriter::plain(round((float) $value), Kind::Volume);

        return [
            self::line('Into the band', $said['minutes_to_band'], $minutes),
            self::line('Settles at', $said['settles_c'], $warmth),
            ...$said['water_lost_ml_per_h']['hotter'] > 0 ? [self::line('Water lost an hour', $said['water_lost_ml_per_h'], $ml)] : [],
            [
                'label' => 'The ceiling',
                'text' => $warmth($band->ceiling).
                    ($said['passes_ceiling']['value'] ? ' is passed' : ($said['passes_ceiling']['hotter'] ? ' may be passed' : ' is kept')),
                'range' => null,
            ],
        ];
    }

    /**
     * From less to more, whichever of the two it is; what never comes about is last.
     *
     * @param  Ends  $ends
     * @param  \Closure(?float): string  $words
     * @return array{label: string, text: string, range: ?string}
     */
    private static function line(string $label, array $ends, \Closure $words): array
    {
        $between = [$ends['cooler'], $ends['hotter']];
        usort($between, fn (?float $x, ?float $y) => ($x ?? INF) <=> ($y ?? INF));
        [$from, $to] = array_map($words, $between);

        return ['label' => $label, 'text' => $words($ends['value']), 'range' => $from === $to ? null : "{$from} to {$to}"];
    }

    /**
     * Settings under which the ceiling is kept and the band is reached.
     *
     * @param  KeptSetUp  $keep
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
