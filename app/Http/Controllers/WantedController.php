<?php

namespace App\Http\Controllers;

use App\Actions\Melt\WantProduct;
use App\Http\Requests;
use App\Models\Wanted;
use App\OpenApi\Operation;
use App\Pages\Making\WantedPage;
use App\Responses\Making\WantedList;

/** Products that are wanted by a day: kept, changed, given up. Each answers with all that are open. */
final class WantedController extends Controller
{
    public function __construct(private readonly WantedPage $page, private readonly WantProduct $want) {}

    #[Operation('Products that are wanted by a day')]
    public function index(): WantedList
    {
        return $this->page->listed();
    }

    #[Operation('Keep a product for the day it is wanted')]
    public function add(Requests\WantProduct $form): WantedList
    {
        $this->want->keep($form->wish());

        return $this->page->listed();
    }

    #[Operation('Want it otherwise')]
    public function change(Requests\WantProduct $form, Wanted $wanted): WantedList
    {
        $this->want->keep($form->wish(), $wanted);

        return $this->page->listed();
    }

    #[Operation('It is not wanted any more')]
    public function remove(Wanted $wanted): WantedList
    {
        $this->want->giveUp($wanted);

        return $this->page->listed();
    }
}
