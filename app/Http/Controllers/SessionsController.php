<?php

namespace App\Http\Controllers;

use App\Actions\People\SignedIn;
use App\Actions\People\Trail;
use App\OpenApi\Operation;
use App\Responses\Door\SignedInList;
use App\Responses\Door\SignedInView;
use Illuminate\Http\Request;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Where somebody is signed in: seen and ended by that person. */
final class SessionsController extends Controller
{
    public function __construct(private readonly SignedIn $signedIn, private readonly Trail $trail) {}

    #[Operation('Where one is signed in')]
    public function index(Request $request): SignedInList
    {
        return $this->all($request);
    }

    #[Operation('Sign out one place')]
    public function end(Request $request, string $session): SignedInList
    {
        if (! $this->signedIn->end($this->user($request), $session, $request->session()->getId())) {
            throw new NotFoundHttpException();
        }
        $this->trail->account(Trail::SIGNED_OUT, $this->user($request));

        return $this->all($request);
    }

    #[Operation('Sign out everywhere else')]
    public function endOthers(Request $request): SignedInList
    {
        $this->signedIn->endOthers($this->user($request), $request->session()->getId());
        $this->trail->account(Trail::SIGNED_OUT, $this->user($request));

        return $this->all($request);
    }

    private function all(Request $request): SignedInList
    {
        return new SignedInList(
            array_map(
                fn (array $each) => new SignedInView(
                    $each['id'],
                    $each['with'],
                    $each['from'],
                    $each['used']->diffInSeconds() < 60 ? 'just now' : $each['used']->diffForHumans(),
                    $each['here'],
                ),
                $this->signedIn->all($this->user($request), $request->session()->getId()),
            ),
            intdiv(config()->integer('session.lifetime'), 24 * 60),
            config()->integer('kettle.session_days'),
        );
    }
}
