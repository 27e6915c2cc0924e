<?php

declare(strict_types=1);

namespace Kettle\Recipe;

/** A way out of something that will not do: in words, and as the change to the wish that takes it. */
final readonly class Way
{
    /** @param  array<string, mixed>  $change keys of the wish to set; null takes one out */
    public function __construct(public string $id, public string $says, public array $change)
    {
    }

    /** @return array{id: string, says: string, change: array<string, mixed>} */
    public function toArray(): array
    {
        return ['id' => $this->id, 'says' => $this->says, 'change' => $this->change];
    }
}
