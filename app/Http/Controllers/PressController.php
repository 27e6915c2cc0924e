<?php

namespace App\Http\Controllers;

use App\Actions\Batches\Acknowledge;
use App\Actions\Batches\ChangePurpose;
use App\Actions\Batches\ChangeStorage;
use App\Actions\Batches\CheckBottles;
use App\Actions\Batches\Decant;
use App\Actions\Batches\NoteFault;
use App\Actions\Batches\UseBottle;
use App\Http\Requests;
use App\Models\Batch;
use App\OpenApi\Adds;
use App\OpenApi\Reads;
use App\Pages\Almanac\YieldPresenter;
use App\Pages\Batch\BatchPage;
use App\Pages\Batch\FaultPresenter;
use App\Pages\Press\PressPresenter;
use App\Pages\Press\ScalePresenter;
use App\Responses\YieldList;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Kettle\Diary\DiaryException;
use Kettle\Diary\Stage;
use Kettle\Infusion\Uptake;
use Kettle\Infusion\YieldException;

/** From the cloth to the shelf and after: poured off, filled, kept, used, smelled; what went wrong; what was learned. */
final class PressController extends Controller
{
    public function __construct(private readonly BatchPage $page) {}

    #[Adds('/houses/{house}/batches/{batch}/decant', 'BatchView', 'Pour off the sediment', 'PourOff')]
    public function decant(Requests\PourOff $form, Batch $batch, Decant $decant): JsonResponse
    {
        $decant($batch, $this->text($form->input('amount')), $form->boolean('again'), $this->text($form->input('note')));

        return $this->batch($batch);
    }

    #[Adds('/houses/{house}/batches/{batch}/filling', 'FillingView', 'Which bottles leave the least over', 'AskFilling')]
    public function filling(Requests\AskFilling $form, Batch $batch, PressPresenter $words): JsonResponse
    {
        if (! in_array($batch->stage, [Stage::Settling, Stage::Poured], true)) {
            throw DiaryException::notOpen('bottle');
        }
        $fixed = array_map(
            fn (array $line) => ['size' => (string) $line['size'], 'count' => (int) $line['count']],
            array_values((array) $form->input('fixed')),
        );

        return $this->json($words->filling($batch, $fixed, $form->boolean('from_stores', true), $this->text($form->input('vitamin_e'))));
    }

    #[Adds('/houses/{house}/batches/{batch}/use', 'BatchView', 'Use, give away or throw away from a bottle', 'UseBottle')]
    public function use(Requests\UseBottle $form, Batch $batch, UseBottle $use): JsonResponse
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

    #[Adds('/houses/{house}/batches/{batch}/check', 'BatchView', 'Smell what is bottled and hold it to the light', 'CheckBottles')]
    public function check(Requests\CheckBottles $form, Batch $batch, CheckBottles $check): JsonResponse
    {
        $check($batch, (array) $form->input('answers'), $this->text($form->input('note')));

        return $this->batch($batch);
    }

    #[Adds('/houses/{house}/batches/{batch}/keep', 'BatchView', 'Say where a batch stands, and its best-before is reckoned anew', 'Keep')]
    public function store(Requests\ChangeStorage $form, Batch $batch, ChangeStorage $change): JsonResponse
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

    #[Adds('/houses/{house}/batches/{batch}/purpose', 'BatchView', 'Put an oil to another purpose', 'ChangePurpose')]
    public function purpose(Requests\ChangePurpose $form, Batch $batch, ChangePurpose $change): JsonResponse
    {
        $change($batch, $form->string('purpose')->toString());

        return $this->batch($batch);
    }

    #[Adds('/houses/{house}/batches/{batch}/acknowledge', 'BatchView', 'Say that a caution was read', 'AcknowledgeCaution')]
    public function acknowledge(Requests\AcknowledgeCaution $form, Batch $batch, Acknowledge $acknowledge): JsonResponse
    {
        $acknowledge($batch, $form->string('caution')->toString());

        return $this->batch($batch);
    }

    #[
        Adds(
            '/houses/{house}/batches/{batch}/faults',
            'FaultsFound',
            'What is likely wrong with a batch, by what is seen and what its records say',
            'FindFault',
        ),
    ]
    public function faults(Requests\FindFault $form, Batch $batch, FaultPresenter $words): JsonResponse
    {
        return $this->json($words->found($this->signs($form), $batch));
    }

    #[Adds('/houses/{house}/batches/{batch}/faults/note', 'BatchView', 'Enter in the logbook what was seen to be wrong', 'FindFault')]
    public function noteFault(Requests\FindFault $form, Batch $batch, NoteFault $note): JsonResponse
    {
        $note($batch, $this->signs($form), $this->text($form->input('note')));

        return $this->batch($batch);
    }

    #[Reads('/houses/{house}/faults', 'FaultSigns', 'What may be seen or smelled')]
    public function faultSigns(FaultPresenter $words): JsonResponse
    {
        return $this->json($words->signs());
    }

    #[Adds('/houses/{house}/faults', 'FaultsFound', 'What is likely wrong, by what is seen alone', 'FindFault')]
    public function faultsOfAnything(Requests\FindFault $form, FaultPresenter $words): JsonResponse
    {
        return $this->json($words->found($this->signs($form), null));
    }

    #[Reads('/houses/{house}/yields', 'YieldList', 'What the house has learned of its yields')]
    public function yields(YieldPresenter $words): JsonResponse
    {
        return $this->json(new YieldList($words->lines()));
    }

    #[Reads('/houses/{house}/yields/one', 'YieldView', 'How one figure narrowed', ['form', 'way'])]
    public function oneYield(Request $request, YieldPresenter $words): JsonResponse
    {
        $way = $this->asked($request, 'way');
        if (! in_array($way, Uptake::WAYS, true)) {
            throw new YieldException('unknown', 'Herb is drained, squeezed or pressed.', 'way');
        }

        return $this->json($words->view(mb_substr($this->asked($request, 'form'), 0, 60), $way));
    }

    #[Reads('/houses/{house}/scale', 'ScaleView', 'What the simulated scale shows')]
    public function scale(ScalePresenter $scale): JsonResponse
    {
        return $this->json($scale->look());
    }

    #[Adds('/houses/{house}/scale', 'ScaleView', 'Put something on the simulated scale, or take it off', 'UseScale')]
    public function useScale(Requests\UseScale $form, ScalePresenter $scale): JsonResponse
    {
        $uid = $this->text($form->input('batch'));

        return $this->json(
            $scale->do($form->string('do')->toString(), $uid === null ? null : Batch::query()->where('uid', $uid)->firstOrFail()),
        );
    }

    /** @return list<string> */
    private function signs(Requests\FindFault $form): array
    {
        return array_values(array_unique(array_filter((array) $form->input('signs'), 'is_string')));
    }

    private function batch(Batch $batch): JsonResponse
    {
        return $this->json($this->page->of($batch));
    }

    private function text(mixed $value): ?string
    {
        return is_string($value) && trim($value) !== '' ? trim($value) : null;
    }
}
