<?php

declare(strict_types=1);

namespace Kettle\Diary;

use Kettle\Reason\Said;
use Kettle\Time\Interval;

/**
 * The place the diary keeps for a batch: which cooker, and when it is warm there.
 *
 * @phpstan-import-type Kept from CookerJob
 *
 * @phpstan-type Stored array{slots: list<array{from: string, to: string}>, cooker?: ?string, cooker_name?: ?string,
 *     warm_up_min?: ?int, says?: mixed, job?: Kept|array{}}
 */
final readonly class Reservation
{
    /**
     * @param  list<Interval>  $slots empty where no time is found
     * @param  ?string  $cooker its id; null where it has no place
     * @param  ?int  $warmUpMin minutes it takes to get warm there
     * @param  ?Said  $says why it has no place, or comes late
     * @param  Kept|array{}  $job as it was asked, for what is asked before it changes; CookerJob::toArray()
     */
    public function __construct(
        public array $slots,
        public ?string $cooker,
        public ?string $cookerName,
        public ?int $warmUpMin,
        public ?Said $says,
        public array $job,
    ) {}

    /** @param  Stored  $stored of toArray(); older rows lack some of it */
    public static function of(array $stored): self
    {
        return new self(
            array_map(
                fn (array $slot) => new Interval(new \DateTimeImmutable($slot['from']), new \DateTimeImmutable($slot['to'])),
                $stored['slots'],
            ),
            $stored['cooker'] ?? null,
            $stored['cooker_name'] ?? null,
            $stored['warm_up_min'] ?? null,
            Said::read($stored['says'] ?? null),
            $stored['job'] ?? [],
        );
    }

    /** As it was stored, decoded; null where there is none. */
    public static function read(mixed $stored): ?self
    {
        if (! is_array($stored) || ! isset($stored['slots'])) {
            return null;
        }

        /** @var Stored $stored */
        return self::of($stored);
    }

    /** When it is next put to warm. */
    public function next(): ?\DateTimeImmutable
    {
        return $this->slots[0]->from ?? null;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'slots' => array_map(fn (Interval $slot) => $slot->toArray(), $this->slots),
            'cooker' => $this->cooker,
            'cooker_name' => $this->cookerName,
            'warm_up_min' => $this->warmUpMin,
            'says' => $this->says?->toArray(),
            'job' => $this->job,
        ];
    }
}
