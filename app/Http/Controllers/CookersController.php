<?php

namespace App\Http\Controllers;

use App\Actions\Stove\Cookers;
use App\Actions\Stove\PlanDiary;
use App\Actions\Stove\StartSession;
use App\Http\Requests;
use App\Models\Cooker;
use App\Models\Probe;
use App\Models\StoveSession;
use App\OpenApi\Operation;
use App\Pages\Stove\PotPresenter;
use App\Pages\Stove\StovePresenter;
use App\Responses\Stove\ProbeMade;
use App\Responses\Stove\StovePage;
use App\Responses\Stove\StoveView;
use Illuminate\Support\Str;
use Kettle\Reason\Said;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** The cookers and thermometers of the house. */
final class CookersController extends Controller
{
    public function __construct(
        private readonly StovePresenter $page,
        private readonly Cookers $cookers,
        private readonly PlanDiary $diary,
    ) {}

    #[Operation('Add a cooker')]
    public function add(Requests\AddCooker $form): StovePage
    {
        $width = $form->input('width');
        $this->cookers->add([
            'called' => $form->string('called')->trim()->toString(),
            'shape' => $form->string('shape')->toString(),
            'length' => $form->string('length')->toString(),
            'width' => is_string($width) ? $width : null,
            'height' => $form->string('height')->toString(),
            'method' => $form->string('method')->toString(),
        ]);
        ($this->diary)(Said::of('moved.cooker-more'));

        return $this->page->page();
    }

    #[Operation('Take a cooker off the list; what is warm in it goes on')]
    public function remove(string $cooker): StovePage
    {
        $found = Cooker::query()->where('uid', $cooker)->first() ?? throw new NotFoundHttpException();
        $this->cookers->remove($found);
        ($this->diary)(Said::of('moved.cooker-gone', ['cooker' => $found->called]));

        return $this->page->page();
    }

    #[Operation('Learn the pot from this session\'s warm-up')]
    public function learn(StoveSession $session, PotPresenter $words): StoveView
    {
        $fit = $this->cookers->learn($session->load('cooker'));
        StartSession::note($session, 'learned', ['watts' => round($fit->watts, 1), 'loss' => round($fit->lossWPerK, 3)]);
        $session->update(['version' => $session->version + 1]);

        return $words->view($session->load(['jars.batch', 'probes.probe', 'cooker']));
    }

    #[Operation('Add a thermometer that sends, or a simulated one')]
    public function addProbe(Requests\AddProbe $form): ProbeMade
    {
        $key = $form->string('kind')->toString() === Probe::SENDS ? Str::random(40) : null;
        $probe = Probe::query()->create([
            'uid' => Str::ulid()->toString(),
            'called' => $form->string('called')->trim()->toString(),
            'kind' => $form->string('kind')->toString(),
            'key_hash' => $key === null ? null : hash('sha256', $key),
        ]);

        return new ProbeMade($probe->uid, $probe->called, $probe->kind, $key, url('/api/readings'));
    }

    #[Operation('Take a thermometer off the list; its key stops working')]
    public function removeProbe(string $probe): StovePage
    {
        $found = Probe::query()->where('uid', $probe)->where('kind', '!=', Probe::HAND)->first() ?? throw new NotFoundHttpException();
        $found->update(['key_hash' => null]);
        $found->delete();

        return $this->page->page();
    }
}
