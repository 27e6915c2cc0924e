<?php

namespace App\Actions\Stove;

use App\House\Kitchens;
use App\Http\Shapes\OutlookLine;
use App\Http\Shapes\PotOutlook;
use App\Http\Shapes\StoveAlarm;
use App\Http\Shapes\WarmthChart;
use App\Models\Batch;
use App\Models\Cooker;
use App\Words\StoveWords;
use Kettle\Ask\WarmthQuestions;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Vessel\Cooker as CoreCooker;
use Kettle\Vessel\Packing;
use Kettle\Vessel\WaterBath;
use Kettle\Warmth\Band;

/** What a pot will do on a setting with some jars in it, in words: before it is switched on. */
final readonly class Outlook
{
    public function __construct(private SetUp $setUp, private Kitchens $kitchens, private StoveWords $words)
    {
    }

    /**
     * @param  list<string>  $uids of batches
     *
     * @throws \Kettle\Reason\Refused
     */
    public function __invoke(string $cookerUid, string $setting, array $uids, string $school, ?float $pouredC): PotOutlook
    {
        $cooker = $this->setUp->cooker($cookerUid, $setting);
        $batches = array_values(Batch::query()->whereIn('uid', $uids)->orderBy('id')->get()->all());
        $bath = $this->setUp->bath($cooker, $batches, $school);
        $keep = $this->setUp->keep($cooker, $batches, $bath, $bath->waterMl($bath->fullMm));
        [$band, $hours] = $this->wanted($batches);
        $said = $this->foretell($keep, $setting, $band, $hours, $pouredC);
        $path = $this->path($said);
        $widest = max(array_column($bath->jars, 'd'));
        $warnings = $this->warnings($said, $bath, $band, $cooker->learned !== null);

        return new PotOutlook(
            bath: $this->words->bath($keep, $bath->fullMm),
            lines: $this->lines($said, $band),
            warnings: $warnings,
            instead: $said['passes_ceiling']['value'] ? $this->instead($cooker, $setting, $keep, $band, $hours, $pouredC) : [],
            stands_text: sprintf('%s in it; %s.', $this->stand($bath, $batches), ($most = Packing::most($bath->cooker, $widest, 12)) > count($bath->jars) ? "{$most} of the widest would" : 'there is room for no more'),
            pour_text: $bath->isDry() ? 'No water: it holds its warmth by itself. Jars open, its lid on.' : sprintf('Pour %s of water round them: %d mm high, %s.', AmountWriter::plain($bath->waterMl($bath->fullMm), Kind::Volume), (int) round($bath->fullMm), $bath->heldByFloating ? 'and no more, or a jar floats' : WaterBath::SCHOOLS[$this->setUp->school($batches, $school)]),
            model: $said['model'],
            chart: new WarmthChart(0, (int) ($hours * 3600), -1, [], array_map(fn (array $p) => [(float) $p[0], (float) $p[1]], $path), [], []),
            scale: $this->words->scale($band, (float) $keep['room_c']),
        );
    }

    /** @param  list<Batch>  $batches */
    private function stand(WaterBath $bath, array $batches): string
    {
        $kind = $batches[0]->plan->jar->kind;

        return count($bath->jars) === 1 ? "One {$kind} stands" : count($bath->jars)." {$kind}s stand";
    }

    /**
     * @param  array<string, mixed>  $setUp
     * @return array<string, mixed> as `reckon pot` answers
     */
    public function foretell(array $setUp, string $setting, Band $band, float $hours, ?float $pouredC): array
    {
        return (new WarmthQuestions($this->kitchens->plain()))->pot([
            ...($pouredC === null ? [] : ['poured_c' => $pouredC]),
            ...$this->setUp->parts($setUp, $setting, (float) $setUp['water_ml'] / 1000), 'hours' => $hours, 'band' => ['low' => $band->low, 'target' => $band->target, 'ceiling' => $band->ceiling],
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
     * @return list<string> what it comes to, in a line or two
     */
    public function says(array $said, Band $band): array
    {
        return array_map(fn (OutlookLine $line) => $line->label.': '.$line->text.($line->range_text === null ? '' : ' ('.$line->range_text.')'), $this->lines($said, $band));
    }

    /**
     * @param  list<Batch>  $batches
     * @return array{Band, float} the warmth they want, and for how long to look ahead, h
     */
    private function wanted(array $batches): array
    {
        $method = $batches[0]->plan->method;

        return [$method->band(), max(4.0, min(50.0, $method->hours + 2))];
    }

    /**
     * @param  array<string, mixed>  $said
     * @return list<OutlookLine>
     */
    private function lines(array $said, Band $band): array
    {
        $minutes = fn (mixed $value): string => $value === null ? 'not at all' : AmountWriter::clockSpan((float) $value / 60);
        $warmth = fn (mixed $value): string => $this->words->warmth((float) $value);
        $ml = fn (mixed $value): string => AmountWriter::plain(round((float) $value), Kind::Volume);
        $line = fn (string $label, string $key, \Closure $words): OutlookLine => new OutlookLine(
            $label, $words($said[$key]['value']), self::range($said[$key]['cooler'], $said[$key]['hotter'], $words),
        );

        return [
            $line('Into the band', 'minutes_to_band', $minutes),
            $line('Settles at', 'settles_c', $warmth),
            ...($said['water_lost_ml_per_h']['hotter'] > 0 ? [$line('Water lost an hour', 'water_lost_ml_per_h', $ml)] : []),
            new OutlookLine('The ceiling', $warmth($band->ceiling).($said['passes_ceiling']['value'] ? ' is passed' : ($said['passes_ceiling']['hotter'] ? ' may be passed' : ' is kept')), null),
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
    public function stop(string $setting, float $settlesC, bool $passes, Band $band): ?string
    {
        return $passes ? sprintf('%s it is foretold to reach %s, over the ceiling of %s.', ucfirst(CoreCooker::on($setting)), $this->words->warmth($settlesC), $this->words->warmth($band->ceiling)) : null;
    }

    /**
     * @param  array<string, mixed>  $said
     * @return list<StoveAlarm>
     */
    private function warnings(array $said, WaterBath $bath, Band $band, bool $learned): array
    {
        $warnings = [];
        if ($said['passes_ceiling']['value']) {
            $warnings[] = new StoveAlarm('too-warm', 'stop', sprintf('On this setting it goes over %s. Take a lower one, or switch it on and off.', $this->words->warmth($band->ceiling)));
        } elseif ($said['passes_ceiling']['hotter']) {
            $warnings[] = new StoveAlarm('may-be-too-warm', 'care', 'It may pass the ceiling on this setting: be there for the first two hours.');
        }
        if ($said['minutes_to_band']['value'] === null) {
            $warnings[] = new StoveAlarm('never-warm', 'care', sprintf('On this setting it does not come into the band, from %s. Take a higher one, or put the lid on.', $this->words->warmth($band->low)));
        }
        if ($bath->heldByFloating) {
            $warnings[] = new StoveAlarm('floats', 'care', 'With more water a jar would float and tip. A weight on its lid, or less water.');
        }
        if (! $learned) {
            $warnings[] = new StoveAlarm('not-learned', 'note', 'Nobody has learned this pot yet: these are a common pot’s figures. One logged warm-up narrows them.');
        }

        return $warnings;
    }
}
