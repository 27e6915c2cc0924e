<?php

use App\Models\Absence;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Facades\DB;

function icsOf(string ...$events): string
{
    return "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//test//EN\r\n".
        implode(
            '',
            array_map(
                fn (string $e) => "BEGIN:VEVENT\r\nUID:".md5($e)."\r\nDTSTAMP:20261101T000000Z\r\n{$e}\r\nEND:VEVENT\r\n",
                $events,
            ),
        ).
        "END:VCALENDAR\r\n";
}

/** What a general parser other than the one that wrote it makes of it: icalendar (Debian's python3-icalendar). */
function readByAnother(string $ics): array
{
    return python(
        sprintf(
            <<<'PY'
            import json, base64
            from icalendar import Calendar
            text = base64.b64decode('%s')
            # RFC 5545, 3.1: lines of at most 75 octets, each ended by CRLF.
            assert text.endswith(b'\r\n') and all(len(line) <= 75 for line in text.split(b'\r\n'))
            calendar = Calendar.from_ical(text)
            assert calendar['VERSION'] == '2.0' and calendar['PRODID']
            events = []
            for event in calendar.walk('VEVENT'):
                assert not event.errors, event.errors
                start, end = event['DTSTART'].dt, event['DTEND'].dt
                assert start.tzinfo is not None and start < end and event['DTSTAMP'].dt
                utc = '%%Y%%m%%dT%%H%%M%%SZ'
                events.append({'UID': str(event['UID']), 'DTSTART': start.strftime(utc), 'DTEND': end.strftime(utc),
                    'SUMMARY': str(event['SUMMARY'])})
            print(json.dumps(events))
            PY
            ,
            base64_encode($ics),
        ),
    );
}

// 8 h at warmth, and 50 min for a pint in a 3.5 L cooker to get there, 53 for two: by the pot's own model, in tests/Core/HeaterTest.php.
it('writes a calendar that another reads, by file and by a private address that can be taken back', function () {
    $batch = $this->batch([
        'method' => 'slow-cooker',
        'school' => 'usual',
        'herb' => ['name' => 'Köhlers, "Moos"; 🌿', 'form' => 'thin-leaf'],
    ]);
    $this->batch();
    $events = readByAnother($this->atHouse('GET', '/diary.ics')->assertOk()->getContent());
    $warm = collect($events)->firstWhere(fn (array $e) => str_contains($e['UID'], "{$batch->uid}.warm_on"));
    expect($warm['DTSTART'])
        ->toBe('20261124T103000Z')
        ->and($warm['DTEND'])
        ->toBe('20261124T191900Z')
        ->and($warm['SUMMARY'])
        ->toContain('Köhlers, "Moos"; 🌿')
        ->and(collect($events)->pluck('UID')->unique()->count())
        ->toBe(count($events));
    $address = $this->atHouse('POST', '/diary/feed')->assertOk()->json('address');
    $path = parse_url($address, PHP_URL_PATH);
    auth()->logout();
    app(CurrentHouse::class)->leave();
    $feed = $this->get($path);
    expect($feed->assertOk()->headers->get('Content-Type'))
        ->toContain('text/calendar')
        ->and(readByAnother((string) $feed->getContent()))
        ->toHaveCount(count($events));
    $second = $this->atHouse('POST', '/diary/feed')->json('address');
    $this->get($path)->assertNotFound();
    $this->atHouse('DELETE', '/diary/feed')->assertOk()->assertJsonPath('feed', false);
    $this->get(parse_url($second, PHP_URL_PATH))->assertNotFound();
    $this->get('/feeds/'.str_repeat('a', 40).'.ics')->assertNotFound();
});

it('reads busy times, repeats, zones and the change of the clocks', function () {
    $ics = icsOf(
        "SUMMARY:Choir\r\nDTSTART;TZID=Europe/London:20261020T190000\r\n".
            "DTEND;TZID=Europe/London:20261020T210000\r\nRRULE:FREQ=WEEKLY;COUNT=20",
        "SUMMARY:Free\r\nTRANSP:TRANSPARENT\r\nDTSTART:20261125T100000Z\r\nDTEND:20261125T120000Z",
        "SUMMARY:Off\r\nSTATUS:CANCELLED\r\nDTSTART:20261125T100000Z\r\nDTEND:20261125T120000Z",
        "SUMMARY:Birthday\r\nDTSTART;VALUE=DATE:20261126\r\nDTEND;VALUE=DATE:20261127",
        "SUMMARY:Holiday\r\nTRANSP:OPAQUE\r\nDTSTART;VALUE=DATE:20261127\r\nDTEND;VALUE=DATE:20261129",
        "SUMMARY:Far\r\nDTSTART:20261125T080000Z\r\nDURATION:PT90M",
    );
    $this->atHouse('POST', '/calendars', ['called' => 'mine', 'ics' => $ics])
        ->assertOk()
        ->assertJsonPath('calendars.0.called', 'mine');
    $busy = app(CurrentHouse::class)->within($this->house, fn () => Absence::query()->orderBy('from_at')->get());
    // Of twenty choirs, those from 24 November on: the clocks have gone back, and it is still at seven.
    expect(
        $busy
            ->where('called', 'Choir')
            ->map(fn (Absence $a) => $a->from_at->copy()->setTimezone('Europe/London')->format('H:i'))
            ->unique()
            ->values()
            ->all(),
    )
        ->toBe(['19:00'])
        ->and($busy->where('called', 'Choir')->count())
        ->toBe(15)
        ->and($busy->pluck('called')->unique()->values()->all())
        ->toBe(['Choir', 'Far', 'Holiday'])
        ->and($busy->firstWhere('called', 'Holiday')->to_at->toIso8601String())
        ->toBe('2026-11-29T00:00:00+00:00');
    // Read again under its name it takes its own place; forgotten, it is gone.
    $page = $this->atHouse('POST', '/calendars', [
        'called' => 'mine',
        'ics' => icsOf("SUMMARY:One\r\nDTSTART:20261125T080000Z\r\nDTEND:20261125T090000Z"),
    ])
        ->assertOk()
        ->json();
    expect(DB::table('absences')->count())->toBe(1);
    $this->atHouse('DELETE', '/calendars/'.$page['calendars'][0]['id'])->assertOk();
    expect(DB::table('absences')->count())->toBe(0);
});

/** @return array{0: list<string>, 1: list<string>} what is busy, "called from to" in the house's time, and what is said of it */
function busyIn($test, string $ics): array
{
    $page = $test
        ->atHouse('POST', '/calendars', ['called' => 'mine', 'ics' => $ics])
        ->assertOk()
        ->json();
    $busy = app(CurrentHouse::class)->within($test->house, fn () => Absence::query()->orderBy('from_at')->get());
    $at = fn ($moment) => $moment->copy()->setTimezone('Europe/London')->format('Y-m-d H:i');

    return [$busy->map(fn (Absence $a) => "{$a->called} {$at($a->from_at)} {$at($a->to_at)}")->all(), $page['notes']];
}

it('says which whole days it leaves out, and goes round those of several days', function () {
    // Without a word of its own an event keeps busy: RFC 5545, 3.8.2.7.
    $ics = icsOf(
        "SUMMARY:Birthday\r\nDTSTART;VALUE=DATE:20261126\r\nDTEND;VALUE=DATE:20261127",
        "SUMMARY:Spain\r\nDTSTART;VALUE=DATE:20261201\r\nDTEND;VALUE=DATE:20261208",
        "SUMMARY:Moon\r\nTRANSP:TRANSPARENT\r\nDTSTART;VALUE=DATE:20261203\r\nDTEND;VALUE=DATE:20261206",
        "SUMMARY:Over\r\nDTSTART;VALUE=DATE:20261101\r\nDTEND;VALUE=DATE:20261102",
        "SUMMARY:Fair\r\nDTSTART;VALUE=DATE:20261210\r\nRRULE:FREQ=DAILY;COUNT=3",
    );
    expect(busyIn($this, $ics))->toBe([
        ['Spain 2026-12-01 00:00 2026-12-08 00:00'],
        ['Left out, as whole days that are not marked busy: Birthday, Fair. Where nobody is at home then, say so under Away.'],
    ]);
});

it('takes the times of a zone that nobody knows as the house’s own, and says so', function () {
    $event = fn (string $zone) => icsOf(
        "SUMMARY:Choir\r\nDTSTART;TZID={$zone}:20260701T190000\r\nDTEND;TZID={$zone}:20260701T210000\r\nRRULE:FREQ=DAILY;COUNT=330",
    );
    [$busy, $notes] = busyIn($this, $event('Customized Time Zone'));
    expect($busy)
        ->toContain('Choir 2027-05-26 19:00 2027-05-26 21:00')
        ->and($notes)
        ->toBe(['Times of “Customized Time Zone” are taken as the house’s own: no time zone is known by that name.']);
    // One that is known under the name Windows gives it: Unicode CLDR, windowsZones.
    [$busy, $notes] = busyIn($this, $event('Eastern Standard Time'));
    expect($busy)->toContain('Choir 2026-11-25 00:00 2026-11-25 02:00')->and($notes)->toBe([]);
});

it('reads busy times told without what keeps busy', function () {
    // The example of RFC 5545, 3.6.4, on other days.
    $ics = implode("\r\n", [
        'BEGIN:VCALENDAR',
        'VERSION:2.0',
        'PRODID:-//test//EN',
        'BEGIN:VFREEBUSY',
        'UID:19970901T115957Z-76A912@example.com',
        'DTSTAMP:20261124T120000Z',
        'DTSTART:20261125T000000Z',
        'DTEND:20261201T000000Z',
        'FREEBUSY:20261125T180000Z/PT1H,20261126T180000Z/20261126T193000Z',
        'FREEBUSY;FBTYPE=BUSY-UNAVAILABLE:20261127T180000Z/PT2H',
        'FREEBUSY;FBTYPE=FREE:20261128T180000Z/PT2H',
        'FREEBUSY:20261101T180000Z/PT1H',
        'END:VFREEBUSY',
        'END:VCALENDAR',
        '',
    ]);
    expect(busyIn($this, $ics))->toBe([
        ['Busy 2026-11-25 18:00 2026-11-25 19:00', 'Busy 2026-11-26 18:00 2026-11-26 19:30', 'Busy 2026-11-27 18:00 2026-11-27 20:00'],
        [],
    ]);
});

it('says that a calendar has nothing in it', function () {
    expect(busyIn($this, icsOf("SUMMARY:Over\r\nDTSTART:20261001T100000Z\r\nDTEND:20261001T110000Z"))[1])->toBe([
        'It has no busy times in the 400 days to come.',
    ]);
});

it('refuses a calendar that is none, damaged or endless', function (string $ics) {
    $this->atHouse('POST', '/calendars', ['called' => 'bad', 'ics' => $ics])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'ics');
    expect(DB::table('calendars')->count())->toBe(0);
})->with([
    'words' => ['hello'],
    'cut off' => ["BEGIN:VCALENDAR\r\nVERSION:2.0\r\nBEGIN:VEVENT\r\nDTSTART:2026"],
    'a card' => ["BEGIN:VCARD\r\nVERSION:3.0\r\nFN:X\r\nEND:VCARD\r\n"],
    'no day' => [fn () => icsOf('DTSTART:yesterday')],
    'every second, for ever' => [fn () => icsOf("DTSTART:20261125T080000Z\r\nDTEND:20261125T080001Z\r\nRRULE:FREQ=SECONDLY")],
    'a nul' => ["BEGIN:VCALENDAR\0\r\nEND:VCALENDAR\r\n"],
    'never' => [fn () => icsOf("DTSTART:20261125T080000Z\r\nRRULE:FREQ=NEVER")],
]);
