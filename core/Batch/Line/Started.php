<?php

declare(strict_types=1);

namespace Kettle\Batch\Line;

use Kettle\Batch\Stored;
use Kettle\Reason\Said;

/** Planned: its beginning, which is not undone. */
final readonly class Started extends ReadCautions
{
    public const KIND = 'started';

    /**
     * @param  list<array{id: string, says: ?Said}>  $cautions that were read before it was begun
     * @param  bool  $there whether it was there already, and is only entered
     */
    public function __construct(public ?Said $sentence, array $cautions = [], public bool $there = false)
    {
        parent::__construct($cautions);
    }

    public static function of(Stored $data): self
    {
        return new self($data->said('sentence'), self::cautions($data), $data->flag('there'));
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return ['sentence' => $this->sentence?->toArray(), ...$this->there ? ['there' => true] : []] + $this->kept();
    }

    public function movesTheDiary(): bool
    {
        return true;
    }
}
