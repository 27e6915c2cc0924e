<?php

namespace App\Responses\Batch;

/** A likely cause, with the evidence for and against it. */
final readonly class FaultCause
{
    /**
     * @param  list<string>  $for
     * @param  list<string>  $against
     * @param  'likely'|'possible'|'less likely'  $likely
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $likely,
        public array $for,
        public array $against,
        public string $test,
        public string $do,
        public string $keep,
    ) {}
}
