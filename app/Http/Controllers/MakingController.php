<?php

namespace App\Http\Controllers;

use App\Actions\Houses\YearAccount;
use App\Actions\Melt\BeginMaking;
use App\Actions\Melt\WorkAtPot;
use App\House\KitchenFactory;
use App\Http\Requests;
use App\Models\Making;
use App\OpenApi\Operation;
use App\Pages\Batch\FaultPresenter;
use App\Pages\Making\MakingPage;
use App\Responses\Batch\FaultsFound;
use App\Responses\Making\MakingList;
use App\Responses\Making\MakingView;
use App\Responses\Melt\ProductAgainView;
use Illuminate\Http\Request;
use Kettle\Making\Line\TinGone;
use Kettle\Material\Tables;
use Kettle\Melt\MeltTable;
use Kettle\Melt\ProductAgain;
use Kettle\Recipe\WishException;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** A product: begun, weighed, tried, mended, poured, given away, undone. Each write answers with the product as it stands. */
final class MakingController extends Controller
{
    public function __construct(private readonly MakingPage $page, private readonly WorkAtPot $work) {}

    #[Operation('Products that are in the pot, or that still stand somewhere')]
    public function index(): MakingList
    {
        return $this->page->listed();
    }

    #[Operation('What was made in a year, and what became of it', query: ['year' => '^(19|20|21)\d\d$'], gives: 'text/csv')]
    public function account(Request $request, YearAccount $account, KitchenFactory $kitchens): StreamedResponse
    {
        $typed = $this->asked($request, 'year') ?: $kitchens->now()->format('Y');

        return new StreamedResponse(fn () => $account->write((int) $typed), 200, [
            'Content-Type' => 'text/csv; charset=UTF-8',
            'Content-Disposition' => "attachment; filename=\"made-{$typed}.csv\"",
        ]);
    }

    #[Operation('Begin a product from a wish')]
    public function start(Requests\BeginMaking $form, BeginMaking $begin): MakingView
    {
        return $this->page->of(
            $begin(
                $form->wish(),
                array_values(array_filter((array) $form->input('acknowledged'), 'is_string')),
                $this->text($form->input('wanted')),
            ),
        );
    }

    #[Operation('A product')]
    public function show(Making $making): MakingView
    {
        return $this->page->of($making);
    }

    #[Operation('The wish to make a product again, or so many times as much', query: ['times'])]
    public function again(Request $request, Making $making, Tables $tables): ProductAgainView
    {
        $times = $request->query('times', '1');
        if (! is_string($times) || ! is_numeric($times)) {
            throw WishException::one('times', 'unreadable', 'Say how many times as much, such as 2 or 0.5.');
        }

        return new ProductAgainView(
            ProductAgain::wish($making->wish, $making->plan->document, MeltTable::of($tables)->product($making->product), (float) $times),
        );
    }

    #[Operation('Put a part into the pot')]
    public function weigh(Requests\WeighPart $form, Making $making): MakingView
    {
        $this->work->weigh($making, $form->string('part')->toString(), $this->text($form->input('amount')));

        return $this->page->of($making);
    }

    #[Operation('Do a step of a product')]
    public function step(Requests\DoStep $form, Making $making): MakingView
    {
        $this->work->step(
            $making,
            $form->string('step')->toString(),
            $this->text($form->input('warmth')),
            $this->text($form->input('mass')),
        );

        return $this->page->of($making);
    }

    #[Operation('Stir the leaf in a product, and say how warm it is')]
    public function stir(Requests\StirPot $form, Making $making): MakingView
    {
        $this->work->stir($making, $this->text($form->input('warmth')));

        return $this->page->of($making);
    }

    #[Operation('Say how it turned out on the cold spoon, or in use')]
    public function spoon(Requests\TrySpoon $form, Making $making): MakingView
    {
        $this->work->spoon(
            $making,
            $form->string('verdict')->toString(),
            $this->text($form->input('by')) ?? 'plainly',
            $this->text($form->input('room')),
            $this->text($form->input('stuck')),
        );

        return $this->page->of($making);
    }

    #[Operation('Take something out of the pot, and put something in')]
    public function mend(Requests\MendPot $form, Making $making): MakingView
    {
        $this->work->mend(
            $making,
            $this->text($form->input('part')),
            $this->text($form->input('amount')),
            $this->text($form->input('out')),
        );

        return $this->page->of($making);
    }

    #[Operation('Pour a product')]
    public function pour(Requests\PourPot $form, Making $making): MakingView
    {
        $tins = [];
        foreach ((array) $form->input('tins') as $tin) {
            if (is_array($tin) && is_numeric($tin['ml'] ?? null) && is_numeric($tin['count'] ?? null)) {
                $tins[] = ['ml' => (float) $tin['ml'], 'count' => (int) $tin['count']];
            }
        }
        $this->work->pour($making, $tins, $this->text($form->input('left')), $form->string('where')->trim()->toString());

        return $this->page->of($making);
    }

    #[Operation('What is likely wrong with a product, by what is seen and by its records')]
    public function faults(Requests\FindFault $form, Making $making, FaultPresenter $words): FaultsFound
    {
        return $words->found($this->signs($form), $making);
    }

    #[Operation('Enter in a product’s logbook what was seen to be wrong')]
    public function noteFault(Requests\FindFault $form, Making $making): MakingView
    {
        $this->work->fault($making, $this->signs($form));

        return $this->page->of($making);
    }

    /** @return list<string> */
    private function signs(Requests\FindFault $form): array
    {
        return array_values(array_unique(array_filter((array) $form->input('signs'), 'is_string')));
    }

    #[Operation('Say what became of a tin')]
    public function gone(Requests\TinGoes $form, Making $making): MakingView
    {
        /** @var value-of<TinGone::HOW> $how */
        $how = $form->string('how')->toString();
        $this->work->gone(
            $making,
            $form->integer('tin'),
            $how,
            $form->string('to')->trim()->toString(),
            $this->number($form->input('price')),
        );

        return $this->page->of($making);
    }

    #[Operation('Write a note about a product')]
    public function note(Requests\WriteNote $form, Making $making): MakingView
    {
        $this->work->note($making, $form->string('note')->toString(), $this->text($form->input('corrects')));

        return $this->page->of($making);
    }

    #[Operation('Undo a line of a product')]
    public function undo(Requests\UndoEntry $form, Making $making): MakingView
    {
        $this->work->undo($making, $form->string('entry')->toString());

        return $this->page->of($making);
    }

    #[Operation('Throw a product away, with the reason')]
    public function discard(Requests\Discard $form, Making $making): MakingView
    {
        $this->work->discard($making, $form->string('reason')->toString());

        return $this->page->of($making);
    }

    private function number(mixed $value): ?float
    {
        return is_numeric($value) ? (float) $value : null;
    }
}
