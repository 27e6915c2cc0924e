<?php

namespace App\Responses\Batch;

/** Something that may be seen or smelled. */
final readonly class FaultSign
{
    /**
     * @param  bool  $discard whether it means: throw away, whatever the cause
     * @param  list<string>  $of what it may be seen of: oil, jar, product
     */
    public function __construct(public string $id, public string $says, public bool $discard, public array $of) {}
}
