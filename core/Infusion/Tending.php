<?php

declare(strict_types=1);

namespace Kettle\Infusion;

use Kettle\Material\HerbMix;
use Kettle\Material\State;

/** How a jar is looked after while it infuses. */
final readonly class Tending
{
    /**
     * @param  bool  $attended whether somebody must be by while it is warm
     * @param  list<string>  $handling what to do, and what not to
     */
    public function __construct(
        public float $shakeEveryH,
        public bool $attended,
        public array $handling,
        public string $lidDry,
        public string $lidWet,
    ) {}

    /** As somebody goes about it: a school may want nobody by, a cook may shake it oftener or less. */
    public function as(?bool $attended, ?float $shakeEveryH): self
    {
        return new self($shakeEveryH ?? $this->shakeEveryH, $attended ?? $this->attended, $this->handling, $this->lidDry, $this->lidWet);
    }

    /** @return list<string> for what is in the jar: its lid first */
    public function linesFor(HerbMix $mix): array
    {
        return [$mix->state === State::Dried ? $this->lidDry : $this->lidWet, ...$this->handling];
    }
}
