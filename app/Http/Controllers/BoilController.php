<?php

namespace App\Http\Controllers;

use App\Http\Requests\BoilDown;
use App\OpenApi\Operation;
use App\Pages\Boil\BoilPage;
use App\Responses\Boil\BoilView;
use App\Responses\Boil\SolventsView;
use Illuminate\Http\Request;

/** Decoctions, the long oil and glycerin extracts; amounts in, pot and days out. Nothing is kept. */
final class BoilController extends Controller
{
    #[Operation('Reckon what is boiled down')]
    public function reckon(BoilDown $form, BoilPage $page): BoilView
    {
        return $page->of($form->what(), $form->asked(), $form->measures(), $form->typed(), $form->from());
    }

    #[Operation('Which solvent at all, for a plant and a use', query: ['herb', 'use'])]
    public function solvents(Request $request, BoilPage $page): SolventsView
    {
        return $page->solvents($this->asked($request, 'herb'), $this->asked($request, 'use') ?: null);
    }
}
