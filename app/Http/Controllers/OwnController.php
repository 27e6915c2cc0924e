<?php

namespace App\Http\Controllers;

use App\Actions\Almanac\SaveOwn;
use App\Http\Requests;
use App\Models\OwnThing;
use App\OpenApi\Operation;
use App\Pages\Almanac\OwnPage;
use App\Responses\Almanac\OwnChoices;
use App\Responses\Almanac\OwnSeen;
use App\Responses\Almanac\OwnView;

/** What a house enters as its own: plants, oils, waxes and essential oils. */
final class OwnController extends Controller
{
    public function __construct(private readonly OwnPage $page, private readonly SaveOwn $save) {}

    #[Operation('What may be chosen of, to enter a thing of one’s own')]
    public function choices(): OwnChoices
    {
        return $this->page->choices();
    }

    #[Operation('What a thing of one’s own would become, and what would be told of it; nothing is kept')]
    public function look(Requests\AddOwn $form): OwnSeen
    {
        return $this->page->seen((array) $form->input('own'));
    }

    #[Operation('Enter a plant, an oil, a wax or an essential oil of one’s own')]
    public function add(Requests\AddOwn $form): OwnView
    {
        return $this->page->view($this->save->add((array) $form->input('own')));
    }

    #[Operation('A thing of the house’s own, as it was entered')]
    public function show(OwnThing $own): OwnView
    {
        return $this->page->view($own);
    }

    #[Operation('Change what is known of a thing of one’s own')]
    public function edit(Requests\EditOwn $form, OwnThing $own): OwnView
    {
        return $this->page->view($this->save->edit($own, (array) $form->input('own'), $form->integer('version')));
    }
}
