<?php

declare(strict_types=1);

namespace Kettle\Infusion;

use Kettle\Material\HerbMix;
use Kettle\Material\Row;

/** One way of practising a method: how long (hours), how long it stands after the heat, and, when heated, how warm (C). */
final readonly class Variant
{
    public function __construct(
        public string $id,
        public string $name,
        public float $leastH,
        public float $usualH,
        public float $mostH,
        public ?float $targetC,
        public ?float $ceilingC,
        public ?string $for,
        public string $why,
        public float $standsH = 0.0,
        public ?bool $attended = null,
    ) {}

    public static function fromRow(Row $row): self
    {
        return new self(
            $row->text('id'),
            $row->text('name'),
            $row->number('least_h'),
            $row->number('usual_h'),
            $row->number('most_h'),
            $row->numberOrNull('target_c'),
            $row->numberOrNull('ceiling_c'),
            $row->textOrNull('for'),
            $row->text('why'),
            $row->number('stands_h'),
            $row->flagOrNull('attended'),
        );
    }

    /** What it is called, without what is said of it besides: "overnight" of "overnight, then standing". */
    public function calledFirst(): string
    {
        return explode(',', $this->name)[0];
    }

    /** Whether this school is the one to begin with for what is in the jar; "any" is the last resort. */
    public function startsFor(HerbMix $mix): bool
    {
        return ($this->for === 'powder' && $mix->isPowder()) || ($this->for === 'woody' && $mix->isWoody());
    }
}
