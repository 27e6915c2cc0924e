<?php

namespace App\Http\Controllers;

use App\Actions\People\Ending;
use App\Http\Requests;
use App\Models\Tenancy\CurrentHouse;
use App\OpenApi\Operation;
use App\Pages\House\HousePage;
use App\Responses\Door\EndingView;
use App\Responses\House\HouseView;
use Illuminate\Http\Request;

/** The end of a house and of an account, and taking it back. */
final class EndingController extends Controller
{
    public function __construct(private readonly Ending $ending) {}

    #[Operation('Have the house deleted, in two weeks')]
    public function endHouse(Requests\EndHouse $form, CurrentHouse $current, HousePage $page): HouseView
    {
        $this->ending->house($current->house(), $this->user($form), $form->string('name')->toString());

        return $page->view();
    }

    #[Operation('Keep the house after all')]
    public function keepHouse(Request $request, CurrentHouse $current, HousePage $page): HouseView
    {
        $this->ending->keepHouse($current->house(), $this->user($request));

        return $page->view();
    }

    #[Operation('When one\'s account is deleted, if it is')]
    public function show(Request $request): EndingView
    {
        return new EndingView($this->user($request)->goes_at?->format('j M'));
    }

    #[Operation('Have one\'s account deleted, in two weeks')]
    public function endAccount(Requests\PresentPassword $form): EndingView
    {
        $this->ending->account($this->user($form));

        return $this->show($form);
    }

    #[Operation('Keep one\'s account after all')]
    public function keepAccount(Request $request): EndingView
    {
        $this->ending->keepAccount($this->user($request));

        return $this->show($request);
    }
}
