<?php

declare(strict_types=1);

namespace Kettle\Practice;

use Kettle\Reason\Said;

/** One thing to be done with a made-up jar. */
final readonly class Task
{
    /** What is asked for: an amount as it is weighed or measured, a warmth, a length of time, or one of several. */
    public const ASKS = ['mass', 'volume', 'warmth', 'hours', 'choice'];

    /**
     * @param  value-of<self::ASKS>  $asks
     * @param  list<array{id: string, says: Said}>  $choices in their own order; none where an amount is asked for
     */
    public function __construct(public string $id, public string $asks, public Said $tells, public array $choices) {}

    public function title(): Said
    {
        return Said::of("practice.{$this->id}.title");
    }

    public function question(): Said
    {
        return Said::of("practice.{$this->id}.asks");
    }
}
