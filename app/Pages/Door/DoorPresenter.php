<?php

namespace App\Pages\Door;

use App\Responses\Door\DoorExample;
use Illuminate\Support\Carbon;
use Kettle\Material\Tables;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Recipe\KitchenReader;
use Kettle\Recipe\Planning;
use Kettle\Time\Dates;

/** What stands at the door, before anybody is in: one making, reckoned as any other is. */
final readonly class DoorPresenter
{
    private const WISH = ['herb' => ['id' => 'marshmallow-root'], 'oils' => ['sunflower'], 'jar' => '473', 'purpose' => 'salve'];

    private const BOTTLE_ML = 50.0;

    public function __construct(private Planning $planning, private Tables $tables) {}

    public function example(): DoorExample
    {
        $plan = $this->planning->plan(
            self::WISH,
            KitchenReader::read(['measures' => 'metric'], Carbon::now()->toDateTimeImmutable(), $this->tables, $this->planning->cupboard()),
        );
        $jar = $plan->amounts->jar;
        $levels = $plan->amounts->levels;
        $out = $plan->figures['yield_volume']->number();

        return new DoorExample(
            $jar->called,
            $jar->heightMm,
            round($jar->diameterMm(), 1),
            round($levels->bedMm, 1),
            round($levels->levelMm, 1),
            AmountWriter::plain($plan->amounts->herbG, Kind::Mass).' of '.$plan->wish->mix->name(),
            AmountWriter::plain($plan->amounts->oilMl, Kind::Volume).' of '.$plan->wish->blend->name(),
            AmountWriter::span($plan->wish->variant->usualH).' on the shelf',
            round($jar->heightOf($out), 1),
            AmountWriter::plain($out, Kind::Volume).' comes out',
            (int) floor($out / self::BOTTLE_ML),
            self::BOTTLE_ML,
            AmountWriter::plain(self::BOTTLE_ML, Kind::Volume),
            'best before '.Dates::say(new \DateTimeImmutable($plan->figures['best_before']->text()), 'month'),
        );
    }
}
