<?php

namespace App\Http\Controllers;

use App\Actions\Boil\BeginBoil;
use App\Actions\Boil\TendBoil;
use App\Http\Requests;
use App\Models\Boil;
use App\OpenApi\Operation;
use App\Pages\Boil\BoilList;
use App\Pages\Boil\Measures;
use App\Pages\Boil\PotPage;
use App\Responses\Boil\Boils;
use App\Responses\Boil\PotView;

/** A pot that is boiled down: begun, marked, covered, looked at, strained. Each write answers with the pot as it stands. */
final class BoilsController extends Controller
{
    public function __construct(private readonly PotPage $page, private readonly TendBoil $tend) {}

    #[Operation('Pots at the stove, and what came of them and is here')]
    public function index(BoilList $list): Boils
    {
        return $list->withRates();
    }

    #[Operation('Begin a pot that is boiled down, as it was planned')]
    public function begin(Requests\BeginBoil $form, BeginBoil $begin, Measures $measures): PotView
    {
        return $this->page->of(
            $begin(
                $form->what(),
                [...$form->asked(), ...$measures->read($form->measures())],
                $form->typed(),
                $form->acknowledged(),
                $form->from(),
            ),
        );
    }

    #[Operation('A pot that is boiled down: its level, its end, its signs and its logbook')]
    public function show(Boil $boil): PotView
    {
        return $this->page->of($boil);
    }

    #[Operation('Put a pot over the flame, or take it off and cover it')]
    public function flame(Requests\TurnFlame $form, Boil $boil): PotView
    {
        $this->tend->flame($boil, $form->boolean('on'), $this->text($form->input('at')));

        return $this->page->of($boil);
    }

    #[Operation('Move a pot’s days: not over the flame before a time')]
    public function move(Requests\MoveBoil $form, Boil $boil): PotView
    {
        $this->tend->move($boil, $form->string('until')->trim()->toString(), $form->string('time')->trim()->toString());

        return $this->page->of($boil);
    }

    #[Operation('Write down how much stands in a pot')]
    public function mark(Requests\MarkLevel $form, Boil $boil): PotView
    {
        $this->tend->mark(
            $boil,
            $form->string('level')->trim()->toString(),
            $form->string('by')->toString(),
            $form->boolean('anew'),
            $this->text($form->input('at')),
        );

        return $this->page->of($boil);
    }

    #[Operation('Write down how warm a pot is')]
    public function warm(Requests\WarmBoil $form, Boil $boil): PotView
    {
        $this->tend->warm($boil, $form->string('warmth')->trim()->toString(), $this->text($form->input('at')));

        return $this->page->of($boil);
    }

    #[Operation('Write down what was seen of the four signs')]
    public function signs(Requests\SeeSigns $form, Boil $boil): PotView
    {
        $this->tend->see($boil, $form->seen(), $this->text($form->input('at')));

        return $this->page->of($boil);
    }

    #[Operation('Strain a pot: what came of it')]
    public function strain(Requests\StrainBoil $form, Boil $boil): PotView
    {
        $this->tend->make(
            $boil,
            $form->string('amount')->trim()->toString(),
            $form->string('where')->trim()->toString(),
            $form->boolean('anyway'),
            array_values(array_filter((array) $form->input('acknowledged'), 'is_string')),
        );

        return $this->page->of($boil);
    }

    #[Operation('Take some of what came of a pot')]
    public function take(Requests\TakeOfBoil $form, Boil $boil): PotView
    {
        $this->tend->take(
            $boil,
            $form->string('amount')->trim()->toString(),
            $form->string('to')->toString(),
            $form->input('how') === 'given' ? 'given' : 'used',
        );

        return $this->page->of($boil);
    }

    #[Operation('Write a note in a pot’s logbook')]
    public function note(Requests\WriteNote $form, Boil $boil): PotView
    {
        $this->tend->note($boil, $form->string('note')->toString(), $this->text($form->input('corrects')));

        return $this->page->of($boil);
    }

    #[Operation('Undo a line of a pot')]
    public function undo(Requests\UndoEntry $form, Boil $boil): PotView
    {
        $this->tend->undo($boil, $form->string('entry')->toString());

        return $this->page->of($boil);
    }

    #[Operation('Throw away what is in a pot, with the reason')]
    public function discard(Requests\Discard $form, Boil $boil): PotView
    {
        $this->tend->discard($boil, $form->string('reason')->toString());

        return $this->page->of($boil);
    }
}
