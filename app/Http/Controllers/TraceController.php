<?php

namespace App\Http\Controllers;

use App\Actions\Clash;
use App\Actions\Melt\RecallAll;
use App\Http\Requests\Recall;
use App\Models\Batch;
use App\Models\Boil;
use App\Models\Lot;
use App\Models\Making;
use App\OpenApi\Operation;
use App\Pages\Trace\BesidePage;
use App\Pages\Trace\TracePage;
use App\Responses\Trace\BesideView;
use App\Responses\Trace\TraceView;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/** What touches what: from the plant to whoever has a tin, and back. */
final class TraceController extends Controller
{
    public function __construct(private readonly TracePage $page) {}

    #[Operation('Follow a lot')]
    public function lot(string $lot): TraceView
    {
        // Also one that is out of Stores: what was made of it is found all the same.
        return $this->page->of(Lot::withTrashed()->where('uid', $lot)->firstOrFail());
    }

    #[Operation('Follow a pot that is boiled down')]
    public function boil(Boil $boil): TraceView
    {
        return $this->page->of($boil);
    }

    #[Operation('Follow a batch')]
    public function batch(Batch $batch): TraceView
    {
        return $this->page->of($batch);
    }

    #[Operation('Follow a product')]
    public function making(Making $making): TraceView
    {
        return $this->page->of($making);
    }

    #[Operation('All that a lot went into is thrown away, and the lot')]
    public function recallLot(Recall $form, Lot $lot, RecallAll $all): TraceView
    {
        return $this->recall($form, $lot, $all);
    }

    #[Operation('All that a pot went into is thrown away, and what is left of it')]
    public function recallBoil(Recall $form, Boil $boil, RecallAll $all): TraceView
    {
        return $this->recall($form, $boil, $all);
    }

    #[Operation('All that a batch went into is thrown away, and the batch')]
    public function recallBatch(Recall $form, Batch $batch, RecallAll $all): TraceView
    {
        return $this->recall($form, $batch, $all);
    }

    #[Operation('A product is thrown away, and all of its tins')]
    public function recallMaking(Recall $form, Making $making, RecallAll $all): TraceView
    {
        return $this->recall($form, $making, $all);
    }

    /** @throws Clash when more was made of it, or less is left, than was seen */
    private function recall(Recall $form, Lot|Boil|Batch|Making $thing, RecallAll $all): TraceView
    {
        $seen = array_values(array_filter((array) $form->input('things'), 'is_string'));
        DB::transaction(function () use ($thing, $seen, $all, $form): void {
            $there = $this->page->toThrow($thing);
            if (array_diff($seen, $there) !== [] || array_diff($there, $seen) !== []) {
                throw new Clash('Something was made of it, or thrown away, meanwhile. Look at the list again.');
            }
            $all($there, $form->string('reason')->trim()->toString());
        });

        return $this->page->of($thing->refresh());
    }

    #[Operation('Follow what somebody was given or sold', query: ['name'])]
    public function person(Request $request): TraceView
    {
        return $this->page->person($this->asked($request, 'name'));
    }

    #[Operation('A batch beside another: what differed, the largest first', query: ['other'])]
    public function besideBatch(Request $request, Batch $batch, BesidePage $page): BesideView
    {
        $other = $this->asked($request, 'other');

        return $page->batches($batch, $other === '' ? null : Batch::query()->where('uid', $other)->firstOrFail());
    }

    #[Operation('A product beside another: what differed, the largest first', query: ['other'])]
    public function besideMaking(Request $request, Making $making, BesidePage $page): BesideView
    {
        $other = $this->asked($request, 'other');

        return $page->products($making, $other === '' ? null : Making::query()->where('uid', $other)->firstOrFail());
    }
}
