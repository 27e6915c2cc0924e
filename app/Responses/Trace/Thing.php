<?php

namespace App\Responses\Trace;

/** A lot, batch, bottle, product, tin or person on a trace. */
final readonly class Thing
{
    /**
     * @param  'back'|'forward'|'self'  $side of what is followed
     * @param  'nothing'|'tell'|'throw-away'  $do with it, should what is followed have turned
     * @param  string  $at the address of its page within the house; empty where it has none
     */
    public function __construct(
        public string $id,
        public string $kind,
        public string $name,
        public string $detail,
        public string $side,
        public string $do,
        public string $who,
        public string $at,
    ) {}
}
