<?php

namespace App\Demo;

use App\Actions\Batches\AddNote;
use App\Actions\Batches\BottleBatch;
use App\Actions\Batches\ChangeStorage;
use App\Actions\Batches\CheckBottles;
use App\Actions\Batches\DiscardBatch;
use App\Actions\Batches\RecordTask;
use App\Actions\Batches\StartBatch;
use App\Actions\Batches\StrainBatch;
use App\Actions\Batches\UseBottle;
use App\Actions\Diary\Absences;
use App\Actions\Houses\CreateHouse;
use App\Actions\Looks\TakeLook;
use App\Actions\Recipes\SaveRecipe;
use App\Actions\Stores\CheckLot;
use App\Actions\Stores\SaveLot;
use App\Actions\Stove\Cookers;
use App\Actions\Stove\PlanDiary;
use App\Actions\Stove\SimulatedProbe;
use App\Actions\Stove\StartSession;
use App\Actions\Stove\TakeReadings;
use App\Actions\Stove\Tend;
use App\Models\Batch;
use App\Models\BottleSize;
use App\Models\Cooker;
use App\Models\DiaryMove;
use App\Models\House;
use App\Models\Jar;
use App\Models\LogEntry;
use App\Models\Lot;
use App\Models\Membership;
use App\Models\Probe;
use App\Models\Task;
use App\Models\Tenancy\CurrentHouse;
use App\Models\Tenancy\Role;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Str;
use Kettle\Material\Tables;

/**
 * The demo: an imaginary keeper's cottage on a windy northern island. All of it is invented.
 *
 * It is made by doing, through the same actions as anybody's, with the clock set back to each day;
 * so it is laid relative to the day it is loaded, and always true.
 */
final class SkerryHouse
{
    public const EMAIL = 'keeper@skerry.example';

    private Carbon $today;

    private Carbon $now;

    public function __construct(
        private readonly CreateHouse $createHouse,
        private readonly CurrentHouse $current,
        private readonly StartBatch $start,
        private readonly RecordTask $record,
        private readonly StrainBatch $strain,
        private readonly BottleBatch $bottle,
        private readonly AddNote $note,
        private readonly DiscardBatch $discard,
        private readonly SaveLot $keep,
        private readonly CheckLot $check,
        private readonly SaveRecipe $recipe,
        private readonly StartSession $warm,
        private readonly Tend $tend,
        private readonly TakeReadings $readings,
        private readonly SimulatedProbe $simulated,
        private readonly Absences $absences,
        private readonly Tables $tables,
        private readonly TakeLook $look,
        private readonly PlanDiary $diary,
        private readonly CheckBottles $smell,
        private readonly UseBottle $use,
        private readonly ChangeStorage $keeping,
    ) {}

    public static function find(): ?House
    {
        return House::query()->where('is_demo', true)->first();
    }

    /** Laid on an earlier day, and nobody has written in it since. */
    public function isStale(House $house): bool
    {
        return $this->current->within(
            $house,
            fn () => ! $house->created_at->isToday() && LogEntry::query()->where('recorded_at', '>', $house->created_at)->doesntExist(),
        );
    }

    public function lay(): House
    {
        $before = Carbon::getTestNow();
        $this->now = Carbon::now('Europe/London');
        $this->today = $this->now->copy()->startOfDay();
        $keeper = User::query()->firstOrCreate(
            ['email' => self::EMAIL],
            ['name' => 'Isa', 'password' => Str::random(40), 'prefs' => User::PREFS],
        );
        $helper = User::query()->firstOrCreate(
            ['email' => 'helper@skerry.example'],
            ['name' => 'Torin', 'password' => Str::random(40), 'prefs' => User::PREFS],
        );
        $house = ($this->createHouse)($keeper, [
            'name' => 'Skerry House',
            'time_zone' => 'Europe/London',
            'measures' => 'us',
            'is_demo' => true,
            'currency' => 'GBP',
            'latitude' => 59.25,
            'longitude' => -2.6,
            'height_m' => 15,
            'things' => ['shelf', 'sill', 'pan', 'pot', 'double-boiler', 'slow-cooker', 'thermometer'],
        ]);
        Membership::query()->create(['house_id' => $house->id, 'user_id' => $helper->id, 'role' => Role::Helper]);
        $signedIn = Auth::user();
        Auth::setUser($keeper);
        try {
            $this->current->within($house, fn () => $this->fill());
        } finally {
            Carbon::setTestNow($before);
            $signedIn instanceof User ? Auth::setUser($signedIn) : Auth::forgetUser();
        }

        return $house;
    }

    private function fill(): void
    {
        $this->stock();
        $this->stove();
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
        $this->at(29, 20);
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
        $this->scorched();
        $this->warming();
        // The days to come are placed as of now, with nothing moved that nobody saw.
        Carbon::setTestNow($this->now);
        ($this->diary)();
        DiaryMove::query()->delete();
    }

    /** What stands in the cupboard: enough, too little, going off and gone off. */
    private function stock(): void
    {
        $day = fn (int $ago) => $this->today->copy()->subDays($ago)->format('Y-m-d');
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
        ];
        foreach ($lots as [$ago, $lot]) {
            // Written down on the day it was opened, or else got.
            $this->at($ago, 9);
            if (isset($lot['opened_on'])) {
                Carbon::setTestNow(Carbon::parse($lot['opened_on'].' 09:00', $this->today->getTimezone()));
            }
            $this->keep->add($lot + ['got_on' => $day($ago)]);
        }
        $this->at(100, 9);
        foreach (
            [
                ['jar', Jar::query()->where('brim_ml', 505)->firstOrFail()->uid, '12'],
                ['bottle', BottleSize::query()->where('capacity_ml', 50)->firstOrFail()->uid, '6'],
            ] as [$kind, $size, $count]
        ) {
            $this->keep->add(['kind' => $kind, 'material' => $size, 'amount' => $count, 'got_on' => $day(100), 'low_at' => '8']);
        }
        $this->at(70, 9);
        foreach ([[30, '24', '6'], [100, '10', '3']] as [$ml, $count, $low]) {
            $this->keep->add([
                'kind' => 'bottle',
                'material' => BottleSize::query()->where('capacity_ml', $ml)->firstOrFail()->uid,
                'amount' => $count,
                'got_on' => $day(70),
                'low_at' => $low,
            ]);
        }
        $this->at(2, 9, 20);
        ($this->check)(Lot::query()->where('material', 'mugwort')->firstOrFail(), [
            'scent' => 'faint',
            'colour' => 'paler',
            'snap' => 'snaps',
            'dust' => 'some',
        ]);
        $this->recipes();
    }

    private function recipes(): void
    {
        $this->at(45, 20);
        $salve = $this->recipe->add('Harbour hands', 'The one everybody asks for at the fair.', [
            'herbs' => [['id' => 'calendula', 'parts' => '2'], ['id' => 'self-heal', 'parts' => '1']],
            'oils' => [['id' => 'sunflower-high-oleic', 'parts' => '3'], ['id' => 'jojoba', 'parts' => '1']],
            'purpose' => 'salve',
            'method' => 'slow-cooker',
            'finished' => ['count' => '6', 'size' => '50 mL'],
        ]);
        $this->at(16, 20);
        $this->recipe->edit(
            $salve,
            'Harbour hands',
            'Less jojoba: it is dear, and nobody could tell.',
            [
                'herbs' => [['id' => 'calendula', 'parts' => '2'], ['id' => 'self-heal', 'parts' => '1']],
                'oils' => [['id' => 'sunflower-high-oleic', 'parts' => '5'], ['id' => 'jojoba', 'parts' => '1']],
                'purpose' => 'salve',
                'method' => 'slow-cooker',
                'finished' => ['count' => '6', 'size' => '50 mL'],
            ],
            1,
        );
        $this->at(30, 20);
        $this->recipe->add('Lemon thyme for the table', 'A fortnight is enough.', [
            'herbs' => [['id' => 'lemon-thyme']],
            'oils' => ['olive'],
            'purpose' => 'kitchen',
            'method' => 'cold',
            'school' => 'two-weeks',
        ]);
    }

    /** Warm since this morning; laid before morning, since some hours ago. */
    private function kettleOn(Batch $batch): void
    {
        $morning = $this->today->copy()->setTime(7, 5);
        $began = $this->now->copy()->subHours(3) < $morning ? $this->now->copy()->subHours(3)->subMinutes(5) : $morning;
        Carbon::setTestNow($began);
        $probe = Probe::query()->where('called', 'the kitchen probe')->firstOrFail();
        $session = ($this->warm)($this->cooker('oval'), 'Warm', [$batch->uid], 'rim', $probe->uid, null, 1, 45.0);
        Carbon::setTestNow($began->copy()->addHours(2));
        $this->simulated->run($session, $probe->refresh());
        ($this->tend)($session->refresh(), 'shaken', null);
        Carbon::setTestNow($this->now);
        $this->simulated->run($session->refresh(), $probe->refresh());
    }

    private function cooker(string $shape): string
    {
        return Cooker::query()->where('shape', $shape)->whereJsonContains('methods', 'slow-cooker')->firstOrFail()->uid;
    }

    private function at(int $daysAgo, int $hour, int $minute = 0): void
    {
        Carbon::setTestNow($this->today->copy()->subDays($daysAgo)->setTime($hour, $minute));
    }

    /**
     * @param  list<string>  $oils
     * @param  array<string, mixed>  $more of the wish
     */
    private function begin(string $herb, array $oils, string $jar, string $origin, array $more = []): Batch
    {
        $brim = ['237' => 260, '380' => 405, '473' => 505, '750' => 790, '946' => 1000][$jar];
        $size = Jar::query()->where('brim_ml', $brim)->firstOrFail();

        return ($this->start)(['herb' => ['id' => $herb], 'oils' => $oils, 'jar' => $size->uid, ...$more], $origin);
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
        $this->at($daysAgo, 10);
        $batch = $this->begin($herb, $oils, $jar, $origin, ['method' => $method, 'school' => $school, 'purpose' => $purpose]);
        $this->done($batch, 'fill', $daysAgo, 10);
        $this->done($batch, 'top_up', $daysAgo, 11);
        for ($ago = $daysAgo - 7; $ago > 0; $ago -= 7) {
            $this->done($batch, 'check', $ago, 9, 30);
        }
        if ($shakenAgo < $daysAgo) {
            $this->done($batch, 'shake', $shakenAgo, 9, 30);
        }

        return $batch;
    }

    private function done(Batch $batch, string $task, int $daysAgo, int $hour, int $minute = 0): void
    {
        $this->at($daysAgo, $hour, $minute);
        if (Task::query()->where('batch_id', $batch->id)->where('key', $task)->where('open', true)->exists()) {
            ($this->record)($batch, $task, 'done', null, null);
        }
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
        $this->at($daysAgo, 10);
        $batch = $this->begin($herb, $oils, $jar, $origin, [
            'method' => 'cold',
            'school' => $after <= 14 ? 'two-weeks' : 'four-weeks',
            'purpose' => $purpose,
        ]);
        $this->done($batch, 'fill', $daysAgo, 10);
        $this->at($daysAgo - $after, 10);
        ($this->strain)($batch, $out, null);
        $this->done($batch, 'decant', $daysAgo - $after - 1, 11);
        $this->at($daysAgo - $after - 1, 12);
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
        $this->at(28, 18);
        ($this->smell)($heather, $well, null);
        ($this->use)($heather, 1, 'used', '15 mL', 'Isa’s hands, after the nets');
        $this->at(17, 13);
        ($this->keeping)($calendula, ['where' => 'larder, second shelf']);
        $this->at(10, 18);
        ($this->smell)($calendula, $well, null);
        $this->at(9, 11);
        ($this->use)($calendula, 4, 'given', null, 'the ferry crew');
        $this->at(6, 19);
        ($this->use)($thyme, 1, 'used', '2 tbsp', 'potatoes');
    }

    /** Fresh from the bed for the table: four days in the cold, read before it was begun. */
    private function cold(): void
    {
        $this->at(1, 11);
        $wish = [
            'herb' => ['id' => 'lemon-thyme', 'state' => 'fresh', 'amount' => '25 g'],
            'oils' => ['olive'],
            'purpose' => 'kitchen',
            'kept' => 'fridge',
            'method' => 'gentle-pan',
        ];
        $batch = ($this->start)($wish, 'the kitchen bed', null, ['four-days']);
        $this->done($batch, 'fill', 1, 11, 15);
        $this->done($batch, 'warm_on', 1, 11, 30);
        $this->done($batch, 'warm_off', 1, 11, 45);
        $this->at(1, 12);
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
        $this->at($strainedAgo, 15);
        ($this->strain)($batch, $out, null);
        if ($note !== null) {
            $this->at(0, 7, 40);
            ($this->note)($batch, $note, null);
        }
    }

    /** The oval cooker, a thermometer to try things out with, and two days on the mainland. */
    private function stove(): void
    {
        $this->at(90, 9);
        foreach ($this->tables->table('vessels')->rows('cookers') as $row) {
            if ($row->text('id') === 'oval') {
                Cooker::query()->create(Cookers::ofTable($row));
            }
        }
        foreach (['the kitchen probe', 'the spare probe'] as $called) {
            Probe::query()->create(['uid' => Str::ulid()->toString(), 'called' => $called, 'kind' => Probe::SIMULATED]);
        }
        $this->at(3, 20);
        $day = fn (int $ahead) => $this->today->copy()->addDays($ahead)->format('Y-m-d');
        $this->absences->add($day(3), $day(4), 'the mainland, for the dentist');
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
            $this->at($ago, 10, 20);
            ($this->look)($batch, $look($ago, $swatch, $plain));
            if ($scent > 0) {
                ($this->look)($batch, ['what' => 'scent', 'score' => $scent, 'swatch' => null] + $look($ago, $swatch));
            }
        }
    }

    /** One that got too hot last week. */
    private function scorched(): void
    {
        $this->at(8, 8);
        $batch = $this->begin('spruce-tips', ['sunflower'], '380', 'the shelter belt, May', [
            'method' => 'slow-cooker',
            'school' => 'usual',
        ]);
        $this->done($batch, 'fill', 8, 8, 5);
        $this->at(8, 8, 40);
        $session = ($this->warm)(
            $this->cooker('round'),
            'Low',
            [$batch->uid],
            'rim',
            Probe::HAND,
            null,
            1,
            null,
            'it is for the morning only, and I am by',
        );
        $eye = Probe::query()->where('kind', Probe::HAND)->firstOrFail();
        foreach ([[9, 15, 33], [9, 50, 46], [10, 40, 56], [11, 45, 63], [13, 0, 69], [14, 8, 74]] as [$hour, $minute, $celsius]) {
            $this->at(8, $hour, $minute);
            ($this->readings)($session, $eye, [['at' => Carbon::now()->getTimestamp(), 'c' => $celsius]]);
        }
        $this->at(8, 14, 10);
        ($this->tend)($session->refresh(), 'end', null);
        ($this->note)($batch, 'On Low the water went to 74 °C before I looked. Smells toasted.', null);
        $this->at(8, 14, 20);
        ($this->discard)($batch, 'Fried: smells of toast, not of spruce.');
    }

    /** And one warm this very day. */
    private function warming(): void
    {
        $this->at(1, 19);
        $batch = $this->begin('marshmallow-root', [], '473', 'the cottage bed, lifted 3 October', [
            'oils' => [['id' => 'sunflower', 'parts' => '2'], ['id' => 'jojoba', 'parts' => '1']],
            'method' => 'slow-cooker',
            'purpose' => 'salve',
        ]);
        $this->done($batch, 'fill', 1, 19, 20);
        $this->at(0, 6, 50);
        $gale = $this->begin('sweet-gale', ['rice-bran'], '380', 'the bog behind the house', [
            'method' => 'slow-cooker',
            'school' => 'usual',
        ]);
        $this->done($gale, 'fill', 0, 6, 55);
        $this->begin('juniper-berry', ['olive'], '237', 'the lee of the quarry wall', [
            'method' => 'slow-cooker',
            'school' => 'woody',
            'ready_by' => $this->today->copy()->addDays(9)->format('Y-m-d'),
        ]);
        $this->kettleOn($batch);
        $this->at(9, 18);
        $this->begin('vanilla', ['camellia'], '237', 'two pods from the fair', [
            'method' => 'cold',
            'ready_by' => $this->today->copy()->addDays(33)->format('Y-m-d'),
            'purpose' => 'perfume',
        ]);
    }
}
