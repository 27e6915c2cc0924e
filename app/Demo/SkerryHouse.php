<?php

namespace App\Demo;

use App\Actions\Batches\AddNote;
use App\Actions\Batches\BottleBatch;
use App\Actions\Batches\DiscardBatch;
use App\Actions\Batches\RecordTask;
use App\Actions\Batches\StartBatch;
use App\Actions\Batches\StrainBatch;
use App\Actions\Houses\CreateHouse;
use App\House\CurrentHouse;
use App\House\Role;
use App\Models\Batch;
use App\Models\BottleSize;
use App\Models\House;
use App\Models\Jar;
use App\Models\LogEntry;
use App\Models\Membership;
use App\Models\Task;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Str;

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

    public function __construct(
        private readonly CreateHouse $createHouse,
        private readonly CurrentHouse $current,
        private readonly StartBatch $start,
        private readonly RecordTask $record,
        private readonly StrainBatch $strain,
        private readonly BottleBatch $bottle,
        private readonly AddNote $note,
        private readonly DiscardBatch $discard,
    ) {
    }

    public static function find(): ?House
    {
        return House::query()->where('is_demo', true)->first();
    }

    /** Laid on an earlier day, and nobody has written in it since. */
    public function isStale(House $house): bool
    {
        return $this->current->within($house, fn () => ! $house->created_at->isToday()
            && LogEntry::query()->where('recorded_at', '>', $house->created_at)->doesntExist());
    }

    public function lay(): House
    {
        $before = Carbon::getTestNow();
        $this->today = Carbon::now('Europe/London')->startOfDay();
        $keeper = User::query()->firstOrCreate(['email' => self::EMAIL], ['name' => 'Isa', 'password' => Str::random(40), 'prefs' => User::PREFS]);
        $helper = User::query()->firstOrCreate(['email' => 'helper@skerry.example'], ['name' => 'Torin', 'password' => Str::random(40), 'prefs' => User::PREFS]);
        $house = ($this->createHouse)($keeper, ['name' => 'Skerry House', 'time_zone' => 'Europe/London', 'measures' => 'us', 'is_demo' => true]);
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
        $this->bottled(96, 'heather', ['olive'], '380', 60, '255 mL', ['50' => 5], 'the bank above the boathouse, cut in August');
        $odd = $this->bottled(58, 'juniper-berry', ['sesame'], '237', 28, '95 mL', ['30' => 3], 'the lee of the quarry wall');
        $this->at(29, 20);
        ($this->note)($odd, 'Far less than expected. The berries had swelled and I did not press them again.', null);
        $this->bottled(47, 'calendula', ['sunflower-high-oleic'], '473', 28, '350 mL', ['100' => 3, '50' => 1], 'the walled garden');
        $this->bottled(39, 'lemon-thyme', ['olive'], '237', 14, '150 mL', ['30' => 5], 'the kitchen bed', 'kitchen');
        $this->steeping(41, 'helichrysum', ['jojoba'], '473', 'four-weeks', 'dried flower, bought in May', shakenAgo: 6);
        $this->steeping(26, 'self-heal', ['sunflower'], '946', 'four-weeks', 'the meadow, July');
        $this->steeping(19, 'poplar-bud', ['olive'], '473', 'six-weeks', 'the two poplars by the gate, March', shakenAgo: 2);
        $this->steeping(12, 'sweet-gale', ['rice-bran'], '473', 'six-weeks', 'the bog behind the house');
        $this->steeping(9, 'orange-peel', ['olive'], '237', 'two-weeks', 'peeled and dried on the range', 'kitchen', shakenAgo: 2);
        $this->steeping(3, 'linden-blossom', ['camellia'], '750', 'four-weeks', 'sent from the mainland');
        $this->settling('meadowsweet', ['sunflower'], '310 mL', 1, 'the burnside, July', null);
        $this->settling('mullein-flower', ['olive'], '355 mL', 2, 'the south wall, August', 'A cloud in the middle since this morning. Warm a spoonful before bottling.');
        $this->scorched();
        $this->warming();
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
    private function steeping(int $daysAgo, string $herb, array $oils, string $jar, string $school, string $origin, string $purpose = 'skin', int $shakenAgo = 1): Batch
    {
        $this->at($daysAgo, 10);
        $batch = $this->begin($herb, $oils, $jar, $origin, ['method' => 'cold', 'school' => $school, 'purpose' => $purpose]);
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
    private function bottled(int $daysAgo, string $herb, array $oils, string $jar, int $after, string $out, array $bottles, string $origin, string $purpose = 'skin'): Batch
    {
        $this->at($daysAgo, 10);
        $batch = $this->begin($herb, $oils, $jar, $origin, ['method' => 'cold', 'school' => $after <= 14 ? 'two-weeks' : 'four-weeks', 'purpose' => $purpose]);
        $this->done($batch, 'fill', $daysAgo, 10);
        $this->at($daysAgo - $after, 10);
        ($this->strain)($batch, $out, null);
        $this->done($batch, 'decant', $daysAgo - $after - 1, 11);
        $this->at($daysAgo - $after - 1, 12);
        ($this->bottle)($batch, array_map(fn (int $ml, int $count) => [
            'size' => BottleSize::query()->where('capacity_ml', $ml)->firstOrFail()->uid, 'count' => $count,
        ], array_keys($bottles), $bottles), null);

        return $batch;
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

    /** One that got too hot last week. */
    private function scorched(): void
    {
        $this->at(8, 8);
        $batch = $this->begin('spruce-tips', ['sunflower'], '380', 'the shelter belt, May', ['method' => 'slow-cooker', 'school' => 'usual']);
        $this->done($batch, 'fill', 8, 8, 5);
        $this->done($batch, 'warm_on', 8, 8, 40);
        $this->at(8, 14, 10);
        ($this->note)($batch, 'On Low the water went to 74 °C before I looked. Smells toasted.', null);
        $this->at(8, 14, 20);
        ($this->discard)($batch, 'Fried: smells of toast, not of spruce.');
    }

    /** And one warm this very day. */
    private function warming(): void
    {
        $this->at(1, 19);
        $batch = $this->begin('marshmallow-root', [], '473', 'the cottage bed, lifted 3 October', [
            'oils' => [['id' => 'sunflower', 'parts' => '2'], ['id' => 'jojoba', 'parts' => '1']], 'method' => 'slow-cooker', 'purpose' => 'salve',
        ]);
        $this->done($batch, 'fill', 1, 19, 20);
        $this->done($batch, 'warm_on', 0, 7, 5);
        $this->at(9, 18);
        $this->begin('vanilla', ['camellia'], '237', 'two pods from the fair', ['method' => 'cold', 'ready_by' => $this->today->copy()->addDays(33)->format('Y-m-d'), 'purpose' => 'perfume']);
    }
}
