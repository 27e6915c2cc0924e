<?php

declare(strict_types=1);

namespace Kettle\Batch\Line;

use Kettle\Batch\Stored;
use Kettle\Diary\Event;
use Kettle\Diary\Step;
use Kettle\Reason\Said;

/** What came out of the cloth, and how. */
final readonly class Strained extends Line
{
    public const KIND = 'strained';

    /** Somebody says that the warmth was had which nobody logged. */
    public const WARMTH_HAD = 'had';

    /**
     * @param  string  $typed as it was written
     * @param  ?float  $ml what came out of the cloth
     * @param  ?string  $way of Uptake::WAYS; null for as it was planned
     * @param  string  $warmth WARMTH_HAD, or not, where nobody logged it; empty where it was logged
     * @param  ?float  $spentG what the spent herb weighs
     * @param  ?string  $spentTo,$filter of Straining's lists
     * @param  list<string>  $signs that it was done, as they were ticked
     */
    public function __construct(
        public string $typed,
        public ?float $ml,
        public string $verdict,
        public ?Said $says,
        public ?float $uptakeMlPerG,
        public ?string $way,
        public bool $weighed,
        public string $warmth = '',
        public ?float $spentG = null,
        public ?string $spentTo = null,
        public ?string $filter = null,
        public array $signs = [],
    ) {}

    public static function of(Stored $data): self
    {
        return new self(
            $data->text('typed'),
            $data->numberOrNull('ml'),
            $data->text('verdict'),
            $data->said('says'),
            $data->numberOrNull('uptake_ml_per_g'),
            $data->textOrNull('way'),
            $data->flag('weighed'),
            $data->text('warmth'),
            $data->numberOrNull('spent_g'),
            $data->textOrNull('spent_to'),
            $data->textOrNull('filter'),
            $data->texts('signs'),
        );
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return [
            'typed' => $this->typed,
            'ml' => $this->ml,
            'verdict' => $this->verdict,
            'says' => $this->says?->toArray(),
            'uptake_ml_per_g' => $this->uptakeMlPerG,
            'way' => $this->way,
            'weighed' => $this->weighed,
            ...$this->warmth === '' ? [] : ['warmth' => $this->warmth],
            ...$this->spentG === null ? [] : ['spent_g' => $this->spentG],
            ...$this->spentTo === null ? [] : ['spent_to' => $this->spentTo],
            ...$this->filter === null ? [] : ['filter' => $this->filter],
            ...$this->signs === [] ? [] : ['signs' => $this->signs],
        ];
    }

    public function event(\DateTimeImmutable $at): Event
    {
        return Event::done(Step::Strain->value, $at);
    }

    public function carries(): bool
    {
        return true;
    }

    public function movesTheDiary(): bool
    {
        return true;
    }
}
