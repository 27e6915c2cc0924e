<?php

namespace App\Demo;

use App\Actions\Melt\BeginMaking;
use App\Actions\Melt\WantProduct;
use App\Actions\Melt\WorkAtPot;
use App\Actions\Stores\CheckLot;
use App\Models\Batch;
use App\Models\Lot;
use App\Models\Making;
use Illuminate\Support\Carbon;
use Kettle\Diary\Stage;
use Kettle\Stores\LotKind;

/** What was melted at Skerry House: a salve corrected once, one for the fair, a butter that grained, and an oil whose sesame turned. */
final readonly class SkerryPots
{
    public function __construct(
        private DemoClock $clock,
        private BeginMaking $begin,
        private WorkAtPot $work,
        private CheckLot $check,
        private WantProduct $want,
    ) {}

    public function lay(): void
    {
        $this->recalled();
        $this->corrected();
        $this->grained();
        $this->forTheFair();
        $this->leaf();
        $this->wanted();
    }

    private function corrected(): void
    {
        $salve = $this->begun(11, 14, [
            'product' => 'salve',
            'oils' => [['batch' => $this->oil('heather')]],
            'tins' => [['ml' => 30, 'count' => 3]],
            'essential_oils' => [['id' => 'lavender', 'percent' => 1]],
        ]);
        $this->weighed($salve);
        $this->work->step($salve, 'melt', '66 C');
        $this->clock->at(11, 14, 40);
        $this->work->spoon($salve, 'too-soft', 'a-little', '18 C', '2 g');
        $this->work->mend($salve, 'beeswax', '2 g', null);
        $this->clock->at(11, 14, 55);
        $this->work->spoon($salve, 'right', 'plainly', '18 C', '1 g');
        $this->work->step($salve, 'drops', '52 C');
        $this->clock->at(11, 15, 10);
        $this->work->pour($salve, [['ml' => 30.0, 'count' => 3]], '1 mL', 'the bathroom cupboard');
        foreach (['set', 'wipe', 'label'] as $step) {
            $this->work->step($salve, $step, null);
        }
        $this->clock->at(8, 9);
        $this->work->gone($salve, 1, 'given', 'the ferry crew', null);
    }

    private function grained(): void
    {
        $butter = $this->begun(6, 19, ['product' => 'whipped-butter', 'total' => '200 g']);
        $this->weighed($butter);
        $this->work->step($butter, 'melt', '70 C');
        $this->clock->at(6, 20);
        $this->work->step($butter, 'whip', null);
        $this->work->pour($butter, [['ml' => 120.0, 'count' => 2]], null, 'the dresser');
        $this->clock->at(4, 8);
        $this->work->fault($butter, ['grainy']);
        $this->work->note(
            $butter,
            'Grained like sand: it stood in the warm kitchen and cooled too slowly. Melt it whole again and cool it on snow.',
            null,
        );
    }

    private function recalled(): void
    {
        $oil = $this->begun(24, 10, [
            'product' => 'massage-oil',
            'oils' => [['batch' => $this->oil('juniper-berry'), 'amount' => '60 mL']],
        ]);
        $this->weighed($oil);
        $this->clock->at(24, 10, 30);
        $this->work->pour($oil, [['ml' => 30.0, 'count' => 2]], null, 'the press in the hall');
        $this->clock->at(20, 16);
        $this->work->gone($oil, 1, 'given', 'the lighthouse', null);
        $sesame = Lot::query()->where('kind', LotKind::Carrier)->where('material', 'sesame')->first();
        if ($sesame !== null) {
            $this->clock->at(2, 11);
            ($this->check)($sesame, ['smell' => 'old', 'look' => 'clear', 'rim' => 'sticky']);
        }
    }

    private function forTheFair(): void
    {
        $salve = $this->begun(0, 8, [
            'product' => 'salve',
            'oils' => [['batch' => $this->oil('calendula')]],
            'tins' => [['ml' => 15, 'count' => 6]],
            'bears_c' => 28,
        ]);
        $this->work->note($salve, 'For the midwinter fair: six small ones, firm enough for a coat pocket.', null);
        $this->work->step($salve, 'dry', null);
        $this->clock->at(0, 8, 20);
        $this->work->weigh($salve, $salve->plan->pot->parts[0]->id, null);
    }

    /** An ointment that has leaf of the green house in it just now. */
    private function leaf(): void
    {
        $ago = fn (int $minutes) => Carbon::setTestNow($this->clock->now->copy()->subMinutes($minutes));
        $ago(75);
        $ointment = ($this->begin)(
            [
                'product' => 'ointment',
                'oils' => [['id' => 'olive', 'amount' => '60 mL']],
                'leaf' => ['id' => 'plantain-leaf', 'amount' => '15 g'],
                'tins' => [['ml' => 30]],
            ],
            ['leaf-in-it'],
        );
        $this->work->step($ointment, 'dry', null);
        $this->weighed($ointment);
        $this->work->step($ointment, 'melt', '64 C');
        $ago(50);
        $this->work->step($ointment, 'leaf', '55 C');
        $ago(20);
        $this->work->stir($ointment, '52 C');
    }

    /** Two that are wanted by a day: one of an oil that is not begun yet, one of an oil that stands on the sill. */
    private function wanted(): void
    {
        $this->clock->at(0, 8, 30);
        $this->want->keep([
            'product' => 'lip-balm',
            'oils' => [['infuse' => ['herbs' => [['id' => 'chamomile']], 'oils' => ['jojoba'], 'method' => 'double-boiler']]],
            'tins' => [['ml' => 10, 'count' => 12]],
            'ready_by' => Carbon::now()->addDays(16)->format('Y-m-d'),
        ]);
        $standing = Batch::query()
            ->whereIn('stage', [Stage::Planned, Stage::Steeping])
            ->where('purpose', 'skin')
            ->orderByDesc('strain_at')
            ->first();
        if ($standing !== null) {
            $this->want->keep([
                'product' => 'salve',
                'oils' => [['batch' => $standing->uid]],
                'tins' => [['ml' => 30, 'count' => 3]],
                'ready_by' => Carbon::instance($standing->strain_at)->addDays(10)->format('Y-m-d'),
            ]);
        }
    }

    /** @param  array<string, mixed>  $wish */
    private function begun(int $daysAgo, int $hour, array $wish): Making
    {
        $this->clock->at($daysAgo, $hour);

        return ($this->begin)($wish);
    }

    /** All that goes in warm, as it was planned. */
    private function weighed(Making $making): void
    {
        foreach ($making->plan->pot->cool(false)->parts as $part) {
            $this->work->weigh($making, $part->id, null);
        }
    }

    private function oil(string $herb): string
    {
        return Batch::query()
            ->whereJsonContains('herbs->all', ['herb' => $herb])
            ->whereNotNull('bottled_at')
            ->firstOrFail()->uid;
    }
}
