<?php

declare(strict_types=1);

namespace Kettle\Material;

/** A thing of the house's own that cannot be taken in; carries every fault found, so that all can be mended at once. */
final class OwnException extends \DomainException
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
