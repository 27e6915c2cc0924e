<?php

namespace App\House;

use App\Models\Absence;
use App\Models\Batch;
use App\Models\Cooker;
use App\Models\HeldThing;
use App\Models\Jar;
use App\Models\Lot;
use App\Models\Tenancy\CurrentHouse;
use App\Models\User;
use App\Models\YieldSum;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Kettle\Diary\Availability;
use Kettle\Diary\Bookings;
use Kettle\Diary\Burners;
use Kettle\Diary\CookerJob;
use Kettle\Diary\CookerPlace;
use Kettle\Diary\Reservation;
use Kettle\Infusion\Method;
use Kettle\Infusion\UptakeSeen;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\MeasureSystem;
use Kettle\Recipe\HerbsReader;
use Kettle\Recipe\Kitchen;
use Kettle\Recipe\Planning;
use Kettle\Recipe\Words;
use Kettle\Stores\Lot as CoreLot;
use Kettle\Stores\LotKind;
use Kettle\Time\Interval;
use Kettle\Time\Later;

/** The current house as the core wants it. */
final class KitchenFactory
{
    /** Absences gone by still tell why a warm session ended where it did, for so many days. */
    private const LOOK_BACK_DAYS = 14;

    private const ABSENCES = 2000;

    /** Lots of one thing looked at for a wish: nobody pours together more. */
    private const LOTS = 12;

    /** @var array{int, Bookings}|null of which house, and what its cookers are booked for: asked for many times in one request */
    private ?array $bookings = null;

    /**
     * @var array{array<string, mixed>, Availability}|null of which house as it stands,
     *     and when somebody is there: asked for again and again in one request
     */
    private ?array $availability = null;

    /** @var array{list<mixed>, Words}|null of which house and person, and what makes their sentences */
    private ?array $words = null;

    public function __construct(private readonly CurrentHouse $current, private readonly Planning $planning) {}

    /** Without jars: enough for the clock, the waking hours and reading amounts. */
    public function plain(): Kitchen
    {
        return $this->kitchen([]);
    }

    /** What makes sentences of what is kept of them, for who is signed in; asked for again and again in one request. */
    public function words(): Words
    {
        $house = $this->current->house();
        $user = Auth::user();
        $key = [$house->getAttributes(), $user instanceof User ? $user->getAttributes() : null];
        if ($this->words === null || $this->words[0] !== $key) {
            // When somebody is at home says nothing in words, and is not asked for.
            $this->words = [$key, $this->kitchen([], waking: Availability::between($house->wake, $house->bed))->words()];
        }

        return $this->words[1];
    }

    public function writer(): AmountWriter
    {
        return new AmountWriter(MeasureSystem::from($this->current->house()->measures));
    }

    /** The present, in the house's own zone. */
    public function now(): \DateTimeImmutable
    {
        return $this->local(Carbon::now());
    }

    /** A moment in the house's own zone. */
    public function local(\DateTimeInterface $moment): \DateTimeImmutable
    {
        return \DateTimeImmutable::createFromInterface($moment)->setTimezone($this->current->house()->zone());
    }

    /** When somebody is up and at home: the hours of the week, less days away and busy times still to come. */
    public function availability(): Availability
    {
        $house = $this->current->house();
        $key = $house->getAttributes();
        if ($this->availability !== null && $this->availability[0] === $key) {
            return $this->availability[1];
        }
        $availability = Availability::between($house->wake, $house->bed)->atHome($house->home ?? []);
        $from = Carbon::now()->subDays(self::LOOK_BACK_DAYS);
        $rows = Absence::query()
            ->where('to_at', '>', $from)
            ->orderBy('from_at')
            ->limit(self::ABSENCES)
            ->get(['from_at', 'to_at']);

        $this->availability = [$key, $availability->without($rows->map(fn (Absence $each) => [$each->from_at, $each->to_at])->all())];

        return $this->availability[1];
    }

    /** After somebody said when they are away, or are not. */
    public function forgetPresence(): void
    {
        $this->availability = null;
    }

    /**
     * With jars and with what Stores has of the herbs and oils wished for; of every oil only how much.
     *
     * @param  array<mixed>  $wish
     */
    public function forWish(array $wish): Kitchen
    {
        $herbs = array_filter(HerbsReader::list($wish), 'is_array');
        $names = fn (array $from, string $key) => array_values(array_filter(array_column($from, $key), 'is_string'));
        $oils = is_array($wish['oils'] ?? null) ? array_slice($wish['oils'], 0, 12) : [];
        $carriers = [...array_filter($oils, 'is_string'), ...$names(array_filter($oils, 'is_array'), 'id')];
        $lots = $this->lots(
            fn (Builder $query) => $query
                ->where(
                    fn ($herb) => $herb
                        ->where('kind', LotKind::Herb)
                        ->where(
                            fn ($any) => $any
                                ->whereIn('material', $names($herbs, 'id'))
                                ->orWhere(fn ($own) => $own->where('material', '')->whereIn('called', $names($herbs, 'name'))),
                        ),
                )
                ->orWhere(fn ($oil) => $oil->where('kind', LotKind::Carrier)->whereIn('material', $carriers)),
            [...$names($herbs, 'lot'), ...$names(array_filter($oils, 'is_array'), 'lot')],
        );

        return $this->kitchen($this->jars(), $lots, $this->stock(...));
    }

    /**
     * With what Stores has of some oils, and of every wax, butter, scent and addition, and what they are put in.
     *
     * @param  list<string>  $carriers
     */
    public function forProduct(array $carriers): Kitchen
    {
        return $this->kitchen(
            [],
            $this->lots(
                fn (Builder $query) => $query
                    ->whereIn('kind', [LotKind::Wax, LotKind::Scent, LotKind::Addition, LotKind::Tin, LotKind::Bottle])
                    ->orWhere(fn ($oil) => $oil->where('kind', LotKind::Carrier)->whereIn('material', $carriers)),
                [],
            ),
        );
    }

    /**
     * Lots that still hold something, of each thing the first that are taken from; and those that were named, be they empty.
     *
     * @param  \Closure(Builder<covariant Model>): mixed  $which by kind, material and, of what the tables do not know, name
     * @param  list<string>  $named
     * @return list<CoreLot>
     */
    private function lots(\Closure $which, array $named): array
    {
        $zone = $this->current->house()->zone();
        $lots = $this->firstOfEach(HeldThing::query()->where('many', '>', 0)->where($which)->toBase()->pluck('many', 'thing')->all());
        // A lot that was named is known even when it is empty: what it is counts, and that it is empty is told.
        if ($named !== []) {
            $lots = $lots->concat(Lot::query()->where($which)->whereIn('uid', $named)->whereNotIn('id', $lots->modelKeys())->get());
        }

        return array_values($lots->map(fn (Lot $lot) => $lot->core($zone))->all());
    }

    /**
     * The oldest that may be used come first, of each thing by itself: a hundred tins of one oil must not hide another.
     *
     * @param  array<array-key, mixed>  $many lots that each thing has
     * @return Collection<int, Lot>
     */
    private function firstOfEach(array $many): Collection
    {
        if ($many === []) {
            return new Collection();
        }
        $today = $this->now()->format('Y-m-d');
        $of = fn (int ...$things) => Lot::query()->forceIndex('lots_taken')->where('holds', true)->whereIn('thing', $things);
        $crowded = array_keys(array_filter($many, fn (mixed $each) => $each > self::LOTS));
        $all = $of(...array_diff(array_keys($many), $crowded));
        foreach ($crowded as $thing) {
            // As the index has them, so that no more are read than are wanted.
            foreach (['>=', '<'] as $is) {
                $all->unionAll(
                    $of($thing)->where('use_until', $is, $today)->orderBy('use_until')->orderBy('got_on')->orderBy('id')->limit(self::LOTS),
                );
            }
        }

        /** @var array<int, int> $taken */
        $taken = [];

        return $all
            ->get()
            ->sortBy(fn (Lot $lot) => [$lot->use_until < $today, $lot->use_until, $lot->getRawOriginal('got_on'), $lot->id])
            ->filter(function (Lot $lot) use (&$taken): bool {
                $taken[$lot->thing] = ($taken[$lot->thing] ?? 0) + 1;

                return $taken[$lot->thing] <= self::LOTS;
            });
    }

    /** With how much there is of every oil: enough to set them in order. */
    public function withStock(): Kitchen
    {
        return $this->kitchen([], [], $this->stock(...));
    }

    /** @return list<\Kettle\Vessel\Jar> */
    private function jars(): array
    {
        return array_values(Jar::query()->orderBy('brim_ml')->get()->map(fn (Jar $jar) => $jar->core())->all());
    }

    /** @return array<string, array{ml: float, price: ?float}> of oils that may still be used, by carrier */
    private function stock(): array
    {
        $stock = [];
        $rows = Lot::query()
            ->where('kind', LotKind::Carrier)
            ->where('holds', true)
            ->where('use_until', '>=', $this->now()->format('Y-m-d'))
            ->groupBy('material')
            ->toBase()
            ->selectRaw(
                'material, SUM(`left`) AS ml, SUM(CASE WHEN price IS NULL THEN 0 ELSE price * `left` / got END) / '.
                    'NULLIF(SUM(CASE WHEN price IS NULL THEN 0 ELSE `left` END), 0) * 100 AS price',
            )
            ->get();
        /** @var object{material: string, ml: string, price: ?string} $row */
        foreach ($rows as $row) {
            $stock[$row->material] = ['ml' => (float) $row->ml, 'price' => $row->price === null ? null : (float) $row->price];
        }

        return $stock;
    }

    /**
     * @param  list<\Kettle\Vessel\Jar>  $jars
     * @param  list<\Kettle\Stores\Lot>  $lots
     * @param  array<string, array{ml: float, price: ?float}>|\Closure(): array<string, array{ml: float, price: ?float}>  $stock
     */
    private function kitchen(array $jars, array $lots = [], array|\Closure $stock = [], ?Availability $waking = null): Kitchen
    {
        $house = $this->current->house();
        $user = Auth::user();
        /** @var array<string, UptakeSeen> $seen */
        $seen = [];

        return new Kitchen(
            $this->now(),
            $waking ?? $this->availability(),
            MeasureSystem::from($house->measures),
            (float) $house->drops_per_ml,
            $jars,
            $this->planning->cupboard(),
            $user instanceof User && ($user->prefs['temperature'] ?? 'c') === 'f',
            (float) $house->room_c,
            $house->things,
            $lots,
            $stock,
            $house->currency,
            // A plan asks for it again with each way out that it tries.
            function (string $form, string $way) use (&$seen): UptakeSeen {
                return $seen["{$form} {$way}"] ??= $this->seen($form, $way);
            },
            $this->bookings(...),
        );
    }

    /** The house's cookers, and what the diary has booked them for as it was last placed. */
    private function bookings(): Bookings
    {
        $house = $this->current->house();
        if ($this->bookings !== null && $this->bookings[0] === $house->id) {
            return $this->bookings[1];
        }
        $booked = array_map(
            fn (array $each) => ['job' => $each['job'], 'from' => $each['reserved']->next()],
            $this->reserved($house->zone()),
        );
        $this->bookings = [$house->id, new Bookings($this->places(), $booked)];

        return $this->bookings[1];
    }

    /** @return list<array{job: CookerJob, reserved: Reservation}> what the diary has kept a place for */
    private function reserved(\DateTimeZone $zone): array
    {
        $reserved = [];
        foreach (Batch::query()->where('in_diary', true)->toBase()->pluck('diary') as $diary) {
            $each = Reservation::read(is_string($diary) ? json_decode($diary, true) : null);
            if ($each !== null && $each->job !== []) {
                $reserved[] = ['job' => CookerJob::of($each->job, $zone), 'reserved' => $each];
            }
        }

        return $reserved;
    }

    /** @return list<Interval> when a burner is taken by a cooker that stands on one, as the diary has it */
    public function flames(): array
    {
        $now = $this->now();
        $by = [];
        foreach ($this->reserved($now->getTimezone()) as ['job' => $job, 'reserved' => $reserved]) {
            if (! $this->planning->methods()->method($job->kind)->has(Method::OVER_FLAME)) {
                continue;
            }
            $on = $job->onSince === null ? null : $this->availability()->whileFrom($now);
            $stands = $on === null ? [] : [new Interval($now, min($on->to, Later::minutes($now, (int) ceil($job->hours * 60))))];
            $at = $job->standsIn ?? ($reserved->cooker ?? $job->id);
            $by[$at] = [...$by[$at] ?? [], ...$stands, ...$reserved->slots];
        }

        // Jars of several batches in one water have one burner.
        return array_merge(...array_values(array_map(fn (array $slots) => Burners::allTaken($slots, 1), $by)));
    }

    /** After the diary was placed anew, or a cooker changed. */
    public function forgetBookings(): void
    {
        $this->bookings = null;
    }

    /**
     * @param  Collection<int, Cooker>|null  $cookers where they were read already
     * @return list<CookerPlace> the house's cookers
     */
    public function places(?Collection $cookers = null): array
    {
        $wet = fn (Cooker $cooker): bool => array_filter(
            $cooker->methods,
            fn (string $id) => $this->planning->methods()->method($id)->has(Method::IN_WATER),
        ) !== [];

        return array_values(
            ($cookers ?? Cooker::query()->orderBy('id')->get())
                ->map(fn (Cooker $cooker) => $cooker->place($wet($cooker), (float) $this->current->house()->room_c))
                ->all(),
        );
    }

    /** What the house's own batches of a form say. */
    public function seen(string $form, string $way): UptakeSeen
    {
        $sum = YieldSum::query()->where('form', $form)->where('way', $way)->first();

        return $sum === null ? UptakeSeen::none() : UptakeSeen::sums($sum->batches, $sum->weight, $sum->weighted);
    }
}
