<?php

namespace App\Demo;

use App\Actions\Boil\BeginBoil;
use App\Actions\Boil\TendBoil;

/** What is boiled down at Skerry House: an oil that is cleansed for days, covered for the night, and a decoction in the refrigerator. */
final readonly class SkerryBoils
{
    public function __construct(private DemoClock $clock, private BeginBoil $begin, private TendBoil $tend) {}

    public function lay(): void
    {
        $this->clock->at(2, 9, 30);
        $pot = ($this->begin)(
            'long-oil',
            [
                'stage' => 'cleanse',
                'oil' => '2.4 L',
                'carrier' => 'sesame',
                'pot' => ['diameter_mm' => 300.0, 'height_mm' => 300.0],
                'hours_a_day' => 8.0,
            ],
            ['what' => 'long-oil', 'stage' => 'cleanse', 'oil' => '2.4 L', 'carrier' => 'sesame', 'width' => '30 cm', 'height' => '30 cm'],
        );
        $days = [
            2 => [[10, 0, 176], [12, 0, 163], [14, 30, 152], [17, 0, 136]],
            1 => [[9, 0, 137], [11, 0, 127], [13, 30, 110]],
        ];
        foreach ($days as $ago => $marks) {
            foreach ($marks as $i => [$hour, $minute, $mm]) {
                $this->clock->at($ago, $hour, $minute);
                $i === 0 && $this->tend->flame($pot, true, null);
                $this->tend->mark($pot, "{$mm} mm", 'stick', false, null);
                $this->tend->warm($pot, $i === 0 ? '71 C' : '93 C', null);
            }
            $ago === 1 && $this->tend->see($pot, ['flame' => 'crackles', 'wick' => 'breaks', 'senses' => 'raw'], null);
            $this->tend->flame($pot, false, null);
        }

        $this->clock->at(1, 16);
        $decoction = ($this->begin)(
            'decoction',
            ['herbs' => [['id' => 'marshmallow-root']], 'herb' => '50 g'],
            ['what' => 'decoction', 'herbs' => ['marshmallow-root'], 'herb' => '50 g'],
        );
        $this->tend->flame($decoction, true, null);
        $this->clock->at(1, 16, 40);
        $this->tend->make($decoction, '190 mL', 'the refrigerator', false);
    }
}
