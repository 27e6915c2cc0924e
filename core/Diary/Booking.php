<?php

declare(strict_types=1);

namespace Kettle\Diary;

use Kettle\Reason\Said;
use Kettle\Time\Interval;

/** The place one more jar finds among what is booked. */
final readonly class Booking
{
    /**
     * @param  list<Interval>  $slots empty where it finds none
     * @param  string  $cooker as the house calls it; empty where it finds none
     * @param  list<string|array<string, mixed>>  $with whose jars stand in it too
     * @param  list<array{called: string|array<string, mixed>, was: \DateTimeImmutable,
     *     is: \DateTimeImmutable}>  $moves who is put to warm at another time for it
     * @param  ?Said  $says why it comes late, or has no place
     */
    public function __construct(
        public array $slots,
        public int $warmUpMin,
        public string $cooker,
        public array $with,
        public array $moves,
        public ?Said $says,
    ) {}
}
