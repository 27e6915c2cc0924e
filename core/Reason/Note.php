<?php

declare(strict_types=1);

namespace Kettle\Reason;

/** What to watch for: its words, how grave it is, what of the plan it is about, and the ways out where there are some. */
final readonly class Note
{
    /**
     * @param  'stop'|'care'|'note'  $rank
     * @param  string  $about herb, oil, jar, days, keeping and their like: where a page says it
     * @param  list<Way>  $ways
     * @param  ?Said  $why with its source, where it is a caution of the tables
     * @param  bool  $acknowledge whether it is read before a batch is begun
     */
    public function __construct(
        public string $id,
        public string $rank,
        public Said $says,
        public string $about,
        public array $ways = [],
        public ?Said $why = null,
        public ?Said $source = null,
        public bool $acknowledge = false,
    ) {}

    /** @param  list<Way>  $ways */
    public function withWays(array $ways): self
    {
        return new self($this->id, $this->rank, $this->says, $this->about, $ways, $this->why, $this->source, $this->acknowledge);
    }

    /** Whether nobody may pass it by unread. */
    public function warns(): bool
    {
        return $this->rank === 'stop' || $this->acknowledge;
    }

    /** @return array{id: string, rank: 'stop'|'care'|'note', says: Said, about: string, why?: ?Said, source?: Said, acknowledge?: bool} */
    public function said(): array
    {
        $said = ['id' => $this->id, 'rank' => $this->rank, 'says' => $this->says];
        if ($this->source !== null) {
            $said += ['why' => $this->why, 'source' => $this->source, 'acknowledge' => $this->acknowledge];
        }

        return $said + ['about' => $this->about];
    }

    /** @return array<string, mixed> with the ways out of it, as docs/formats/plan.schema.json has it */
    public function toArray(): array
    {
        return $this->said() + ['ways' => array_map(fn (Way $way) => $way->toArray(), $this->ways)];
    }
}
