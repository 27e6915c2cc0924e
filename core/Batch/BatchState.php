<?php

declare(strict_types=1);

namespace Kettle\Batch;

use Kettle\Batch\Line\Bottled;
use Kettle\Batch\Line\ColourLook;
use Kettle\Batch\Line\Decanted;
use Kettle\Batch\Line\PurposeChanged;
use Kettle\Batch\Line\PutAway;
use Kettle\Batch\Line\Ready;
use Kettle\Batch\Line\Strained;
use Kettle\Batch\Line\TaskLine;
use Kettle\Batch\Line\Topped;
use Kettle\Batch\Line\Used;
use Kettle\Caution\ColdStorage;
use Kettle\Diary\Availability;
use Kettle\Diary\Progress;
use Kettle\Diary\Stage;
use Kettle\Diary\Step;
use Kettle\Diary\Upkeep;
use Kettle\Keeping\Keeping;
use Kettle\Keeping\StorageFacts;
use Kettle\Material\Cupboard;
use Kettle\Material\Tables;

/** Where a batch stands: all that follows from its plan and its logbook, and from nothing else. */
final readonly class BatchState
{
    /** Looks whose colours are drawn. */
    private const COLOURS = 8;

    /** The hour until which a best-before day lasts. */
    private const LAST_HOUR = 20;

    /**
     * @param  ?\DateTimeImmutable  $useBy only of what is kept cold
     * @param  list<BottleState>  $bottles by their number
     * @param  ?float  $pouredMl off its sediment; null before, or where nobody did
     * @param  list<string>  $colours the last of its oil, "#e5b23a"
     * @param  bool  $herbStoodOut at the last look under the lid
     */
    private function __construct(
        public Record $record,
        public Progress $progress,
        public Keeping $keeping,
        public StoredAs $storedAs,
        public ?\DateTimeImmutable $useBy,
        public string $purpose,
        public ?Strained $strained,
        public ?Bottled $bottled,
        public ?\DateTimeImmutable $bottledAt,
        public ?float $pouredMl,
        public array $bottles,
        public array $colours,
        public bool $herbStoodOut,
        public ?Learned $learned,
    ) {}

    /**
     * @param  array<string, array{opened: ?\DateTimeImmutable, best_before: ?\DateTimeImmutable}>  $lots of its oils, by carrier id
     */
    public static function of(Record $record, Availability $availability, Cupboard $cupboard, array $lots): self
    {
        $log = $record->log;
        $tables = $cupboard->tables();
        $progress = $record->progress($availability);
        $ready = $log->last(Ready::class);
        $strained = $ready?->asStrained() ?? $log->last(Strained::class);
        $bottled = $ready?->asBottled() ?? $log->last(Bottled::class);
        $purpose = $log->last(PurposeChanged::class)->to ?? $record->plan->purpose;
        [$storedAs, $keeping] = self::stored($record, $progress, $strained, $purpose, $cupboard, $lots);
        $useBy =
            $record->plan->isColdKept() && $progress->filledAt !== null
                ? ColdStorage::goodUntil($progress->filledAt, $progress->strainedAt)
                : null;
        $bottles = self::bottles($bottled, $log);
        // What is bottled is smelled, and what is cold used up, until the day just reckoned: nothing is asked of what is all used up.
        if (self::left($bottles) > 0 || ($useBy !== null && $bottled === null)) {
            $progress = $record->progress($availability, self::upkeep($record->plan, $useBy, $keeping->bestBefore, $tables));
        }

        return new self(
            $record,
            $progress,
            $keeping,
            $storedAs,
            $useBy,
            $purpose,
            $strained,
            $bottled,
            ($log->lastEntry(Ready::class) ?? $log->lastEntry(Bottled::class))?->at,
            $log->last(Decanted::class)?->ml,
            $bottles,
            self::colours($log),
            self::herbStoodOut($log),
            $progress->stage === Stage::Discarded ? null : Learned::from($record->plan, $strained, $tables, $log->toppedUpMl()),
        );
    }

    /** How many bottles hold something yet. */
    public function bottlesLeft(): int
    {
        return self::left($this->bottles);
    }

    /** @param  list<BottleState>  $bottles */
    private static function left(array $bottles): int
    {
        return count(array_filter($bottles, fn (BottleState $bottle) => $bottle->state === BottleState::IN));
    }

    /**
     * @param  array<string, array{opened: ?\DateTimeImmutable, best_before: ?\DateTimeImmutable}>  $lots
     * @return array{StoredAs, Keeping}
     */
    private static function stored(
        Record $record,
        Progress $progress,
        ?Strained $strained,
        string $purpose,
        Cupboard $cupboard,
        array $lots,
    ): array {
        $warmth = $strained->warmth ?? '';
        $as = self::storedAs($record->log, new StoredAs());
        $keeping = self::keeping($record->plan, $progress, $as, $warmth, $purpose, $cupboard, $lots);
        if ($keeping->coldOnly) {
            $as = self::storedAs($record->log, new StoredAs('fridge'));
            $keeping = self::keeping($record->plan, $progress, $as, $warmth, $purpose, $cupboard, $lots);
        }

        return [$as, $keeping];
    }

    /**
     * Until when it is good, from what went in, the heat it had, and how it is kept.
     *
     * @param  string  $warmth Strained::WARMTH_HAD, or not, where nobody logged it
     * @param  array<string, array{opened: ?\DateTimeImmutable, best_before: ?\DateTimeImmutable}>  $lots
     */
    public static function keeping(
        FrozenPlan $plan,
        Progress $progress,
        StoredAs $as,
        string $warmth,
        string $purpose,
        Cupboard $cupboard,
        array $lots,
    ): Keeping {
        $method = $plan->method;
        $had = $progress->warmed->hours();
        // Until it is strained its warmth is still to come, and is taken as planned.
        $planned = $warmth === Strained::WARMTH_HAD || ($progress->strainedAt === null && $method->heated);
        $hours = $planned ? max($method->hours, $had) : $had;
        $wet = $plan->wetness($cupboard);

        return Keeping::of(
            $plan->blend($cupboard),
            $plan->state,
            new StorageFacts(
                $progress->filledAt ?? $progress->timetable->fillAt,
                $progress->strainedAt ?? $progress->timetable->strainAt,
                $plan->storage,
                [
                    ...$plan->base->heat ?? [],
                    ...$method->targetC !== null && $hours > 0 ? [['hours' => $hours, 'celsius' => $method->targetC]] : [],
                ],
                $plan->base?->lots($plan->oils, $lots) ?? $lots,
                $as->place,
                $as->glass,
                $as->antioxidant,
                false,
                $wet['water'],
                $wet['watery'],
                kitchen: $purpose === 'kitchen',
                printed: $plan->printedBestBefore(),
                onHerb: ! $plan->isStrained(),
            ),
            $cupboard->tables(),
        );
    }

    /** @param  StoredAs  $as where nobody said */
    private static function storedAs(Logbook $log, StoredAs $as): StoredAs
    {
        return array_reduce(
            $log->standing,
            fn (StoredAs $as, Entry $entry) => $as->changed(
                match (true) {
                    $entry->line instanceof PutAway => $entry->line->as,
                    $entry->line instanceof Bottled => $entry->line->storedAs,
                    default => [],
                },
            ),
            $as,
        );
    }

    public static function upkeep(FrozenPlan $plan, ?\DateTimeImmutable $useBy, \DateTimeImmutable $bestBefore, Tables $tables): Upkeep
    {
        $checks = $tables->table('keeping')->row('checks');
        $days = fn (string $key): int => (int) $checks->row($key)->number('value');

        return new Upkeep(
            $useBy ?? $bestBefore->setTime(self::LAST_HOUR, 0),
            $days('first_days'),
            $days($plan->state->isWet() ? 'every_days_wet' : 'every_days'),
            $useBy !== null,
        );
    }

    /** @return list<BottleState> those of a batch thrown away stay known, so that they can be found */
    private static function bottles(?Bottled $bottled, Logbook $log): array
    {
        $bottles = [];
        foreach ($bottled->bottles ?? [] as $size) {
            for ($i = 0; $i < $size->count; $i++) {
                $number = count($bottles) + 1;
                $bottles[$number] = new BottleState($number, $size->called, $size->capacityMl, $size->capacityMl);
            }
        }
        // In the order they were written: what was emptied before it was filled up again is full.
        foreach ($log->standing as $entry) {
            $line = $entry->line;
            if (($line instanceof Used || $line instanceof Topped) && isset($bottles[$line->bottle])) {
                $bottle = $bottles[$line->bottle];
                $bottles[$line->bottle] = $line instanceof Used ? $bottle->after($line) : $bottle->toppedUp($line);
            }
        }

        return array_values($bottles);
    }

    /** @return list<string> */
    private static function colours(Logbook $log): array
    {
        return array_slice(array_map(fn (ColourLook $look) => $look->hex(), $log->all(ColourLook::class)), -self::COLOURS);
    }

    private static function herbStoodOut(Logbook $log): bool
    {
        $looks = array_values(array_filter($log->all(TaskLine::class), fn (TaskLine $line) => $line->isDone(Step::Check)));

        return $looks !== [] && in_array(TaskLine::HERB_ABOVE, end($looks)->seen, true);
    }
}
