<?php

namespace App\Pages\Shelf;

use App\Models\Batch;
use App\Models\Lot;
use App\Models\Making;
use App\Models\Recipe;
use App\Models\Tally;
use App\Pages\Almanac\AlmanacPresenter;
use App\Pages\Batch\BatchPresenter;
use App\Pages\Making\MakingPage;
use App\Pages\Stores\StoresPresenter;
use App\Responses\Almanac\AlmanacEntry;
use App\Responses\Press\PressList;
use App\Responses\Shelf\Found;
use App\Responses\Shelf\FoundList;
use App\Responses\Shelf\Shelf;
use App\Responses\Shelf\ShelfJar;
use App\Responses\Shelf\ShelfPart;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Pagination\Cursor;
use Illuminate\Support\Carbon;
use Kettle\Diary\Stage;
use Kettle\Material\Cupboard;
use Kettle\Material\Names;

/** Every jar, a page of each board at a time; what wants the press; and what the find box finds. */
final readonly class ShelfPage
{
    private const PAGE = 12;

    /** @var array<string, array{string, list<Stage>, string}> name, stages and order of each board */
    private const PARTS = [
        'steeping' => ['Steeping', [Stage::Planned, Stage::Steeping], 'strain_at'],
        'resting' => ['Resting', [Stage::Settling, Stage::Poured], 'strain_at'],
        'bottled' => ['Bottled, and keeping', [Stage::Bottled], 'best_before'],
    ];

    /** Letters of a word, less its plural, that may be of something seen; shorter ones stand in any sentence. */
    private const LEAST_OF_A_SIGN = 4;

    /** Longer ones that stand in any sentence too. */
    private const OF_NO_SIGN = [
        'went',
        'gone',
        'what',
        'this',
        'that',
        'with',
        'from',
        'there',
        'when',
        'have',
        'does',
        'like',
        'wrong',
        'very',
        'some',
        'just',
        'after',
        'into',
        'over',
        'under',
        'look',
        'nothing',
        'something',
        'become',
        'became',
        'turned',
    ];

    /** What there is to find in the tables, by kind. */
    private const SAYS = [
        'plant' => 'a plant in the Almanac',
        'oil' => 'an oil in the Almanac',
        'method' => 'a method in the Almanac',
        'wax' => 'a wax or butter',
        'scent' => 'an essential oil',
        'product' => 'a product',
        'caution' => 'a caution',
        'fault' => 'a fault',
    ];

    public function __construct(
        private BatchPresenter $words,
        private StoresPresenter $stores,
        private AlmanacPresenter $almanac,
        private Cupboard $cupboard,
        private MakingPage $makings,
    ) {}

    /**
     * @param  string  $part one board only; empty for all of them
     * @param  string  $after where to go on along it
     */
    public function boards(string $part, string $after): Shelf
    {
        $names = isset(self::PARTS[$part]) ? [$part] : array_keys(self::PARTS);
        $counts = Tally::of('batches');
        $parts = array_map(fn (string $name) => $this->part($name, $counts, $part === $name ? $after : ''), $names);

        $made = $part === '' ? $this->makings->listed()->made : [];

        return new Shelf($parts, $made, $counts === [] && $made === []);
    }

    public function press(): PressList
    {
        $soon = Carbon::now()->addDays(3);

        return new PressList(
            $this->jars(fn (Builder $q) => $q->where('stage', Stage::Steeping)->where('strain_at', '<', $soon)->orderBy('strain_at')),
            $this->jars(fn (Builder $q) => $q->whereIn('stage', [Stage::Settling, Stage::Poured])->orderBy('strain_at')),
            $this->jars(fn (Builder $q) => $q->where('stage', Stage::Bottled)->orderByDesc('id')),
        );
    }

    public function find(string $typed): FoundList
    {
        $typed = mb_strtolower(trim(mb_substr($typed, 0, 60)));
        if ($typed === '') {
            return new FoundList([]);
        }
        $found = $this->named($typed);
        if ($found !== []) {
            return new FoundList($found);
        }
        $faults = $this->bySigns($typed);
        if ($faults !== []) {
            return new FoundList($faults);
        }
        $meant = $this->meant($typed);

        return $meant === null ? new FoundList([]) : new FoundList($this->named($meant), $meant);
    }

    /**
     * Faults of which something is seen or smelled that is in what was typed, "smells like crayons": those that most of its words
     * speak of.
     *
     * @return list<Found>
     */
    private function bySigns(string $typed): array
    {
        $said = $found = [];
        foreach (preg_split('/[^\p{L}]+/u', $typed) ?: [] as $word) {
            $one = preg_replace('/s$/u', '', $word) ?? $word;
            $speaks = mb_strlen($one) >= self::LEAST_OF_A_SIGN && ! in_array($one, self::OF_NO_SIGN, true);
            foreach (! $speaks ? [] : $this->almanac->list('fault', $one, true) as $entry) {
                $said[$entry->key] = ($said[$entry->key] ?? 0) + 1;
                $found[$entry->key] = self::entry('fault', $entry);
            }
        }
        $most = $said === [] ? 0 : max($said);

        return array_slice(array_values(array_filter($found, fn (string $key) => $said[$key] === $most, ARRAY_FILTER_USE_KEY)), 0, 5);
    }

    /** @param  key-of<self::SAYS>  $kind */
    private static function entry(string $kind, AlmanacEntry $entry): Found
    {
        return new Found($kind, $entry->name, self::SAYS[$kind], "almanac/{$entry->kind}/{$entry->key}");
    }

    /** What was most likely meant by a name that nothing goes by; null where nothing is near it. */
    private function meant(string $typed): ?string
    {
        $names = [];
        foreach (array_keys(self::SAYS) as $kind) {
            foreach ($this->almanac->list($kind) as $entry) {
                $names[$entry->name] = [$entry->name];
            }
        }

        return array_values(Names::nearest($typed, $names))[0] ?? null;
    }

    /** @return list<Found> */
    private function named(string $typed): array
    {
        $like = addcslashes($typed, '%_\\').'%';
        $batches = Batch::query()
            ->select(BatchPresenter::COLUMNS)
            ->where(fn (Builder $q) => $this->called($q, $typed)->orWhere('code', 'like', $like))
            ->orderByDesc('id')
            ->limit(8)
            ->get();
        $found = $batches
            ->map(
                fn (Batch $batch) => new Found(
                    'jar',
                    $batch->code.' '.$batch->name,
                    $this->words->stage($batch),
                    'batch/'.$batch->uid,
                ),
            )
            ->all();
        foreach ($this->made($typed, $like) as $making) {
            $found[] = new Found(
                'product',
                $making->code.' '.$making->name,
                $this->makings->card($making)->stage_text,
                'making/'.$making->uid,
            );
        }
        foreach (
            Lot::query()
                ->where('called', 'like', '%'.$like)
                ->where('holds', true)
                ->orderBy('called')
                ->limit(5)
                ->get() as $lot
        ) {
            $found[] = new Found(
                'lot',
                $lot->called,
                'in Stores, '.$this->stores->amount($lot, (float) $lot->left).' left',
                'stores/'.$lot->uid,
            );
        }
        foreach (
            Recipe::query()
                ->where('name', 'like', '%'.$like)
                ->orderBy('name')
                ->limit(5)
                ->get() as $recipe
        ) {
            $found[] = new Found('recipe', $recipe->name, 'a recipe', 'recipes/'.$recipe->uid);
        }
        foreach (array_keys(self::SAYS) as $kind) {
            foreach (array_slice($this->almanac->list($kind, $typed, true), 0, 5) as $entry) {
                $found[] = self::entry($kind, $entry);
            }
        }

        return array_values($found);
    }

    /** @return Collection<int, Making> by their code, what they are, or what plants are in them */
    private function made(string $typed, string $like): Collection
    {
        $words = array_filter(preg_split('/[\s,]+/u', $typed) ?: [], fn (string $word) => mb_strlen($word) > 2) ?: [$typed];

        return Making::query()
            ->select(Making::LISTED)
            ->where(
                fn (Builder $either) => $either->where('code', 'like', $like)->orWhere(function (Builder $all) use ($words): void {
                    foreach ($words as $word) {
                        $ids = $this->cupboard->idsCalled($word);
                        $all->where(function (Builder $q) use ($word, $ids): void {
                            $q->whereIn('product', $this->cupboard->productsCalled($word));
                            foreach ($ids['herb'] as $id) {
                                $q->orWhereJsonContains('plants', ['herb' => $id]);
                            }
                        });
                    }
                }),
            )
            ->orderByDesc('id')
            ->limit(8)
            ->get();
    }

    /**
     * Batches of what is called so: every word of it in the name of a herb or an oil of the batch. What the tables call
     * things is looked up there, for a batch has their ids; what somebody called otherwise is in it as they called it.
     *
     * @param  Builder<Batch>  $batches
     * @return Builder<Batch>
     */
    private function called(Builder $batches, string $typed): Builder
    {
        $words = preg_split('/[\s,]+/u', $typed) ?: [];
        foreach (array_filter($words, fn (string $word) => mb_strlen($word) > 2) ?: [$typed] as $word) {
            $ids = $this->cupboard->idsCalled($word);
            $batches->where(function (Builder $q) use ($word, $ids): void {
                foreach (['herbs' => 'herb', 'oils' => 'oil'] as $column => $kind) {
                    $q->orWhereRaw("JSON_SEARCH(LOWER({$column}), 'one', ?, NULL, '$.all[*]') IS NOT NULL", [
                        '%'.addcslashes($word, '%_\\').'%',
                    ]);
                    foreach ($ids[$kind] as $id) {
                        $q->orWhereJsonContains("{$column}->all", [$kind => $id]);
                    }
                }
            });
        }

        return $batches;
    }

    /** @param  array<string, int>  $counts jars by stage */
    private function part(string $part, array $counts, string $after): ShelfPart
    {
        [$name, $stages, $order] = self::PARTS[$part];
        $query = Batch::query()->select(BatchPresenter::COLUMNS)->whereIn('stage', $stages)->orderBy($order)->orderBy('id');
        $page = $query->cursorPaginate(self::PAGE, cursor: $this->cursor($after, $order));
        $total = 0;
        foreach ($stages as $stage) {
            $total += $counts[$stage->value] ?? 0;
        }

        return new ShelfPart(
            $part,
            $name,
            $total,
            array_values(array_map(fn (Batch $batch) => $this->words->jar($batch), $page->items())),
            $page->nextCursor()?->encode(),
        );
    }

    /**
     * @param  \Closure(Builder<Batch>): Builder<Batch>  $which
     * @return list<ShelfJar>
     */
    private function jars(\Closure $which): array
    {
        return array_values(
            $which(Batch::query()->select(BatchPresenter::COLUMNS))
                ->limit(self::PAGE)
                ->get()
                ->map(fn (Batch $batch) => $this->words->jar($batch))
                ->all(),
        );
    }

    /** Whether one can go on along a board from there: it is one of the marks that were given with it. */
    public function isMark(string $part, string $after): bool
    {
        return isset(self::PARTS[$part]) && $this->cursor($after, self::PARTS[$part][2]) !== null;
    }

    /** Where to go on along a board; null for its beginning. */
    private function cursor(string $after, string $order): ?Cursor
    {
        $mark = json_decode((string) base64_decode(strtr($after, '-_', '+/'), true), true);
        $ours =
            is_array($mark) &&
            is_string($mark[$order] ?? null) &&
            is_int($mark['id'] ?? null) &&
            is_bool($mark['_pointsToNextItems'] ?? null);

        return $ours ? Cursor::fromEncoded($after) : null;
    }
}
