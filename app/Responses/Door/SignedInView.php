<?php

namespace App\Responses\Door;

/** One place somebody is signed in. */
final readonly class SignedInView
{
    /**
     * @param  string  $with "Firefox on Android"; empty where it says nothing of itself
     * @param  string  $from the address it came from last
     * @param  string  $used "2 hours ago"
     * @param  bool  $here whether it is the one that asks
     */
    public function __construct(public string $id, public string $with, public string $from, public string $used, public bool $here) {}
}
