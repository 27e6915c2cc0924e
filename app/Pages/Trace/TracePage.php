<?php

namespace App\Pages\Trace;

use App\House\Times;
use App\Models\Batch;
use App\Models\Boil;
use App\Models\LogEntry;
use App\Models\Lot;
use App\Models\Making;
use App\Responses\Trace\Arrow;
use App\Responses\Trace\Thing;
use App\Responses\Trace\Told;
use App\Responses\Trace\TraceView;
use Illuminate\Database\Eloquent\Collection;
use Kettle\Batch\BottleState;
use Kettle\Batch\Line\Used;
use Kettle\Boiling\Stage as PotStage;
use Kettle\Diary\Stage as BatchStage;
use Kettle\Making\Stage;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Trace\Graph;
use Kettle\Trace\Recall;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** A lot, a pot, a batch or a product with all that it is made of and went into, and what is to be done should it have turned. */
final readonly class TracePage
{
    /** As many as a page lists. */
    private const LISTED = 600;

    public function __construct(private Times $times) {}

    public function of(Lot|Boil|Batch|Making $thing): TraceView
    {
        $start =
            match (true) {
                $thing instanceof Lot => 'lot',
                $thing instanceof Boil => 'pot',
                $thing instanceof Batch => 'batch',
                default => 'product',
            }." {$thing->id}";

        return $this->told($start, Followed::from($thing), $thing instanceof Making ? $thing : null);
    }

    /**
     * What of it is to be thrown away, wherever it stands, should it have turned.
     *
     * @return list<string>
     */
    public function toThrow(Lot|Boil|Batch|Making $thing): array
    {
        return array_values(
            array_map(
                fn (Thing $each) => $each->id,
                array_filter($this->of($thing)->things, fn (Thing $each) => $each->do === Recall::THROW_AWAY),
            ),
        );
    }

    /** @throws NotFoundHttpException when nobody of that name was given anything */
    public function person(string $name): TraceView
    {
        return $this->told(ThingsTold::person($name), Followed::had($name), null);
    }

    /** @param  ?Making  $of where a product is followed back */
    private function told(string $start, Followed $followed, ?Making $of): TraceView
    {
        $graph = new Graph();
        $told = new ThingsTold($graph);
        $this->lots($followed, $told);
        $this->pots($followed, $told);
        $this->batches($followed, $told);
        $this->makings($followed, $told);
        $this->bottles($followed, $told, $of);
        $this->tins($followed, $told);
        foreach ($followed->lotInBatch as [$lot, $batch]) {
            $told->joins("lot {$lot}", "batch {$batch}");
        }
        foreach ($followed->lotInMaking as [$lot, $making]) {
            $told->joins("lot {$lot}", "product {$making}");
        }
        foreach ($followed->lotInPot as [$lot, $pot]) {
            $told->joins("lot {$lot}", "pot {$pot}");
        }
        foreach ($followed->pots->inPot as [$pot, $into]) {
            $told->joins("pot {$pot}", "pot {$into}");
        }
        foreach ($followed->pots->inBatch as [$pot, $batch]) {
            $told->joins("pot {$pot}", "batch {$batch}");
        }
        foreach ($followed->pots->inMaking as [$pot, $making]) {
            $told->joins("pot {$pot}", "product {$making}");
        }
        foreach ($followed->batchInMaking as [$batch, $making]) {
            // By the bottles it was poured from, where they are known.
            $told->poured("batch {$batch}", "product {$making}");
        }
        foreach ($followed->batchInBatch as [$batch, $into]) {
            $told->poured("batch {$batch}", "batch {$into}");
        }
        if (! isset($told->name[$start])) {
            throw new NotFoundHttpException();
        }

        return $this->view($start, $graph, $told);
    }

    private function view(string $start, Graph $graph, ThingsTold $told): TraceView
    {
        $back = $graph->back($start);
        $forward = $graph->forward($start);
        $recall = Recall::of($graph, $start, $told->state, $told->holds);
        $does = array_column($recall->each, 'do', 'id');
        $who = array_column($recall->each, 'who', 'id');
        $sides = array_fill_keys($back, 'back') + [$start => 'self'] + array_fill_keys($forward, 'forward');
        $order = array_flip(Graph::KINDS);
        $ids = array_map(strval(...), array_keys($sides));
        usort(
            $ids,
            fn (string $a, string $b) => [$order[$graph->kind($a)], $told->place[$a]] <=> [$order[$graph->kind($b)], $told->place[$b]],
        );
        $listed = array_slice($ids, 0, self::LISTED);
        $arrows = [];
        foreach ($listed as $id) {
            foreach ($graph->next($id) as $into) {
                if (isset($sides[$into])) {
                    $arrows[] = new Arrow($id, $into);
                }
            }
        }

        return new TraceView(
            $start,
            $told->name[$start],
            array_map(
                fn (string $id) => new Thing(
                    $id,
                    $graph->kind($id),
                    $told->name[$id],
                    $told->detail[$id],
                    $sides[$id],
                    $does[$id] ?? Recall::NOTHING,
                    $who[$id] ?? '',
                    $told->at[$id],
                ),
                $listed,
            ),
            $arrows,
            array_map(
                fn (array $person) => new Told($person['person'], array_map(fn (string $id) => $told->name[$id], $person['holds'])),
                $recall->people,
            ),
            count($ids) - count($listed),
        );
    }

    private function lots(Followed $followed, ThingsTold $told): void
    {
        foreach ($followed->lots as $lot) {
            $gone = $lot->trashed() || (float) $lot->left <= 0;
            $told->thing(
                'lot',
                "lot {$lot->id}",
                $lot->called,
                $lot->trashed() ? 'no longer in Stores' : ($gone ? 'none left' : ''),
                "stores/{$lot->uid}",
                $gone ? 'used' : 'in',
            );
        }
    }

    private function pots(Followed $followed, ThingsTold $told): void
    {
        foreach ($followed->pots->boils as $boil) {
            $told->thing(
                'pot',
                "pot {$boil->id}",
                "{$boil->code}, ".lcfirst($boil->name),
                match (true) {
                    $boil->stage === PotStage::Discarded => 'thrown away',
                    $boil->stage === PotStage::Gone => 'none left',
                    $boil->best_before !== null => 'until '.$this->times->date($boil->best_before),
                    default => '',
                },
                "stove/boil/{$boil->uid}",
                match ($boil->stage) {
                    PotStage::Discarded => 'thrown',
                    PotStage::Gone => 'used',
                    default => 'in',
                },
            );
            $told->some(
                $followed->pots->given[$boil->id] ?? [],
                "pot {$boil->id}",
                $boil->code,
                "stove/boil/{$boil->uid}",
                "pot {$boil->id}",
            );
        }
    }

    private function batches(Followed $followed, ThingsTold $told): void
    {
        // Where all that was filled went, nothing of it is here.
        $filled = $followed->bottles->groupBy('batch_id')->map(fn (Collection $bottles) => $bottles->contains('state', BottleState::IN));
        foreach ($followed->batches as $batch) {
            $thrown = $batch->stage === BatchStage::Discarded;
            $bottled = $batch->stage === BatchStage::Bottled;
            $gone = $bottled && $filled->get($batch->id) === false;
            $told->thing(
                'batch',
                "batch {$batch->id}",
                "{$batch->code}, {$batch->name}",
                match (true) {
                    $thrown => 'thrown away',
                    $gone => 'none left',
                    default => ($bottled ? '' : $batch->stage->value.', ').'until '.$this->times->date($batch->best_before),
                },
                "batch/{$batch->uid}",
                match (true) {
                    $thrown => 'thrown',
                    $gone => 'used',
                    default => 'in',
                },
            );
        }
    }

    private function makings(Followed $followed, ThingsTold $told): void
    {
        foreach ($followed->makings as $making) {
            $told->thing(
                'product',
                "product {$making->id}",
                "{$making->code}, {$making->name}",
                match ($making->stage) {
                    Stage::Planned => 'begun',
                    Stage::Making => 'in the pot',
                    Stage::Poured => 'poured on '.$this->times->date($making->poured_at ?? $making->begun_at),
                    Stage::Discarded => 'thrown away',
                },
                "making/{$making->uid}",
                match (true) {
                    $making->stage === Stage::Discarded => 'thrown',
                    $making->stage === Stage::Poured && $making->tins_left === 0 => 'used',
                    default => 'in',
                },
            );
        }
    }

    /** @param  ?Making  $of where a product is followed back: its oils' other bottles are no part of it */
    private function bottles(Followed $followed, ThingsTold $told, ?Making $of): void
    {
        $used = self::used($followed);
        $makings = $followed->makings->keyBy('uid');
        $batches = $followed->batches->keyBy('id');
        foreach ($followed->bottles as $bottle) {
            $batch = $batches->get($bottle->batch_id);
            if ($batch === null) {
                continue;
            }
            $id = "bottle {$batch->id} {$bottle->number}";
            $lines = $used[$batch->id][$bottle->number] ?? [];
            $into = array_values(array_unique(array_filter(array_map(fn (Used $line) => $line->making, $lines))));
            $charged = array_values(array_filter(array_map(fn (Used $line) => $batches->firstWhere('uid', $line->batch), $lines)));
            if ($of !== null && ! in_array($of->uid, $into, true) && $charged === []) {
                continue;
            }
            $name = "no. {$bottle->number} of {$batch->code}";
            $went = array_map(fn (Used $line) => $line->to, array_filter($lines, fn (Used $line) => $line->how === 'given'));
            $told->thing(
                'bottle',
                $id,
                $name,
                $bottle->state === 'in'
                    ? AmountWriter::plain((float) $bottle->left_ml, Kind::Volume).' in it, '.($batch->storedAs()->where ?: 'here')
                    : $bottle->state,
                "batch/{$batch->uid}",
                $bottle->state,
                $bottle->state === 'given' ? $bottle->to : '',
            );
            $told->joins("batch {$batch->id}", $id);
            foreach ($into as $uid) {
                $making = $makings->get($uid);
                $making === null || $told->joins($id, "product {$making->id}");
            }
            foreach ($charged as $made) {
                $told->joins($id, "batch {$made->id}");
            }
            $told->some($of === null ? $went : [], $id, $name, "batch/{$batch->uid}", "batch {$batch->id}");
        }
    }

    private function tins(Followed $followed, ThingsTold $told): void
    {
        $makings = $followed->makings->keyBy('id');
        foreach ($followed->tins as $tin) {
            $making = $makings->get($tin->making_id);
            if ($making === null) {
                continue;
            }
            $id = "tin {$making->id} {$tin->number}";
            $told->thing(
                'tin',
                $id,
                "no. {$tin->number} of {$making->code}",
                $tin->state === 'in' ? ($making->stands ?: 'here') : $tin->state,
                "making/{$making->uid}",
                $tin->state,
                in_array($tin->state, ['given', 'sold'], true) ? $tin->to : '',
            );
            $told->joins("product {$making->id}", $id);
        }
    }

    /** @return array<int, array<int, list<Used>>> what became of each bottle, by batch and number */
    private static function used(Followed $followed): array
    {
        $struck = LogEntry::corrected($followed->used);
        $used = [];
        foreach ($followed->used as $entry) {
            $line = $entry->line();
            if ($line instanceof Used && ! isset($struck[$entry->uid])) {
                $used[$entry->batch_id][$line->bottle][] = $line;
            }
        }

        return $used;
    }
}
