<?php

namespace App\Demo;

use App\Actions\Batches\AddNote;
use App\Actions\Batches\DiscardBatch;
use App\Actions\Diary\Absences;
use App\Actions\Stove\Cookers;
use App\Actions\Stove\SimulatedProbe;
use App\Actions\Stove\StartSession;
use App\Actions\Stove\TakeReadings;
use App\Actions\Stove\Tend;
use App\Models\Batch;
use App\Models\Cooker;
use App\Models\House;
use App\Models\Probe;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Kettle\Material\Tables;

/** The cookers of Skerry House, one batch that got too hot last week, and what is warm today. */
final readonly class SkerryStove
{
    public function __construct(
        private DemoClock $clock,
        private SkerryHands $hands,
        private Tables $tables,
        private Absences $absences,
        private StartSession $warm,
        private Tend $tend,
        private TakeReadings $readings,
        private SimulatedProbe $simulated,
        private AddNote $note,
        private DiscardBatch $discard,
    ) {}

    public function lay(): void
    {
        $this->scorched();
        $this->warming();
    }

    /** The oval cooker, a thermometer to try things out with, and two days on the mainland. */
    public function cookers(): void
    {
        $this->clock->at(90, 9);
        foreach ($this->tables->table('vessels')->rows('cookers') as $row) {
            if ($row->text('id') === 'oval') {
                Cooker::query()->create(Cookers::ofTable($row));
            }
        }
        foreach (['the kitchen probe', 'the spare probe'] as $called) {
            Probe::query()->create(['uid' => Str::ulid()->toString(), 'called' => $called, 'kind' => Probe::SIMULATED]);
        }
        $this->clock->at(3, 20);
        $day = fn (int $ahead) => $this->clock->today->copy()->addDays($ahead)->format('Y-m-d');
        $this->absences->add($day(3), $day(4), 'the mainland, for the dentist');
    }

    /** One that got too hot last week. */
    private function scorched(): void
    {
        $this->clock->at(8, 8);
        $batch = $this->hands->begin('spruce-tips', ['sunflower'], '380', 'the shelter belt, May', [
            'method' => 'slow-cooker',
            'school' => 'usual',
        ]);
        $this->hands->done($batch, 'fill', 8, 8, 5);
        $this->clock->at(8, 8, 40);
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
            $this->clock->at(8, $hour, $minute);
            ($this->readings)($session, $eye, [['at' => Carbon::now()->getTimestamp(), 'c' => $celsius]]);
        }
        $this->clock->at(8, 14, 10);
        ($this->tend)($session->refresh(), 'end', null);
        ($this->note)($batch, 'On Low the water went to 74 °C before I looked. Smells toasted.', null);
        $this->clock->at(8, 14, 20);
        ($this->discard)($batch, 'Fried: smells of toast, not of spruce.');
    }

    /** And one warm this very day. */
    private function warming(): void
    {
        $this->clock->at(1, 19);
        $batch = $this->hands->begin('marshmallow-root', [], '473', 'the cottage bed, lifted 3 October', [
            'oils' => [['id' => 'sunflower', 'parts' => '2'], ['id' => 'jojoba', 'parts' => '1']],
            'method' => 'slow-cooker',
            'purpose' => 'salve',
        ]);
        $this->hands->done($batch, 'fill', 1, 19, 20);
        $this->clock->at(0, 6, 50);
        $gale = $this->hands->begin('sweet-gale', ['rice-bran'], '380', 'the bog behind the house', [
            'method' => 'slow-cooker',
            'school' => 'usual',
        ]);
        $this->hands->done($gale, 'fill', 0, 6, 55);
        $this->hands->begin('juniper-berry', ['olive'], '237', 'the lee of the quarry wall', [
            'method' => 'slow-cooker',
            'school' => 'woody',
            'ready_by' => $this->clock->today->copy()->addDays(9)->format('Y-m-d'),
        ]);
        $this->kettleOn($batch);
        $this->clock->at(9, 18);
        $this->hands->begin('vanilla', ['camellia'], '237', 'two pods from the fair', [
            'method' => 'cold',
            'ready_by' => $this->clock->today->copy()->addDays(33)->format('Y-m-d'),
            'purpose' => 'perfume',
        ]);
    }

    /** Warm since this morning; laid before morning, since some hours ago. */
    private function kettleOn(Batch $batch): void
    {
        $morning = $this->clock->today->copy()->setTime(7, 5);
        $began = $this->clock->now->copy()->subHours(3) < $morning ? $this->clock->now->copy()->subHours(3)->subMinutes(5) : $morning;
        Carbon::setTestNow($began);
        $probe = Probe::query()->where('called', 'the kitchen probe')->firstOrFail();
        $session = ($this->warm)($this->cooker('oval'), 'Warm', [$batch->uid], 'rim', $probe->uid, null, 1, 45.0);
        Carbon::setTestNow($began->copy()->addHours(2));
        $this->simulated->run($session, $probe->refresh());
        ($this->tend)($session->refresh(), 'shaken', null);
        Carbon::setTestNow($this->clock->now);
        $this->simulated->run($session->refresh(), $probe->refresh());
    }

    private function cooker(string $shape): string
    {
        return Cooker::query()->where('shape', $shape)->whereJsonContains('methods', 'slow-cooker')->firstOrFail()->uid;
    }
}
