<?php

namespace App\Http\Controllers;

use App\Actions\Batches\Acknowledge;
use App\Actions\Batches\ChangePurpose;
use App\Actions\Batches\ChangeStorage;
use App\Actions\Batches\CheckBottles;
use App\Actions\Batches\Decant;
use App\Actions\Batches\NoteFault;
use App\Actions\Batches\SayReady;
use App\Actions\Batches\TopUpBottle;
use App\Actions\Batches\UseBottle;
use App\Http\Requests;
use App\Models\Batch;
use App\Models\Making;
use App\OpenApi\Operation;
use App\Pages\Almanac\YieldPresenter;
use App\Pages\Batch\BatchPage;
use App\Pages\Batch\FaultPresenter;
use App\Pages\Press\PressPresenter;
use App\Pages\Press\ScalePresenter;
use App\Responses\Almanac\YieldList;
use App\Responses\Almanac\YieldView;
use App\Responses\Batch\BatchView;
use App\Responses\Batch\FaultsFound;
use App\Responses\Batch\FaultSigns;
use App\Responses\Press\FillingView;
use App\Responses\Press\ScaleView;
use Illuminate\Http\Request;
use Kettle\Diary\DiaryException;
use Kettle\Diary\Stage;
use Kettle\Infusion\Uptake;
use Kettle\Infusion\YieldException;

/** From the cloth to the shelf and after: poured off, filled, kept, used, smelled; what went wrong; what was learned. */
final class PressController extends Controller
{
    public function __construct(private readonly BatchPage $page) {}

    #[Operation('Pour off the sediment')]
    public function decant(Requests\PourOff $form, Batch $batch, Decant $decant): BatchView
    {
        $decant($batch, $this->text($form->input('amount')), $form->boolean('again'), $this->text($form->input('note')));

        return $this->batch($batch);
    }

    #[Operation('Say that what is never strained is ready')]
    public function ready(Requests\SayReady $form, Batch $batch, SayReady $ready): BatchView
    {
        $ready($batch, $form->string('warmth')->toString());

        return $this->batch($batch);
    }

    #[Operation('Top up what is used from the top')]
    public function topUp(Requests\TopUp $form, Batch $batch, TopUpBottle $top): BatchView
    {
        $top($batch, $form->integer('bottle'), $form->string('amount')->toString());

        return $this->batch($batch);
    }

    #[Operation('Which bottles leave the least over')]
    public function filling(Requests\AskFilling $form, Batch $batch, PressPresenter $words): FillingView
    {
        if (! in_array($batch->stage, [Stage::Settling, Stage::Poured], true)) {
            throw DiaryException::notOpen('bottle');
        }

        return $words->filling(
            $batch,
            $form->counted('fixed'),
            $form->boolean('from_stores', true),
            $this->text($form->input('vitamin_e')),
        );
    }

    #[Operation('Use, give away or throw away from a bottle')]
    public function use(Requests\UseBottle $form, Batch $batch, UseBottle $use): BatchView
    {
        $use(
            $batch,
            $form->integer('bottle'),
            $form->string('how')->toString(),
            $this->text($form->input('amount')),
            $form->string('to')->trim()->toString(),
        );

        return $this->batch($batch);
    }

    #[Operation('Smell what is bottled and hold it to the light')]
    public function check(Requests\CheckBottles $form, Batch $batch, CheckBottles $check): BatchView
    {
        $check($batch, (array) $form->input('answers'), $this->text($form->input('note')));

        return $this->batch($batch);
    }

    #[Operation('Say where a batch stands, and its best-before is reckoned anew')]
    public function store(Requests\ChangeStorage $form, Batch $batch, ChangeStorage $change): BatchView
    {
        $change(
            $batch,
            array_filter([
                'place' => $this->text($form->input('place')) ?? '',
                'glass' => $this->text($form->input('glass')) ?? '',
                'antioxidant' => $this->text($form->input('antioxidant')) ?? '',
            ]) + ($form->has('where') ? ['where' => $form->string('where')->trim()->toString()] : []),
        );

        return $this->batch($batch);
    }

    #[Operation('Put an oil to another purpose')]
    public function purpose(Requests\ChangePurpose $form, Batch $batch, ChangePurpose $change): BatchView
    {
        $change($batch, $form->string('purpose')->toString());

        return $this->batch($batch);
    }

    #[Operation('Say that a caution was read')]
    public function acknowledge(Requests\AcknowledgeCaution $form, Batch $batch, Acknowledge $acknowledge): BatchView
    {
        $acknowledge($batch, $form->string('caution')->toString());

        return $this->batch($batch);
    }

    #[Operation('What is likely wrong with a batch, by what is seen and what its records say')]
    public function faults(Requests\FindFault $form, Batch $batch, FaultPresenter $words): FaultsFound
    {
        return $words->found($this->signs($form), $batch);
    }

    #[Operation('Enter in the logbook what was seen to be wrong')]
    public function noteFault(Requests\FindFault $form, Batch $batch, NoteFault $note): BatchView
    {
        $note($batch, $this->signs($form), $this->text($form->input('note')));

        return $this->batch($batch);
    }

    #[Operation('What may be seen or smelled')]
    public function faultSigns(FaultPresenter $words): FaultSigns
    {
        return $words->signs();
    }

    #[Operation('What is likely wrong, by what is seen alone')]
    public function faultsOfAnything(Requests\FindFault $form, FaultPresenter $words): FaultsFound
    {
        return $words->found($this->signs($form), null);
    }

    #[Operation('What the house has learned of its yields')]
    public function yields(YieldPresenter $words): YieldList
    {
        return new YieldList($words->lines());
    }

    #[Operation('How one figure narrowed', query: ['form', 'way' => Uptake::WAYS])]
    public function oneYield(Request $request, YieldPresenter $words): YieldView
    {
        $way = $this->asked($request, 'way');
        if (! in_array($way, Uptake::WAYS, true)) {
            throw new YieldException('unknown', 'Herb is drained, squeezed or pressed.', 'way');
        }

        return $words->view(mb_substr($this->asked($request, 'form'), 0, 60), $way);
    }

    #[Operation('What the simulated scale shows')]
    public function scale(ScalePresenter $scale): ScaleView
    {
        return $scale->look();
    }

    #[Operation('Put something on the simulated scale, or take it off')]
    public function useScale(Requests\UseScale $form, ScalePresenter $scale): ScaleView
    {
        $of = fn (string $field): ?string => $this->text($form->input($field));
        if ($form->input('do') === 'part') {
            $making = Making::query()
                ->where('uid', $of('making') ?? '')
                ->firstOrFail();

            return $scale->part($making, $of('part') ?? '');
        }

        return $scale->do(
            $form->string('do')->toString(),
            $of('batch') === null ? null : Batch::query()->where('uid', $of('batch'))->firstOrFail(),
        );
    }

    /** @return list<string> */
    private function signs(Requests\FindFault $form): array
    {
        return array_values(array_unique(array_filter((array) $form->input('signs'), 'is_string')));
    }

    private function batch(Batch $batch): BatchView
    {
        return $this->page->of($batch);
    }
}
