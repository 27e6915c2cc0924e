<?php

namespace App\Actions\Diary;

use App\House\KitchenFactory;
use App\Models\Absence;
use App\Models\BusyCalendar;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Kettle\Reason\Said;
use Kettle\Time\Day;

/** When nobody is at home: said, or read out of a calendar. The diary goes round it. */
final readonly class Absences
{
    /** Busy times are looked for so far ahead. */
    private const AHEAD_DAYS = 400;

    private const MOST = 2000;

    /** Of a list of names, so many are told. */
    private const NAMED = 6;

    public function __construct(private KitchenFactory $kitchens, private FollowAvailability $follow) {}

    /** @throws CalendarException */
    public function add(string $from, string $to, string $called): Absence
    {
        $a = $this->moment('from', $from, false);
        $b = $this->moment('to', $to, true);
        if ($b <= $a) {
            throw CalendarException::backwards();
        }
        if ($b > $a->modify('+366 days')) {
            throw CalendarException::tooLong();
        }
        if ($b <= $this->kitchens->now()) {
            throw CalendarException::gone();
        }

        return DB::transaction(function () use ($a, $b, $called): Absence {
            $absence = Absence::query()->create([
                'uid' => Str::ulid()->toString(),
                'called' => $called === '' ? 'Away' : $called,
                'from_at' => Carbon::instance($a)->utc(),
                'to_at' => Carbon::instance($b)->utc(),
            ]);
            ($this->follow)(Said::of('moved.nobody-home'), $a, $b);

            return $absence;
        });
    }

    public function remove(Absence $absence): void
    {
        DB::transaction(function () use ($absence): void {
            $absence->delete();
            ($this->follow)(Said::of('moved.somebody-home'), $absence->from_at, $absence->to_at);
        });
    }

    /**
     * Busy times of a calendar. Read again under the same name, it takes the place of what was read before.
     *
     * @return list<string> what of it was taken for what
     *
     * @throws CalendarException
     */
    public function read(string $called, string $ics): array
    {
        $busy = BusyTimes::read($ics, $this->kitchens->now(), self::AHEAD_DAYS, self::MOST);

        DB::transaction(function () use ($called, $busy): void {
            BusyCalendar::query()->where('called', $called)->get()->each(fn (BusyCalendar $old) => $old->delete());
            $calendar = BusyCalendar::query()->create(['uid' => Str::ulid()->toString(), 'called' => $called]);
            foreach (array_chunk($busy->times, 200) as $part) {
                Absence::query()->insert(
                    array_map(
                        fn (array $each) => [
                            'house_id' => $calendar->getAttribute('house_id'),
                            'calendar_id' => $calendar->id,
                            'uid' => Str::ulid()->toString(),
                            'called' => $each['called'],
                            'from_at' => Carbon::instance($each['from'])->utc(),
                            'to_at' => Carbon::instance($each['to'])->utc(),
                        ],
                        $part,
                    ),
                );
            }
            ($this->follow)(Said::of('moved.busy'));
        });

        return $this->notes($busy);
    }

    /** @return list<string> */
    private function notes(Busy $busy): array
    {
        return array_values(
            array_filter([
                $busy->times === [] ? sprintf('It has no busy times in the %d days to come.', self::AHEAD_DAYS) : '',
                $busy->wholeDays === []
                    ? ''
                    : sprintf(
                        'Left out, as whole days that are not marked busy: %s. Where nobody is at home then, say so under Away.',
                        self::some($busy->wholeDays),
                    ),
                $busy->zones === []
                    ? ''
                    : sprintf('Times of “%s” are taken as the house’s own: no time zone is known by that name.', self::some($busy->zones)),
            ]),
        );
    }

    /** @param  list<string>  $names */
    private static function some(array $names): string
    {
        $more = count($names) - self::NAMED;

        return implode(', ', array_slice($names, 0, self::NAMED)).($more > 0 ? ", and {$more} more" : '');
    }

    public function forget(BusyCalendar $calendar): void
    {
        DB::transaction(function () use ($calendar): void {
            $calendar->delete();
            ($this->follow)(Said::of('moved.calendar-gone'));
        });
    }

    private function moment(string $field, string $typed, bool $end): \DateTimeImmutable
    {
        $zone = $this->kitchens->now()->getTimezone();
        $day = Day::read($typed, $zone);
        if ($day !== null) {
            return $end ? $day->modify('+1 day') : $day;
        }
        $parts = explode('T', $typed);
        $day = count($parts) === 2 ? Day::read($parts[0], $zone) : null;
        if ($day === null || preg_match('/^([01]\d|2[0-3]):([0-5]\d)$/D', $parts[1] ?? '', $m) !== 1) {
            throw CalendarException::moment($field, $typed);
        }

        return $day->setTime((int) $m[1], (int) $m[2]);
    }
}
