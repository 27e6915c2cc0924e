<?php

namespace App\Actions\Boil;

use App\Actions\Batches\Logbook as BatchLogbook;
use App\Actions\Batches\NewLine;
use App\Actions\Batches\StartBatch;
use App\House\KitchenFactory;
use App\House\WhenDone;
use App\Models\Batch;
use App\Models\Boil;
use App\Models\BoilEntry;
use Illuminate\Support\Facades\DB;
use Kettle\Batch\Line\Line;
use Kettle\Batch\Line\Note;
use Kettle\Batch\Line\Undone;
use Kettle\Boiling\BoilException;
use Kettle\Boiling\BoilState;
use Kettle\Boiling\FrozenBoil;
use Kettle\Boiling\Hand;
use Kettle\Boiling\Line\Taken;
use Kettle\Diary\DiaryException;
use Kettle\Measure\Density;
use Kettle\Measure\Kind;
use Kettle\Measure\PartOf;
use Kettle\Reason\RefusedException;
use Kettle\Time\Day;
use Kettle\Time\TimeOfDay;
use Kettle\Trace\Person;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** What is done at a pot that is boiled down, from its first flame to the last of it; each a line of its logbook. */
final readonly class TendBoil
{
    public function __construct(
        private BoilLogbook $logbook,
        private KitchenFactory $kitchens,
        private StartBatch $start,
        private BatchLogbook $batches,
        private FillPot $fill,
        private WhenDone $done,
    ) {}

    /** @throws RefusedException */
    public function flame(Boil $boil, bool $on, ?string $at): BoilEntry
    {
        return $this->line($boil, $at, fn (Hand $hand) => $on ? $hand->light() : $hand->cover());
    }

    /**
     * Its days moved: not before a day, and a time of it.
     *
     * @throws RefusedException
     */
    public function move(Boil $boil, string $day, string $clock): BoilEntry
    {
        $now = $this->kitchens->now();
        $read = Day::read($day, $now->getTimezone()) ?? throw DiaryException::day($day)->about('until');
        $minute = TimeOfDay::minute($clock) ?? throw DiaryException::time($clock)->about('time');
        $until = TimeOfDay::on($read, $minute);

        return $this->line($boil, null, fn (Hand $hand) => $hand->move($until, $now, TakeFromPots::goodUntil($boil)));
    }

    /**
     * @param  string  $by stick, jug or scale
     *
     * @throws RefusedException
     */
    public function mark(Boil $boil, string $level, string $by, bool $anew, ?string $at): BoilEntry
    {
        [$kind, $unit] = match ($by) {
            'jug' => [Kind::Volume, 'mL'],
            'scale' => [Kind::Mass, 'g'],
            default => [Kind::Length, 'mm'],
        };
        $read = RefusedException::at('level', fn () => $this->kitchens->plain()->measured()->read($level, $kind, $unit)->value);

        return $this->line(
            $boil,
            $at,
            fn (Hand $hand, \DateTimeImmutable $at) => $kind === Kind::Length
                ? $hand->mark($read, null, $level, $anew, $at)
                : $hand->mark(null, $read, $level, $anew, $at),
        );
    }

    /** @throws RefusedException */
    public function warm(Boil $boil, string $typed, ?string $at): BoilEntry
    {
        $celsius = RefusedException::at('warmth', fn () => $this->kitchens->plain()->celsius($typed));

        return $this->line($boil, $at, fn (Hand $hand) => $hand->warm($celsius));
    }

    /**
     * @param  array<string, string>  $seen
     *
     * @throws RefusedException
     */
    public function see(Boil $boil, array $seen, ?string $at): BoilEntry
    {
        return $this->line($boil, $at, fn (Hand $hand) => $hand->see($seen));
    }

    /**
     * Strained; an oil goes into its bottles, and is a batch of the house's from then on.
     *
     * @param  list<string>  $acknowledged ids of the cautions of that oil that somebody has read
     *
     * @throws RefusedException
     */
    public function make(Boil $boil, string $typed, string $where, bool $anyway, array $acknowledged = []): BoilEntry
    {
        $amount = RefusedException::at('amount', fn () => $this->amount($boil->plan, $typed));

        return $this->logbook->write($boil, function (BoilState $state, Boil $locked) use (
            $typed,
            $amount,
            $where,
            $anyway,
            $acknowledged,
        ): NewLine {
            $now = $this->kitchens->now();
            $hand = $this->logbook->hand($state);
            // Asked first, so that nothing is bottled that is refused.
            $made = $hand->make($amount, $typed, $where, $anyway, $now);
            if ($state->plan->becomesAnOil()) {
                $oil = $this->bottled($state, $locked, $amount, $made->verdict, $acknowledged);
                $made = $hand->make($amount, $typed, $where, $anyway, $now, $oil->uid);
            }

            return new NewLine($made);
        });
    }

    /**
     * @param  string  $to for what, or to whom
     * @param  value-of<Taken::HOW>  $how
     *
     * @throws RefusedException
     */
    public function take(Boil $boil, string $typed, string $to, string $how = 'used'): BoilEntry
    {
        $share = RefusedException::at('amount', fn () => PartOf::share($typed));
        $amount = $share === null ? RefusedException::at('amount', fn () => $this->amount($boil->plan, $typed)) : null;

        return $this->line(
            $boil,
            null,
            fn (Hand $hand) => $hand->take(
                $amount ?? $hand->left() * (float) $share,
                $typed,
                Person::written($to),
                $this->kitchens->now(),
                how: $how,
            ),
        );
    }

    public function note(Boil $boil, string $text, ?string $corrects): BoilEntry
    {
        return $this->logbook->write($boil, function (BoilState $state, Boil $locked) use ($text, $corrects): NewLine {
            if ($corrects !== null && ! $locked->entries()->where('uid', $corrects)->where('kind', Note::KIND)->exists()) {
                throw new NotFoundHttpException();
            }

            return new NewLine(new Note(), $text, $corrects);
        });
    }

    public function undo(Boil $boil, string $entry): BoilEntry
    {
        return $this->filled($boil, function (BoilState $state, Boil $locked) use ($entry): NewLine {
            $locked->entries()->where('uid', $entry)->first() ?? throw new NotFoundHttpException();
            $struck = $this->logbook->log($locked)->toStrike($entry);

            return $struck->line->canBeStruck()
                ? new NewLine(new Undone($struck->line->kind()), null, $entry)
                : throw BoilException::closed();
        });
    }

    public function discard(Boil $boil, string $reason): BoilEntry
    {
        return $this->filled($boil, fn (BoilState $state) => new NewLine($this->logbook->hand($state)->discard(), $reason));
    }

    /**
     * A line by which it may be filled or empty from now on.
     *
     * @param  \Closure(BoilState, Boil): NewLine  $entry
     */
    private function filled(Boil $boil, \Closure $entry): BoilEntry
    {
        return DB::transaction(function () use ($boil, $entry): BoilEntry {
            $written = $this->logbook->write($boil, $entry);
            ($this->fill)($boil);

            return $written;
        });
    }

    /**
     * @param  \Closure(Hand, \DateTimeImmutable): Line  $make
     *
     * @throws RefusedException
     */
    private function line(Boil $boil, ?string $at, \Closure $make): BoilEntry
    {
        return $this->logbook->write($boil, function (BoilState $state) use ($make, $at): NewLine {
            $hand = $this->logbook->hand($state);
            $now = $this->kitchens->local($this->done->at());
            $when = $hand->at($at === null ? $this->present($now, $state) : self::moment($at, $now), $this->present($now, $state));

            return new NewLine($make($hand, $when), at: $when);
        });
    }

    /** What is written down as it is done comes after the line before it, also where that is of a clock that ran ahead. */
    private function present(\DateTimeImmutable $now, BoilState $state): \DateTimeImmutable
    {
        return $this->done->isLate() ? $now : max($now, $state->lastAt ?? $now);
    }

    /** What was measured, or weighed. A decoction is nearly all water, and a gram of it a millilitre within a few per cent. */
    private function amount(FrozenBoil $plan, string $typed): float
    {
        $reader = $this->kitchens->plain()->measured();
        $water = $plan->underOil ? null : Density::gramsPerMl(1.0);

        return $plan->byWeight ? $reader->read($typed, Kind::Mass, 'g')->value : $reader->read($typed, Kind::Volume, 'mL', $water)->value;
    }

    /**
     * "now", "09:40" or "9.40am" of today, "yesterday 21:30", "2026-11-27T09:40".
     *
     * @throws BoilException
     */
    private static function moment(string $typed, \DateTimeImmutable $now): \DateTimeImmutable
    {
        if (preg_match('/^(\d{4}-\d\d-\d\d)T([01]?\d|2[0-3]):([0-5]\d)$/', $typed, $m) === 1) {
            $day = \DateTimeImmutable::createFromFormat('!Y-m-d', $m[1], $now->getTimezone());

            return $day === false || $day->format('Y-m-d') !== $m[1]
                ? throw BoilException::time($typed)
                : $day->setTime((int) $m[2], (int) $m[3]);
        }
        if (mb_strtolower(trim($typed)) === 'now') {
            return $now;
        }
        preg_match('/^(yesterday\s+(?:at\s+)?|today\s+(?:at\s+)?)?(.*)$/isu', trim($typed), $m);
        $minute = TimeOfDay::minute($m[2] ?? '') ?? throw BoilException::time($typed);
        $at = TimeOfDay::on($now, $minute);

        return stripos($m[1] ?? '', 'yesterday') === 0 ? $at->modify('-1 day') : $at;
    }

    /**
     * The oil of it as a batch, strained today and in its bottles: from then on it is kept, labelled and followed like any.
     *
     * @param  list<string>  $acknowledged
     */
    private function bottled(BoilState $state, Boil $boil, float $ml, ?string $verdict, array $acknowledged): Batch
    {
        $batch = ($this->start)(LongOilBatch::wish($state, $ml, $verdict, $this->kitchens->plain()), acknowledged: $acknowledged);
        $this->batches->write($batch, fn () => new NewLine(new Note(), "{$boil->code}: {$boil->name}"));

        return $batch;
    }
}
