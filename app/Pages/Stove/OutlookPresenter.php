<?php

namespace App\Pages\Stove;

use App\Actions\Stove\Forecast;
use App\Actions\Stove\SetUp;
use App\Models\Batch;
use App\Responses\Stove\OutlookLine;
use App\Responses\Stove\PotOutlook;
use App\Responses\Stove\StoveAlarm;
use App\Responses\Stove\WarmthChart;
use Kettle\Ask\WarmthQuestions;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Vessel\Packing;
use Kettle\Vessel\WaterBath;
use Kettle\Warmth\Band;

/**
 * What a pot will do on a setting with some jars in it, in words: before it is switched on.
 *
 * @phpstan-import-type Foretold from WarmthQuestions
 */
final readonly class OutlookPresenter
{
    public function __construct(private SetUp $setUp, private Forecast $forecast, private PotPresenter $words, private Warmths $warmths) {}

    /**
     * @param  list<string>  $uids of batches
     *
     * @throws \Kettle\Reason\RefusedException
     */
    public function __invoke(string $cookerUid, string $setting, array $uids, string $depth, ?float $pouredC): PotOutlook
    {
        $cooker = $this->setUp->cooker($cookerUid, $setting);
        $batches = array_values(Batch::query()->whereIn('uid', $uids)->orderBy('id')->get()->all());
        $bath = $this->setUp->bath($cooker, $batches, $depth);
        $keep = $this->setUp->keep($cooker, $batches, $bath, $bath->waterMl($bath->fullMm));
        [$band, $hours] = $this->wanted($batches);
        $said = $this->forecast->foretell($keep, $setting, $band, $hours, $pouredC);
        $path = $this->forecast->path($said);
        $widest = max([0.0, ...array_column($bath->jars, 'd')]);
        $warnings = $this->warnings($said, $bath, $band, $cooker->learned !== null);

        return new PotOutlook(
            bath: $this->words->bath($keep, $bath->fullMm),
            lines: array_map(
                fn (array $line) => new OutlookLine($line['label'], $line['text'], $line['range']),
                $this->forecast->lines($said, $band),
            ),
            warnings: $warnings,
            instead: $said['passes_ceiling']['value'] ? $this->forecast->instead($cooker, $setting, $keep, $band, $hours, $pouredC) : [],
            stands_text: sprintf(
                '%s in it; %s.',
                $this->stand($bath, $batches),
                ($most = Packing::most($bath->cooker, $widest, 12)) > count($bath->jars)
                    ? "{$most} of the widest would"
                    : 'there is room for no more',
            ),
            pour_text: $bath->isDry()
                ? 'No water: it holds its warmth by itself. Jars open, its lid on.'
                : sprintf(
                    'Pour %s of water round them: %d mm high, %s.',
                    AmountWriter::plain($bath->waterMl($bath->fullMm), Kind::Volume),
                    (int) round($bath->fullMm),
                    $bath->heldByFloating ? 'and no more, or a jar floats' : WaterBath::DEPTHS[$this->setUp->depth($batches, $depth)],
                ),
            model: $said['model'],
            chart: new WarmthChart(
                0,
                (int) ($hours * 3600),
                -1,
                [],
                array_map(fn (array $p) => [(float) $p[0], (float) $p[1]], $path),
                [],
                [],
            ),
            scale: $this->warmths->scale($band, (float) $keep['room_c']),
        );
    }

    /** @param  list<Batch>  $batches */
    private function stand(WaterBath $bath, array $batches): string
    {
        $kind = $batches[0]->plan->jar->kind;

        return count($bath->jars) === 1 ? "One {$kind} stands" : count($bath->jars)." {$kind}s stand";
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
     * @param  Foretold  $said
     * @return list<StoveAlarm>
     */
    private function warnings(array $said, WaterBath $bath, Band $band, bool $learned): array
    {
        $warnings = [];
        if ($said['passes_ceiling']['value']) {
            $warnings[] = new StoveAlarm(
                'too-warm',
                'stop',
                sprintf(
                    'On this setting it goes over %s. Take a lower one, or switch it on and off.',
                    $this->warmths->warmth($band->ceiling),
                ),
            );
        } elseif ($said['passes_ceiling']['hotter']) {
            $warnings[] = new StoveAlarm(
                'may-be-too-warm',
                'care',
                'It may pass the ceiling on this setting: be there for the first two hours.',
            );
        }
        if ($said['minutes_to_band']['value'] === null) {
            $warnings[] = new StoveAlarm(
                'never-warm',
                'care',
                sprintf(
                    'On this setting it does not come into the band, from %s. Take a higher one, or put the lid on.',
                    $this->warmths->warmth($band->low),
                ),
            );
        }
        if ($bath->heldByFloating) {
            $warnings[] = new StoveAlarm(
                'floats',
                'care',
                'With more water a jar would float and tip. A weight on its lid, or less water.',
            );
        }
        if (! $learned) {
            $warnings[] = new StoveAlarm(
                'not-learned',
                'note',
                'Nobody has learned this pot yet: these are a common pot’s figures. One logged warm-up narrows them.',
            );
        }

        return $warnings;
    }
}
