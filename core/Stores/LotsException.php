<?php

declare(strict_types=1);

namespace Kettle\Stores;

/** A lot that cannot be taken in; carries every fault found, so that all can be mended at once. */
final class LotsException extends \DomainException
{
    /** @param  non-empty-list<array{field: string, reason: string, sentence: string}>  $faults */
    private function __construct(public readonly array $faults)
    {
        parent::__construct($faults[0]['sentence']);
    }

    /** @param  non-empty-list<array{field: string, reason: string, sentence: string}>  $faults */
    public static function of(array $faults): self
    {
        return new self($faults);
    }
}
