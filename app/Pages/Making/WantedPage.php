<?php

namespace App\Pages\Making;

use App\House\KitchenFactory;
use App\House\Times;
use App\Models\Wanted;
use App\Responses\Diary\WantedOnDay;
use App\Responses\Making\WantedCard;
use App\Responses\Making\WantedList;
use App\Responses\Making\WantedOil;
use App\Responses\Today\AtTheMelt;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;
use Kettle\Time\Dates;

/** What is wanted by a day, as it was last planned. */
final readonly class WantedPage
{
    private const LISTED = 30;

    private const ON_TODAY = 6;

    /** By what it was refused for. */
    private const TROUBLES = [
        'discarded' => 'Its oil was thrown away. Begin another, or give it up.',
        'past' => 'Its oil is past its day. Take another, or give it up.',
        'past-by-then' => 'Its oil would be past its day by then. Take a fresher one, or have it sooner.',
        'not_so_much' => 'There is not so much of its oil any more. Take less, or another beside it.',
        'in_the_past' => 'The day it was wanted by has gone. Say another, or give it up.',
    ];

    public function __construct(private KitchenFactory $kitchens, private Times $times) {}

    public function listed(): WantedList
    {
        $rows = Wanted::query()
            ->open()
            ->orderBy('make_at')
            ->orderBy('id')
            ->limit(self::LISTED + 1)
            ->get();

        return new WantedList(
            array_map($this->card(...), array_slice(array_values($rows->all()), 0, self::LISTED)),
            $rows->count() > self::LISTED,
        );
    }

    /** @return list<AtTheMelt> what has to be begun, of it or of its oils, by tomorrow night */
    public function soon(): array
    {
        $tomorrow = $this->kitchens->now()->setTime(0, 0)->modify('+2 days');
        $rows = Wanted::query()
            ->open()
            ->where(
                fn (Builder $either) => $either
                    ->whereNotNull('trouble')
                    ->orWhere('late', true)
                    ->orWhere('make_at', '<', Carbon::instance($tomorrow)->utc())
                    ->orWhere('oil_start_by', '<', $tomorrow->format('Y-m-d')),
            )
            ->orderBy('make_at')
            ->orderBy('id')
            ->limit(self::ON_TODAY)
            ->get();

        return array_values(
            $rows->map(fn (Wanted $wanted) => new AtTheMelt($wanted->uid, '', $wanted->name, $this->next($wanted), false, true))->all(),
        );
    }

    /**
     * On which day what has to be done.
     *
     * @return array<string, list<WantedOnDay>> by day, from one day to before another
     */
    public function between(\DateTimeImmutable $from, \DateTimeImmutable $to): array
    {
        $days = [];
        foreach ($this->dated($from, $to) as $wanted) {
            foreach ($this->things($wanted) as ['at' => $at, 'says' => $says]) {
                if ($at >= $from && $at < $to) {
                    $days[$at->format('Y-m-d')][] = new WantedOnDay($wanted->uid, $wanted->name, $says);
                }
            }
        }

        return $days;
    }

    /** @return Collection<int, Wanted> */
    public function dated(\DateTimeImmutable $from, \DateTimeImmutable $to): Collection
    {
        return Wanted::query()
            ->open()
            // From the first of its oils to itself: each of its days lies between.
            ->where('make_at', '>=', Carbon::instance($from)->utc())
            ->where(
                fn (Builder $either) => $either
                    ->where('make_at', '<', Carbon::instance($to)->utc())
                    ->orWhere('oil_start_by', '<', $to->format('Y-m-d')),
            )
            ->orderBy('make_at')
            ->orderBy('id')
            ->limit(self::LISTED)
            ->get();
    }

    /** @return list<array{at: \DateTimeImmutable, says: string, pot: bool}> when what is done of it; at the pot, or for its oils */
    public function things(Wanted $wanted): array
    {
        $things = [];
        foreach ($wanted->days['oils'] ?? [] as $oil) {
            if ($oil['start_by'] !== null) {
                $things[] = [
                    'at' => new \DateTimeImmutable($oil['start_by'], $this->kitchens->now()->getTimezone()),
                    'says' => "the last day to begin the {$this->plain($oil)}",
                    'pot' => false,
                ];
            }
        }
        $at = $this->kitchens->local($wanted->make_at);
        $things[] = [
            'at' => $at,
            'says' => 'make it, at the latest from '.Dates::say($at, 'clock').' on, for '.$this->day($wanted->ready_by->format('Y-m-d')),
            'pot' => true,
        ];

        return $things;
    }

    private function next(Wanted $wanted): string
    {
        $trouble = $this->trouble($wanted);
        if ($trouble !== null) {
            return $trouble;
        }
        if ($wanted->late) {
            return sprintf('Cannot be ready by %s as things stand: look at it.', $this->day($wanted->ready_by->format('Y-m-d')));
        }
        foreach ($wanted->days['oils'] ?? [] as $oil) {
            if ($oil['start_by'] !== null && $oil['start_by'] === $wanted->oil_start_by?->format('Y-m-d')) {
                return ucfirst($this->plain($oil)).": {$this->oil($oil, $wanted)->text}.";
            }
        }

        return sprintf(
            'Make it, at the latest from %s on, for %s.',
            Dates::say($this->kitchens->local($wanted->make_at), 'moment'),
            $this->day($wanted->ready_by->format('Y-m-d')),
        );
    }

    /** @param  array{name: mixed}  $oil */
    private function plain(array $oil): string
    {
        return $this->kitchens->words()->thing($oil['name']);
    }

    private function card(Wanted $wanted): WantedCard
    {
        $oils = array_map(fn (array $oil) => $this->oil($oil, $wanted), $wanted->days['oils'] ?? []);

        return new WantedCard(
            $wanted->uid,
            $wanted->name,
            $wanted->ready_by->format('Y-m-d'),
            $this->day($wanted->ready_by->format('Y-m-d')),
            Dates::say($this->kitchens->local($wanted->make_at), 'long_moment'),
            $wanted->late || array_filter($oils, fn (WantedOil $oil) => $oil->overdue) !== [],
            $this->trouble($wanted),
            $oils !== [],
            $oils,
            $wanted->wish,
        );
    }

    /** What is wrong with it, in a sentence; null where nothing is. */
    public function trouble(Wanted $wanted): ?string
    {
        $code = $wanted->ready_by->format('Y-m-d') < $this->kitchens->now()->format('Y-m-d') ? 'in_the_past' : $wanted->trouble;

        return $code === null ? null : self::TROUBLES[$code] ?? 'It cannot be made as it was wanted any more. Look at it.';
    }

    /** @param  array{index: int, name: mixed, start_by: ?string, pourable_at: string, wish: ?array<string, mixed>}  $oil */
    private function oil(array $oil, Wanted $wanted): WantedOil
    {
        $oils = $wanted->wish['oils'] ?? null;
        $wished = is_array($oils) ? $oils[$oil['index']] ?? null : null;
        $batch = is_array($wished) ? $wished['batch'] ?? null : null;
        $overdue = $oil['start_by'] !== null && $oil['start_by'] < $this->kitchens->now()->format('Y-m-d');
        $pourable = $this->day((new \DateTimeImmutable($oil['pourable_at']))->format('Y-m-d'));

        return new WantedOil(
            $oil['index'],
            $this->kitchens->words()->thing($oil['name']),
            is_string($batch) ? $batch : null,
            match (true) {
                $oil['start_by'] === null => "in its bottles on {$pourable}",
                $overdue => 'was to be begun by '.$this->day($oil['start_by']),
                default => 'begin it by '.$this->day($oil['start_by'])."; in its bottles by {$pourable}",
            },
            $overdue,
            $oil['wish'],
        );
    }

    private function day(string $day): string
    {
        return $this->times->day(Carbon::parse($day, $this->kitchens->now()->getTimezone()));
    }
}
