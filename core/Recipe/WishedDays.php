<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Diary\DiaryException;
use Kettle\Time\Dates;
use Kettle\Time\Day;

/** When a wish is to be begun, or ready; null where nobody said. */
final readonly class WishedDays
{
    public function __construct(public ?\DateTimeImmutable $start, public ?\DateTimeImmutable $readyBy) {}

    /**
     * @param  array<mixed>  $wish
     *
     * @throws DiaryException when it is no day, has gone by, or is too far to say
     */
    public static function day(array $wish, string $key, \DateTimeImmutable $today): ?\DateTimeImmutable
    {
        $typed = Fields::text($wish, $key);
        if ($typed === null) {
            return null;
        }
        $day = Day::read($typed, $today->getTimezone()) ?? throw DiaryException::day($typed);
        if ($day < $today) {
            throw DiaryException::past(Dates::say($day, 'day'), Dates::say($today, 'day'));
        }
        if ($day > $today->modify('+2 years')) {
            throw DiaryException::tooFar(Dates::say($day, 'day'), 'two years');
        }

        return $day;
    }
}
