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

    /** @return list<string> where its lines for what is in the jar stand: its lid first */
    public function linesFor(HerbMix $mix): array
    {
        return [$mix->state === State::Dried ? 'lid_dry' : 'lid_wet', ...array_map(strval(...), array_keys($this->handling))];
    }

    /** A line, by where it stands; empty where there is none such. */
    public function line(string $where): string
    {
        return match ($where) {
            'lid_dry' => $this->lidDry,
            'lid_wet' => $this->lidWet,
            default => $this->handling[(int) $where] ?? '',
        };
    }
}
