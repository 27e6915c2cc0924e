<?php

namespace App\Actions;

/** Two people edited the same thing; the later is shown what stands now, and nothing is overwritten. */
final class Clash extends \RuntimeException
{
    /** @param  array<string, mixed>  $current what stands now */
    public function __construct(string $sentence, public readonly array $current = [])
    {
        parent::__construct($sentence);
    }
}
