<?php

namespace App\Responses\Making;

/** A leaf that is in a pot: what is to be done with it by when. */
final readonly class LeafView
{
    /**
     * @param  string  $says what to do now, or next
     * @param  bool  $due whether that is now
     * @param  bool  $over whether it should have been sieved by now
     * @param  ?string  $warmth_says where it was read too warm, or too cool
     * @param  float  $had of the longest it is in, a part of 1
     * @param  float  $least of it, from when on it may be sieved
     */
    public function __construct(
        public string $since_text,
        public string $says,
        public bool $due,
        public bool $over,
        public string $band_text,
        public ?string $warmth_text,
        public ?string $warmth_says,
        public string $sieve_text,
        public float $had,
        public float $least,
    ) {}
}
