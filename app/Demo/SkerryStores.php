<?php

namespace App\Demo;

use App\Actions\Almanac\SaveOwn;
use App\Actions\Stores\CheckLot;
use App\Actions\Stores\SaveLot;
use App\Models\BottleSize;
use App\Models\House;
use App\Models\Jar;
use App\Models\Lot;
use Illuminate\Support\Carbon;

/** What stands in the cupboard of Skerry House: enough, too little, going off and gone off. */
final readonly class SkerryStores
{
    public function __construct(private DemoClock $clock, private SaveLot $keep, private CheckLot $check, private SaveOwn $own) {}

    /** What stands in the cupboard: enough, too little, going off and gone off. */
    public function lay(): void
    {
        // Grown behind the wall, in no table, and looked up but for whether it is food.
        $this->own->add([
            'kind' => 'plant',
            'name' => 'sea holly',
            'form' => 'root',
            'part' => 'root',
            'family' => 'carrot',
            'concerns' => [],
            'water' => 75,
            'note' => 'From the shingle below the wall; a little of it, the rest is left.',
        ]);
        $day = fn (int $ago) => $this->clock->today->copy()->subDays($ago)->format('Y-m-d');
        $lots = [
            [
                100,
                [
                    'kind' => 'carrier',
                    'material' => 'olive',
                    'amount' => '3 L',
                    'price' => '27',
                    'got_how' => 'bought',
                    'got_where' => 'the pier shop',
                    'opened_on' => $day(98),
                    'best_before' => $day(-300),
                    'food_grade' => 'yes',
                ],
            ],
            [
                100,
                [
                    'kind' => 'carrier',
                    'material' => 'sunflower',
                    'amount' => '3 L',
                    'price' => '7.80',
                    'got_how' => 'bought',
                    'got_where' => 'the pier shop',
                    'opened_on' => $day(95),
                    'best_before' => $day(-19),
                    'food_grade' => 'yes',
                ],
            ],
            [
                60,
                [
                    'kind' => 'carrier',
                    'material' => 'sunflower-high-oleic',
                    'amount' => '2 L',
                    'price' => '11',
                    'got_how' => 'bought',
                    'got_where' => 'the mainland',
                    'opened_on' => $day(50),
                    'best_before' => $day(-420),
                    'food_grade' => 'yes',
                ],
            ],
            [
                70,
                [
                    'kind' => 'carrier',
                    'material' => 'jojoba',
                    'amount' => '1 L',
                    'price' => '46',
                    'got_how' => 'bought',
                    'got_where' => 'the mainland',
                    'opened_on' => $day(45),
                    'best_before' => $day(-700),
                ],
            ],
            [
                70,
                [
                    'kind' => 'carrier',
                    'material' => 'rice-bran',
                    'amount' => '500 mL',
                    'price' => '5.20',
                    'got_how' => 'bought',
                    'got_where' => 'the mainland',
                    'opened_on' => $day(14),
                    'best_before' => $day(-200),
                    'food_grade' => 'yes',
                ],
            ],
            [
                70,
                [
                    'kind' => 'carrier',
                    'material' => 'camellia',
                    'amount' => '1 L',
                    'price' => '24',
                    'got_how' => 'bought',
                    'got_where' => 'the mainland',
                    'opened_on' => $day(5),
                    'best_before' => $day(-380),
                    'food_grade' => 'yes',
                ],
            ],
            [
                150,
                [
                    'kind' => 'carrier',
                    'material' => 'sesame',
                    'amount' => '250 mL',
                    'price' => '4.10',
                    'got_how' => 'bought',
                    'got_where' => 'the pier shop',
                    'opened_on' => $day(149),
                    'best_before' => $day(6),
                    'food_grade' => 'yes',
                ],
            ],
            [
                40,
                [
                    'kind' => 'carrier',
                    'material' => 'coconut',
                    'amount' => '500 g',
                    'price' => '6.50',
                    'got_how' => 'bought',
                    'got_where' => 'the mainland',
                    'best_before' => $day(-500),
                    'food_grade' => 'yes',
                ],
            ],
            [
                400,
                [
                    'kind' => 'herb',
                    'material' => 'mugwort',
                    'amount' => '60 g',
                    'got_how' => 'gathered',
                    'got_where' => 'behind the pier',
                    'note' => 'Last year’s; look at it.',
                ],
            ],
            [
                53,
                [
                    'kind' => 'herb',
                    'material' => 'marshmallow-root',
                    'amount' => '210 g',
                    'got_how' => 'gathered',
                    'got_where' => 'the cottage bed',
                    'food_grade' => 'yes',
                ],
            ],
            [
                130,
                [
                    'kind' => 'herb',
                    'material' => 'self-heal',
                    'amount' => '320 g',
                    'got_how' => 'gathered',
                    'got_where' => 'the meadow',
                    'food_grade' => 'yes',
                ],
            ],
            [
                120,
                [
                    'kind' => 'herb',
                    'material' => 'calendula',
                    'amount' => '260 g',
                    'got_how' => 'gathered',
                    'got_where' => 'the walled garden',
                    'food_grade' => 'yes',
                ],
            ],
            [
                28,
                [
                    'kind' => 'herb',
                    'material' => 'calendula',
                    'called' => 'calendula from the mainland',
                    'amount' => '100 g',
                    'price' => '7.40',
                    'got_how' => 'bought',
                    'got_where' => 'the mainland',
                    'food_grade' => 'yes',
                ],
            ],
            [
                120,
                [
                    'kind' => 'herb',
                    'material' => 'meadowsweet',
                    'amount' => '110 g',
                    'got_how' => 'gathered',
                    'got_where' => 'the burnside',
                    'food_grade' => 'yes',
                ],
            ],
            [
                30,
                [
                    'kind' => 'herb',
                    'material' => 'orange-peel',
                    'amount' => '80 g',
                    'got_how' => 'gathered',
                    'got_where' => 'dried on the range',
                    'food_grade' => 'yes',
                ],
            ],
            [
                80,
                [
                    'kind' => 'wax',
                    'material' => 'beeswax',
                    'amount' => '500 g',
                    'price' => '9',
                    'got_how' => 'bought',
                    'got_where' => 'the beekeeper at the ferry',
                    'best_before' => $day(-1500),
                ],
            ],
            [
                80,
                [
                    'kind' => 'wax',
                    'material' => 'shea',
                    'amount' => '200 g',
                    'price' => '5',
                    'got_how' => 'bought',
                    'got_where' => 'the mainland',
                    'best_before' => $day(-350),
                ],
            ],
            [
                75,
                [
                    'kind' => 'scent',
                    'material' => 'lavender',
                    'amount' => '10 mL',
                    'price' => '6.50',
                    'got_how' => 'bought',
                    'got_where' => 'the mainland',
                    'best_before' => $day(-640),
                ],
            ],
        ];
        foreach ($lots as [$ago, $lot]) {
            // Written down on the day it was opened, or else got.
            $this->clock->at($ago, 9);
            if (isset($lot['opened_on'])) {
                Carbon::setTestNow(Carbon::parse($lot['opened_on'].' 09:00', $this->clock->today->getTimezone()));
            }
            $this->keep->add($lot + ['got_on' => $day($ago)]);
        }
        $this->clock->at(100, 9);
        foreach (
            [
                ['jar', Jar::query()->where('brim_ml', 505)->firstOrFail()->uid, '12'],
                ['bottle', BottleSize::query()->where('capacity_ml', 50)->firstOrFail()->uid, '6'],
            ] as [$kind, $size, $count]
        ) {
            $this->keep->add(['kind' => $kind, 'material' => $size, 'amount' => $count, 'got_on' => $day(100), 'low_at' => '8']);
        }
        $this->clock->at(70, 9);
        foreach ([[30, '24', '6'], [100, '10', '3']] as [$ml, $count, $low]) {
            $this->keep->add([
                'kind' => 'bottle',
                'material' => BottleSize::query()->where('capacity_ml', $ml)->firstOrFail()->uid,
                'amount' => $count,
                'got_on' => $day(70),
                'low_at' => $low,
            ]);
        }
        foreach ([['15 mL', '24', '7.20'], ['30 mL', '12', '4.80']] as [$size, $count, $price]) {
            $this->keep->add(['kind' => 'tin', 'material' => $size, 'amount' => $count, 'price' => $price, 'got_on' => $day(70)]);
        }
        $this->clock->at(2, 9, 20);
        ($this->check)(Lot::query()->where('material', 'mugwort')->firstOrFail(), [
            'scent' => 'faint',
            'colour' => 'paler',
            'snap' => 'snaps',
            'dust' => 'some',
        ]);
    }
}
