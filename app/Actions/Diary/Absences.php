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
     * @throws CalendarException
     */
    public function read(string $called, string $ics): BusyCalendar
    {
        $busy = BusyTimes::read($ics, $this->kitchens->now(), self::AHEAD_DAYS, self::MOST);

        return DB::transaction(function () use ($called, $busy): BusyCalendar {
            BusyCalendar::query()->where('called', $called)->get()->each(fn (BusyCalendar $old) => $old->delete());
            $calendar = BusyCalendar::query()->create(['uid' => Str::ulid()->toString(), 'called' => $called]);
            foreach (array_chunk($busy, 200) as $part) {
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

            return $calendar;
        });
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
