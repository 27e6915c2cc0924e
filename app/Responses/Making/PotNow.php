<?php

namespace App\Responses\Making;

/** A part of what is in a pot, or is to go in. */
final readonly class PotNow
{
    /**
     * @param  string  $text so much of it, in g or in drops
     * @param  ?string  $reads_text what the scale reads when it is in; null for what goes in when it has cooled
     * @param  bool  $in whether it is in
     */
    public function __construct(
        public string $id,
        public string $kind,
        public string $name,
        public float $grams,
        public float $ml,
        public float $share,
        public string $text,
        public string $share_text,
        public ?string $reads_text,
        public bool $cool,
        public bool $in,
    ) {}
}
