<?php

namespace App\Actions\Diary;

/** What a calendar says of when somebody is busy. */
final readonly class Busy
{
    /**
     * @param  list<array{called: string, from: \DateTimeImmutable, to: \DateTimeImmutable}>  $times
     * @param  list<string>  $wholeDays what was left out: a day long, and not said to be busy or free
     * @param  list<string>  $zones names of time zones that nobody knows; their times were taken as the house's own
     */
    public function __construct(public array $times, public array $wholeDays = [], public array $zones = []) {}

    public function json(): string
    {
        $times = array_map(
            fn (array $each) => [
                'called' => $each['called'],
                'from' => $each['from']->format(DATE_ATOM),
                'to' => $each['to']->format(DATE_ATOM),
            ],
            $this->times,
        );

        return json_encode(
            ['times' => $times, 'whole_days' => $this->wholeDays, 'zones' => $this->zones],
            JSON_INVALID_UTF8_SUBSTITUTE | JSON_THROW_ON_ERROR,
        );
    }

    public static function of(string $json, \DateTimeZone $zone): self
    {
        /** @var array{times: list<array{called: string, from: string, to: string}>, whole_days: list<string>, zones: list<string>} $read */
        $read = json_decode($json, true, flags: JSON_THROW_ON_ERROR);

        return new self(
            array_map(
                fn (array $each) => [
                    'called' => $each['called'],
                    'from' => (new \DateTimeImmutable($each['from']))->setTimezone($zone),
                    'to' => (new \DateTimeImmutable($each['to']))->setTimezone($zone),
                ],
                $read['times'],
            ),
            $read['whole_days'],
            $read['zones'],
        );
    }
}
