<?php

namespace App\Pages\Making;

use App\Actions\Melt\MakingRecords;
use App\House\KitchenFactory;
use App\House\Times;
use App\Models\Making;
use App\Responses\Making\LeafView;
use App\Responses\Stove\LeafPot;
use Kettle\Making\LeafWatch;
use Kettle\Making\Stage;

/** A leaf in a pot, in words: when to stir it, and when to sieve it. */
final readonly class LeafPresenter
{
    private const LISTED = 12;

    public function __construct(private MakingRecords $records, private KitchenFactory $kitchens, private Times $times) {}

    public function view(LeafWatch $watch): LeafView
    {
        $now = $this->kitchens->now();
        $over = $now > $watch->sieveBy;
        $length = max(1, $watch->sieveBy->getTimestamp() - $watch->since->getTimestamp());
        $share = fn (\DateTimeImmutable $at): float => round(
            max(0.0, min(1.0, ($at->getTimestamp() - $watch->since->getTimestamp()) / $length)),
            4,
        );
        $warmth = fn (float $celsius): string => $this->kitchens->plain()->warmth($celsius);

        return new LeafView(
            'in since '.$this->times->clock($watch->since),
            $this->says($watch),
            $now >= $watch->stirBy || $now >= $watch->sieveFrom,
            $over,
            'keep it between '.$warmth($watch->leaf->lowC).' and '.$warmth($watch->leaf->ceilingC),
            $watch->celsius === null ? null : $warmth($watch->celsius),
            match (true) {
                $watch->isTooWarm() => 'Too warm: take it off the heat and stir it.',
                $watch->isTooCool() => 'It begins to set: warm it a little.',
                default => null,
            },
            'sieve it from '.$this->times->clock($watch->sieveFrom).', by '.$this->times->clock($watch->sieveBy).' at the latest',
            $share($now),
            $share($watch->sieveFrom),
        );
    }

    /** What is to be done now, or next. */
    public function says(LeafWatch $watch): string
    {
        $now = $this->kitchens->now();

        return match (true) {
            $now > $watch->sieveBy => 'Sieve it now: it has been in since '.$this->times->clock($watch->since).'.',
            $now >= $watch->sieveFrom => 'Sieve it while it is warm, by '.$this->times->clock($watch->sieveBy).' at the latest.',
            $now >= $watch->stirBy => 'Stir it now.',
            default => 'Stir it at '.
                $this->times->clock($watch->stirBy).
                '; sieve it from '.
                $this->times->clock($watch->sieveFrom).
                ' on.',
        };
    }

    /** @return list<LeafPot> every pot that has a leaf in it */
    public function standing(): array
    {
        $pots = [];
        $makings = Making::query()
            ->where('stage', Stage::Making)
            ->where('plan->leaf->grams', '>', 0)
            ->with('entries')
            ->orderByDesc('begun_at')
            ->limit(self::LISTED)
            ->get();
        foreach ($makings as $making) {
            $watch = $this->records->state($making)->leaf;
            if ($watch !== null) {
                $pots[] = new LeafPot($making->uid, $making->code, $making->name, $this->view($watch));
            }
        }

        return $pots;
    }
}
