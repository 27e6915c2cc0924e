<?php

namespace App\Http\Controllers;

use App\Actions\Stove\ReadingsCsv;
use App\Actions\Stove\StartSession;
use App\Actions\Stove\TakeBack;
use App\Actions\Stove\TakeReadings;
use App\Actions\Stove\Tend;
use App\House\WhenDone;
use App\Http\AskedException;
use App\Http\Requests;
use App\Models\Batch;
use App\Models\Probe;
use App\Models\StoveSession;
use App\OpenApi\Operation;
use App\Pages\Batch\CautionPresenter;
use App\Pages\Stove\OutlookPresenter;
use App\Pages\Stove\PotPresenter;
use App\Pages\Stove\StovePresenter;
use App\Responses\Batch\CautionList;
use App\Responses\Batch\CautionView;
use App\Responses\Stove\PotOutlook;
use App\Responses\Stove\ReadingsTaken;
use App\Responses\Stove\StovePage;
use App\Responses\Stove\StoveView;
use Illuminate\Http\Request;
use Kettle\Caution\Caution;
use Kettle\Vessel\WaterBath;
use Kettle\Warmth\WarmthException;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** What is warm: begun, watched, tended, ended. Each write answers with the pot as it stands. */
final class StoveController extends Controller
{
    /** Jars one pot is asked about. */
    private const JARS = 24;

    public function __construct(private readonly PotPresenter $words, private readonly StovePresenter $page) {}

    #[Operation('What is warm, and what wants warmth')]
    public function index(): StovePage
    {
        return $this->page->page();
    }

    #[Operation('A warm pot')]
    public function show(StoveSession $session): StoveView
    {
        return $this->pot($session);
    }

    #[Operation('The cautions of what is put to warm together', query: ['batches'])]
    public function cautions(Request $request, CautionPresenter $words): CautionList
    {
        $asked = array_unique(array_filter(explode(',', $this->asked($request, 'batches')), fn (string $uid) => $uid !== ''));
        if (count($asked) > self::JARS) {
            throw AskedException::tooMany('batches', self::JARS);
        }
        $batches = Batch::query()->whereIn('uid', $asked)->orderBy('id')->get();
        // Of a jar left out, nobody would be warned.
        if ($batches->count() < count($asked)) {
            throw new NotFoundHttpException();
        }

        return new CautionList(
            array_values(
                $batches
                    ->flatMap(fn (Batch $batch) => $words->of($batch, 'stove'))
                    ->unique(fn (CautionView $caution) => $caution->says)
                    ->sortBy(fn (CautionView $caution) => array_search($caution->rank, Caution::RANKS, true))
                    ->all(),
            ),
        );
    }

    #[Operation('What a pot will do')]
    public function outlook(Requests\PlanPot $form, OutlookPresenter $outlook): PotOutlook
    {
        return $outlook(
            $form->string('cooker')->toString(),
            $form->string('setting')->toString(),
            $this->texts($form->input('batches')),
            $form->string('school')->toString(),
            $this->poured($form->input('poured')),
        );
    }

    #[Operation('Jars into a cooker, and on')]
    public function start(Requests\StartSession $form, StartSession $start): StoveView
    {
        $water = $form->input('water');

        return $this->pot(
            $start(
                $form->string('cooker')->toString(),
                $form->string('setting')->toString(),
                $this->texts($form->input('batches')),
                $form->string('school')->toString(),
                $form->string('watch')->toString(),
                is_string($water) ? $water : null,
                max(1, $form->integer('speed')),
                $this->poured($form->input('poured')),
                $form->string('confirmed')->toString(),
            ),
        );
    }

    #[Operation('Something done at the stove')]
    public function tend(Requests\TendPot $form, StoveSession $session, Tend $tend): StoveView
    {
        $with = $form->input('with');
        $tend($session, $form->string('what')->toString(), is_string($with) ? $with : null, $form->string('confirmed')->toString());

        return $this->pot($session);
    }

    #[Operation('A warmth read by eye')]
    public function reading(Requests\WriteReading $form, StoveSession $session, TakeReadings $take, WhenDone $done): StoveView
    {
        $celsius = $this->page->byEye($form->string('warmth')->toString(), $session->core());
        $probe = $this->probeOf($session);
        $probe->kind === Probe::HAND || throw WarmthException::sends($probe->called)->about('warmth');
        $took = $take($session, $probe, [['at' => $session->own($done->at()), 'c' => $celsius]]);
        if ($took['refused'] !== []) {
            throw (new WarmthException('out_of_range', $took['refused'][0]['sentence']))->about('warmth');
        }
        if ($took['taken'] === 0) {
            throw (new WarmthException('doubled', 'There is a reading of this very second already. Wait a moment.'))->about('warmth');
        }

        return $this->pot($session->refresh());
    }

    #[Operation('A warmth read by eye, a shaking, a topping up or the last that was switched, taken back')]
    public function undo(Requests\UndoEntry $form, StoveSession $session, TakeBack $back): StoveView
    {
        $back($session, $form->string('entry')->toString());

        return $this->pot($session);
    }

    #[Operation('Readings of this session out of a CSV file')]
    public function csv(Requests\ReadCsv $form, StoveSession $session, ReadingsCsv $take): ReadingsTaken
    {
        return $take($session, $this->probeOf($session), $form->bytes(), $form->boolean('do'));
    }

    private function probeOf(StoveSession $session): Probe
    {
        if ($session->state === StoveSession::ENDED) {
            throw new WarmthException('ended', 'This is over; nothing is added to it any more.', 'readings');
        }
        $standing = $session->probes()->orderBy('probe_id')->with('probe')->first();

        return $standing->probe ?? throw new WarmthException('unknown', 'No thermometer stands in this pot.', 'readings');
    }

    private function pot(StoveSession $session): StoveView
    {
        return $this->words->view($session->load(['jars.batch', 'probes.probe', 'cooker']));
    }

    /** Hand-hot is as warm as a hand bears: common practice, no source. */
    private function poured(mixed $how): ?float
    {
        return $how === 'hand-hot' ? WaterBath::HAND_HOT_C : null;
    }

    /** @return list<string> */
    private function texts(mixed $list): array
    {
        return array_values(array_filter(is_array($list) ? $list : [], 'is_string'));
    }
}
