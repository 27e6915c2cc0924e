<?php

namespace App\Actions\Melt;

use App\House\KitchenFactory;
use App\Models\Boil;
use Kettle\Boiling\FrozenBoil;
use Kettle\Boiling\Stage;
use Kettle\Material\Cupboard;
use Kettle\Material\Herb;
use Kettle\Material\State;
use Kettle\Material\Tables;
use Kettle\Melt\Boiled;
use Kettle\Reason\Said;

/** The house's own decoctions and glycerin extracts, as the Melt takes them. */
final readonly class BoiledPots
{
    /** Of one product; nobody pours together more. */
    private const MOST = 12;

    public function __construct(private KitchenFactory $kitchens, private Cupboard $cupboard, private Tables $tables) {}

    /**
     * Those that were asked for, also such as are not strained yet, or of which nothing is left.
     *
     * @param  list<string>  $uids
     * @return array<string, Boiled> by the pot's uid
     */
    public function named(array $uids): array
    {
        $boiled = [];
        foreach ($uids === [] ? [] : Boil::query()->whereIn('uid', array_slice($uids, 0, self::MOST))->get() as $boil) {
            $of = $this->of($boil);
            if ($of !== null) {
                $boiled[$boil->uid] = $of;
            }
        }

        return $boiled;
    }

    /** Null where what comes of it does not go into a product as it is. */
    public function of(Boil $boil): ?Boiled
    {
        $plan = $boil->plan;
        $as = FrozenBoil::row($plan->kind, $this->tables)?->textOrNull('goes_in');
        if ($as === null) {
            return null;
        }
        $zone = $this->kitchens->now()->getTimezone();
        $said = $this->said($boil, $as);
        $gramsPerMl = $plan->byWeight ? 1.0 : $this->cupboard->addition($as)->density->gramsPerMl;

        return new Boiled(
            $boil->uid,
            $this->kitchens->words()->of($said),
            $as,
            $boil->code,
            $this->herbs($boil),
            (float) $boil->left * $gramsPerMl,
            $boil->best_before === null ? null : new \DateTimeImmutable($boil->best_before->format('Y-m-d'), $zone),
            $plan->purpose === 'kitchen',
            match (true) {
                $boil->stage === Stage::Made => Boiled::SOUND,
                $boil->stage->isOpen() => Boiled::NOT_YET,
                default => Boiled::GONE,
            },
            $said->toArray(),
            $plan->byWeight,
        );
    }

    /** "comfrey decoction of 24 November" as a sentence keeps it. */
    private function said(Boil $boil, string $as): Said
    {
        $day = ['day_of_year' => $boil->begun_at->setTimezone($this->kitchens->now()->getTimezone())->format('Y-m-d')];

        return $boil->plan->of === []
            ? Said::of('melt.boiled', ['what' => ['addition' => $as], 'day' => $day])
            : Said::of('melt.boiled-of', ['of' => ['all' => $boil->plan->of], 'what' => ['addition' => $as], 'day' => $day]);
    }

    /** @return list<array{plant: Herb, state: State}> the plants it was boiled of */
    public function herbs(Boil $boil): array
    {
        return array_map(fn (mixed $of) => ['plant' => $this->plant($of), 'state' => State::Dried], $boil->plan->herbs());
    }

    private function plant(mixed $of): Herb
    {
        $id = is_array($of) && is_string($of['herb'] ?? null) ? $of['herb'] : '';

        return $this->cupboard->herbOrNull($id) ?? Herb::unlisted(is_string($of) ? $of : $this->kitchens->words()->thing($of), '');
    }
}
