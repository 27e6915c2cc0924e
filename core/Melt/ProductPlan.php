<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Reason\Figure;
use Kettle\Reason\Note;
use Kettle\Reason\Said;

/** A wish made into what is weighed, in which order, what comes of it, and what to watch for. */
final readonly class ProductPlan
{
    /**
     * @param  array<string, Figure>  $figures by id
     * @param  list<array{slot: ?string, text: Said, chosen: bool}>  $sentence
     * @param  list<Note>  $notes
     * @param  list<array{id: string, says: Said}>  $steps
     * @param  list<array{id: string, firmness: float, grams: float}>  $moves where a little more of each would take it
     * @param  list<array{must: bool, says: Said}>  $labels what its label says of what to heed
     * @param  ?array{runs: float, clear: float, to: float, drops: float}  $warmth how warm it is melted; null for what pours cold
     * @param  ?ProductDays  $days where a day is wanted, or an oil is to come
     */
    public function __construct(
        public ProductWish $wish,
        public Composition $pot,
        public Scents $scents,
        public TinFilling $tins,
        public ProductKeeping $keeping,
        public array $figures,
        public array $sentence,
        public array $notes,
        public array $steps,
        public array $moves,
        public ?FirmnessSeen $seen,
        public array $labels,
        public ?ProductDays $days = null,
        public ?array $warmth = null,
    ) {}

    /** What it must not be made for; null where nothing forbids it. */
    public function stop(): ?Note
    {
        foreach ($this->notes as $note) {
            if ($note->rank === 'stop') {
                return $note;
            }
        }

        return null;
    }

    public function ingredients(): Ingredients
    {
        return Ingredients::of($this->pot, $this->scents, $this->wish->leaf);
    }

    /** @return list<mixed> each plant in it once, as a sentence keeps it */
    public function plants(): array
    {
        return array_column($this->ingredients()->herbs, 'name');
    }

    /** @param  list<Note>  $notes */
    public function withNotes(array $notes): self
    {
        return new self(
            $this->wish,
            $this->pot,
            $this->scents,
            $this->tins,
            $this->keeping,
            $this->figures,
            $this->sentence,
            $notes,
            $this->steps,
            $this->moves,
            $this->seen,
            $this->labels,
            $this->days,
            $this->warmth,
        );
    }
}
