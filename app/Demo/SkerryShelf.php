<?php

namespace App\Demo;

use App\Actions\Batches\AddNote;
use App\Actions\Batches\BottleBatch;
use App\Actions\Batches\ChangeStorage;
use App\Actions\Batches\CheckBottles;
use App\Actions\Batches\StartBatch;
use App\Actions\Batches\StrainBatch;
use App\Actions\Batches\UseBottle;
use App\Actions\Looks\TakeLook;
use App\Models\Batch;
use App\Models\BottleSize;
use App\Models\House;

/** What stands on the shelf of Skerry House, and what was strained and bottled. */
final readonly class SkerryShelf
{
    public function __construct(
        private DemoClock $clock,
        private SkerryHands $hands,
        private StartBatch $start,
        private StrainBatch $strain,
        private BottleBatch $bottle,
        private AddNote $note,
        private TakeLook $look,
        private CheckBottles $smell,
        private UseBottle $use,
        private ChangeStorage $keeping,
    ) {}

    public function lay(): void
    {
        $heather = $this->bottled(
            96,
            'heather',
            ['olive'],
            '380',
            60,
            '255 mL',
            ['50' => 5],
            'the bank above the boathouse, cut in August',
        );
        $odd = $this->bottled(58, 'juniper-berry', ['sesame'], '237', 28, '95 mL', ['30' => 3], 'the lee of the quarry wall');
        $this->clock->at(29, 20);
        ($this->note)($odd, 'Far less than expected. The berries had swelled and I did not press them again.', null);
        $calendula = $this->bottled(
            47,
            'calendula',
            ['sunflower-high-oleic'],
            '473',
            28,
            '350 mL',
            ['100' => 3, '50' => 1],
            'the walled garden',
        );
        $thyme = $this->bottled(39, 'lemon-thyme', ['olive'], '237', 14, '150 mL', ['30' => 5], 'the kitchen bed', 'kitchen');
        $this->steeping(41, 'helichrysum', ['jojoba'], '473', 'four-weeks', 'dried flower, bought in May', shakenAgo: 6);
        $this->watched($this->steeping(26, 'self-heal', ['sunflower'], '946', 'four-weeks', 'the meadow, July'));
        $this->steeping(19, 'poplar-bud', ['olive'], '473', 'six-weeks', 'the two poplars by the gate, March', shakenAgo: 2);
        $this->steeping(12, 'sweet-gale', ['rice-bran'], '473', 'six-weeks', 'the bog behind the house');
        $this->steeping(9, 'orange-peel', ['olive'], '237', 'two-weeks', 'peeled and dried on the range', 'kitchen', shakenAgo: 2);
        $this->steeping(17, 'heather', ['olive'], '380', 'four-weeks', 'the bank above the boathouse', method: 'solar');
        $this->steeping(3, 'linden-blossom', ['camellia'], '750', 'four-weeks', 'sent from the mainland');
        $this->settling('meadowsweet', ['sunflower'], '310 mL', 1, 'the burnside, July', null);
        $this->settling(
            'mullein-flower',
            ['olive'],
            '355 mL',
            2,
            'the south wall, August',
            'A cloud in the middle since this morning. Warm a spoonful before bottling.',
        );
        $this->kept($heather, $calendula, $thyme);
        $this->cold();
    }

    /** @param  list<string>  $oils */
    private function steeping(
        int $daysAgo,
        string $herb,
        array $oils,
        string $jar,
        string $school,
        string $origin,
        string $purpose = 'skin',
        int $shakenAgo = 1,
        string $method = 'cold',
    ): Batch {
        $this->clock->at($daysAgo, 10);
        $batch = $this->hands->begin($herb, $oils, $jar, $origin, ['method' => $method, 'school' => $school, 'purpose' => $purpose]);
        $this->hands->done($batch, 'fill', $daysAgo, 10);
        $this->hands->done($batch, 'top_up', $daysAgo, 11);
        for ($ago = $daysAgo - 7; $ago > 0; $ago -= 7) {
            $this->hands->done($batch, 'check', $ago, 9, 30);
        }
        if ($shakenAgo < $daysAgo) {
            $this->hands->done($batch, 'shake', $shakenAgo, 9, 30);
        }

        return $batch;
    }

    /**
     * @param  list<string>  $oils
     * @param  array<int, int>  $bottles counts by capacity
     */
    private function bottled(
        int $daysAgo,
        string $herb,
        array $oils,
        string $jar,
        int $after,
        string $out,
        array $bottles,
        string $origin,
        string $purpose = 'skin',
    ): Batch {
        $this->clock->at($daysAgo, 10);
        $batch = $this->hands->begin($herb, $oils, $jar, $origin, [
            'method' => 'cold',
            'school' => $after <= 14 ? 'two-weeks' : 'four-weeks',
            'purpose' => $purpose,
        ]);
        $this->hands->done($batch, 'fill', $daysAgo, 10);
        $this->clock->at($daysAgo - $after, 10);
        ($this->strain)($batch, $out, null);
        $this->hands->done($batch, 'decant', $daysAgo - $after - 1, 11);
        $this->clock->at($daysAgo - $after - 1, 12);
        ($this->bottle)(
            $batch,
            array_map(
                fn (int $ml, int $count) => [
                    'size' => BottleSize::query()->where('capacity_ml', $ml)->firstOrFail()->uid,
                    'count' => $count,
                ],
                array_keys($bottles),
                $bottles,
            ),
            null,
        );

        return $batch;
    }

    /** What became of the bottles: put away, smelled, used, given. */
    private function kept(Batch $heather, Batch $calendula, Batch $thyme): void
    {
        $well = ['smell' => 'itself', 'look' => 'clear', 'lid' => 'quiet'];
        $this->clock->at(28, 18);
        ($this->smell)($heather, $well, null);
        ($this->use)($heather, 1, 'used', '15 mL', 'Isa’s hands, after the nets');
        $this->clock->at(17, 13);
        ($this->keeping)($calendula, ['where' => 'larder, second shelf']);
        $this->clock->at(10, 18);
        ($this->smell)($calendula, $well, null);
        $this->clock->at(9, 11);
        ($this->use)($calendula, 4, 'given', null, 'the ferry crew');
        $this->clock->at(6, 19);
        ($this->use)($thyme, 1, 'used', '2 tbsp', 'potatoes');
    }

    /** Fresh from the bed for the table: four days in the cold, read before it was begun. */
    private function cold(): void
    {
        $this->clock->at(1, 11);
        $wish = [
            'herb' => ['id' => 'lemon-thyme', 'state' => 'fresh', 'amount' => '25 g'],
            'oils' => ['olive'],
            'purpose' => 'kitchen',
            'kept' => 'fridge',
            'method' => 'gentle-pan',
        ];
        $batch = ($this->start)($wish, 'the kitchen bed', null, ['four-days']);
        $this->hands->done($batch, 'fill', 1, 11, 15);
        $this->hands->done($batch, 'warm_on', 1, 11, 30);
        $this->hands->done($batch, 'warm_off', 1, 11, 45);
        $this->clock->at(1, 12);
        ($this->strain)($batch, '', null, [
            'gross' => '444 g',
            'tare' => '388 g',
            'way' => 'drained',
            'spent' => '41 g',
            'spent_to' => 'soup',
        ]);
    }

    /** @param  list<string>  $oils */
    private function settling(string $herb, array $oils, string $out, int $strainedAgo, string $origin, ?string $note): void
    {
        $batch = $this->steeping($strainedAgo + 28, $herb, $oils, '473', 'four-weeks', $origin);
        $this->clock->at($strainedAgo, 15);
        ($this->strain)($batch, $out, null);
        if ($note !== null) {
            $this->clock->at(0, 7, 40);
            ($this->note)($batch, $note, null);
        }
    }

    /** Looked at and smelled every few days, from the plain oil on. */
    private function watched(Batch $batch): void
    {
        $look = fn (int $ago, string $swatch, bool $plain = false) => [
            'what' => 'colour',
            'plain' => $plain,
            'swatch' => $swatch,
            'photo' => null,
            'oil' => null,
            'card' => null,
            'score' => null,
            'note' => null,
        ];
        foreach (
            [
                [26, '#f7edc3', true, 0],
                [23, '#e9dc9a', false, 2],
                [19, '#d9cb76', false, 4],
                [14, '#cbbd5e', false, 6],
                [8, '#c1b351', false, 7],
                [3, '#bcae4c', false, 7],
            ] as [$ago, $swatch, $plain, $scent]
        ) {
            $this->clock->at($ago, 10, 20);
            ($this->look)($batch, $look($ago, $swatch, $plain));
            if ($scent > 0) {
                ($this->look)($batch, ['what' => 'scent', 'score' => $scent, 'swatch' => null] + $look($ago, $swatch));
            }
        }
    }
}
