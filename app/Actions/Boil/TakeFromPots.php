<?php

namespace App\Actions\Boil;

use App\Actions\Batches\DrawFromBottles;
use App\Actions\Batches\NewLine;
use App\House\KitchenFactory;
use App\Models\Boil;
use App\Models\Making;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Kettle\Batch\Line\Undone;
use Kettle\Boiling\BoilState;
use Kettle\Boiling\Line\Taken;
use Kettle\Making\PotPart;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Melt\MeltException;
use Kettle\Time\Dates;

/**
 * What a product, or another pot, takes of the house's decoctions, extracts and cleansed oils stands in the logbooks of their
 * pots too, and follows what is written in its own. Called where its own line is written, in one with it.
 */
final readonly class TakeFromPots
{
    /** Less than this is no change, mL or g. */
    private const SAME = 0.0005;

    public function __construct(private BoilLogbook $logbook, private KitchenFactory $kitchens) {}

    /**
     * @param  array<string, float>  $wanted mL or g, as each is counted, by the pot's uid
     *
     * @throws \Kettle\Boiling\BoilException when there is less of it by now, or it is past its day
     */
    public function follow(Making|Boil $into, array $wanted): void
    {
        // The rows as they are now, also where another request has written since this one began to look.
        $before = DB::table('boil_takes')->where(self::key($into), $into->id)->lockForUpdate()->pluck('amount', 'boil_id');
        if ($wanted === [] && $before->isEmpty()) {
            return;
        }
        foreach (
            $this->pots(array_keys($wanted), $before->keys()->all())
                ->lockForUpdate()
                ->get() as $boil
        ) {
            $amount = round($wanted[$boil->uid] ?? 0.0, 3);
            $was = is_numeric($before[$boil->id] ?? null) ? (float) $before[$boil->id] : 0.0;
            if (abs($amount - $was) > self::SAME) {
                $this->take($into, $boil, $amount, $amount > $was);
            }
        }
    }

    /**
     * Nothing is made with what is past its day.
     *
     * @throws MeltException
     */
    public function refuseOver(PotPart ...$parts): void
    {
        foreach ($parts as $part) {
            $boil = $part->boil === null ? null : Boil::query()->where('uid', $part->boil['id'])->first();
            if ($boil?->best_before !== null && $boil->best_before->format('Y-m-d') < $this->kitchens->now()->format('Y-m-d')) {
                throw MeltException::past($this->kitchens->words()->thing($part->said), Dates::say($boil->best_before, 'day'));
            }
        }
    }

    /**
     * Of what was taken in from a file: the lines came with its pots.
     *
     * @param  array<string, float>  $taken
     */
    public function noted(Making|Boil $into, array $taken): void
    {
        DB::table('boil_takes')->where(self::key($into), $into->id)->delete();
        foreach ($taken === [] ? [] : $this->pots(array_keys($taken), [])->get() as $boil) {
            $this->note($into, $boil, round($taken[$boil->uid], 3));
        }
    }

    private function take(Making|Boil $into, Boil $boil, float $amount, bool $more): void
    {
        foreach ($this->logbook->log($boil)->standing as $entry) {
            if ($entry->line instanceof Taken && $entry->line->into === $into->uid) {
                $this->logbook->write($boil, fn () => new NewLine(new Undone(Taken::KIND), null, $entry->id));
            }
        }
        DB::table('boil_takes')->where(self::key($into), $into->id)->where('boil_id', $boil->id)->delete();
        if ($amount <= 0) {
            return;
        }
        $typed = AmountWriter::plain($amount, $boil->plan->byWeight ? Kind::Mass : Kind::Volume);
        $this->logbook->write($boil, function (BoilState $state) use ($into, $amount, $typed, $more): NewLine {
            // No jug is exact.
            $there = $amount <= $state->left * DrawFromBottles::READ ? min($amount, $state->left) : $amount;

            // What is over now is not taken; what was taken before stays so all the same.
            return new NewLine(
                $more
                    ? $this->logbook->hand($state)->take($there, $typed, $into->code, $this->kitchens->now(), $into->uid)
                    : new Taken($there, $typed, $into->code, $into->uid),
            );
        });
        $this->note($into, $boil, $amount);
    }

    private function note(Making|Boil $into, Boil $boil, float $amount): void
    {
        DB::table('boil_takes')->insert([
            'house_id' => $into->getAttribute('house_id'),
            self::key($into) => $into->id,
            'boil_id' => $boil->id,
            'amount' => $amount,
        ]);
    }

    /** The day that what was poured into a pot is good until, YYYY-MM-DD; null where nothing was, or it has none. */
    public static function goodUntil(Boil $into): ?string
    {
        $day = DB::table('boil_takes')
            ->join('boils', 'boils.id', '=', 'boil_takes.boil_id')
            ->where('boil_takes.into_boil_id', $into->id)
            ->min('boils.best_before');

        return is_string($day) ? substr($day, 0, 10) : null;
    }

    private static function key(Making|Boil $into): string
    {
        return $into instanceof Making ? 'making_id' : 'into_boil_id';
    }

    /**
     * @param  list<string>  $uids
     * @param  array<mixed>  $ids
     * @return Builder<Boil>
     */
    private function pots(array $uids, array $ids): Builder
    {
        return Boil::query()->where(fn ($query) => $query->whereIn('uid', $uids)->orWhereIn('id', $ids))->orderBy('id');
    }
}
