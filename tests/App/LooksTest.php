<?php

use App\Models\Photo;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Carbon;

/** A picture of two fields, oil at the left and a card at the right, as a camera would send it. */
function aPhoto(array $oil, array $card, string $kind = 'jpeg', int $side = 400): string
{
    $image = imagecreatetruecolor($side, $side);
    imagefilledrectangle($image, 0, 0, intdiv($side, 2), $side, imagecolorallocate($image, ...$oil));
    imagefilledrectangle($image, intdiv($side, 2), 0, $side, $side, imagecolorallocate($image, ...$card));
    ob_start();
    $kind === 'png' ? imagepng($image) : imagejpeg($image, null, 95);

    return base64_encode((string) ob_get_clean());
}

/** The same picture with EXIF in it: turned a quarter, and a place in its text. */
function withExif(string $base64, int $orientation): string
{
    $jpeg = (string) base64_decode($base64);
    $tiff = "II*\0".pack('V', 8).pack('v', 1).pack('vvVvv', 0x0112, 3, 1, $orientation, 0).pack('V', 0).'59.2500 N, 2.6000 W';
    $exif = "Exif\0\0".$tiff;

    return base64_encode(substr($jpeg, 0, 2)."\xFF\xE1".pack('n', strlen($exif) + 2).$exif.substr($jpeg, 2));
}

/** @param  array<string, mixed>  $look */
function looked(Tests\AppCase $test, $batch, array $look): Illuminate\Testing\TestResponse
{
    return $test->atHouse('POST', "/batches/{$batch->uid}/looks", ['what' => 'colour', ...$look]);
}

it('takes the light of the kitchen out by the white card', function () {
    $batch = $this->batch();
    looked($this, $batch, [
        'plain' => true,
        'photo' => aPhoto([230, 210, 140], [255 * 0.9, 255 * 0.9, 255 * 0.9]),
        'oil' => [0.25, 0.5],
        'card' => [0.75, 0.5],
    ])->assertOk();
    $this->fill($batch);
    Carbon::setTestNow(Carbon::now()->addDays(3));
    // The same oil by a warm lamp: every channel dimmed in linear light as the card is. It must come out alike.
    $lamp = fn (float $v, float $share): int => (int) round(
        255 *
            (($l = ($v / 255 > 0.04045 ? (($v / 255 + 0.055) / 1.055) ** 2.4 : $v / 255 / 12.92) * $share) > 0.0031308
                ? 1.055 * $l ** (1 / 2.4) - 0.055
                : 12.92 * $l),
    );
    $shares = [0.95, 0.8, 0.55];
    $view = looked($this, $batch, [
        'photo' => aPhoto(array_map($lamp, [230, 210, 140], $shares), array_map($lamp, array_fill(0, 3, 255 * 0.9), $shares)),
        'oil' => [0.25, 0.5],
        'card' => [0.75, 0.5],
    ])
        ->assertOk()
        ->json();
    expect($view['colour']['points'][1]['value'])
        ->toBeLessThan(1.5)
        // Without the card it would be taken for another oil.
        ->and(
            looked($this, $batch, ['photo' => aPhoto(array_map($lamp, [230, 210, 140], $shares), [9, 9, 9]), 'oil' => [0.25, 0.5]])
                ->assertOk()
                ->json('colour.points.2.value'),
        )
        ->toBeGreaterThan(8);
});

it('keeps a picture small, upright, and without where it was taken', function () {
    $batch = $this->batch();
    $this->fill($batch);
    $sent = withExif(aPhoto([200, 180, 90], [250, 250, 250], side: 1600), 6);
    expect((string) base64_decode($sent))->toContain('59.2500 N');
    // Turned a quarter clockwise, what was at the left is above.
    looked($this, $batch, ['photo' => 'data:image/jpeg;base64,'.$sent, 'oil' => [0.5, 0.2], 'card' => [0.5, 0.8]])
        ->assertOk()
        ->assertJsonPath('colour.points.0.swatch', fn (string $hex) => abs(hexdec(substr($hex, 1, 2)) - 200) < 6);
    $photo = app(CurrentHouse::class)->within($this->house, fn () => Photo::query()->firstOrFail());
    $size = getimagesizefromstring($photo->jpeg);
    expect(max($size[0], $size[1]))
        ->toBe(900)
        ->and($photo->jpeg)
        ->not->toContain('Exif')
        ->not->toContain('59.25')
        ->and(strlen($photo->jpeg))
        ->toBeLessThan(200_000);
    $this->atHouse('GET', "/batches/{$batch->uid}/photos/{$photo->uid}")
        ->assertOk()
        ->assertHeader('Content-Type', 'image/jpeg');
    $other = $this->batch();
    $this->atHouse('GET', "/batches/{$other->uid}/photos/{$photo->uid}")->assertNotFound();
});

it('refuses what is no picture, or an enormous one', function (string $photo) {
    $batch = $this->batch();
    $this->fill($batch);
    looked($this, $batch, ['photo' => $photo, 'oil' => [0.5, 0.5]])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'photo');
})->with([
    'words' => [base64_encode('hello there')],
    'not base64' => ['***'],
    'half a JPEG' => [fn () => base64_encode(substr((string) base64_decode(aPhoto([200, 180, 90], [250, 250, 250])), 0, 60))],
    'a GIF' => [
        base64_encode(
            "GIF89a\x10\x00\x10\x00\x80\x00\x00\x00\x00\x00\xff\xff\xff".
                "!\xf9\x04\x01\x00\x00\x00\x00,\x00".
                "\x00\x00\x00\x10\x00\x10\x00\x00\x02\x0e\x84\x8f\xa9\xcb\xed\x0f\xa3\x9c\xb4\xda\x8b\xb3>\x05\x00;",
        ),
    ],
    'a speck' => [fn () => aPhoto([200, 180, 90], [250, 250, 250], 'png', 8)],
    // A header that says 30,000 by 30,000: refused before it is opened.
    'a bomb' => [
        fn () => base64_encode(
            "\x89PNG\r\n\x1a\n".
                pack('N', 13).
                'IHDR'.
                pack('NN', 30000, 30000).
                "\x08\x02\x00\x00\x00".
                pack('N', crc32('IHDR'.pack('NN', 30000, 30000)."\x08\x02\x00\x00\x00")),
        ),
    ],
]);

it('says how much is still to come, or that there are too few looks', function () {
    $batch = $this->batch();
    looked($this, $batch, ['plain' => true, 'swatch' => '#f7edc3'])->assertOk();
    $this->fill($batch);
    expect($this->atHouse('GET', "/batches/{$batch->uid}/looks")->json('scent.says'))->toContain('Smell it every few days');
    foreach ([3 => 3, 7 => 5, 14 => 7, 24 => 8] as $day => $score) {
        Carbon::setTestNow(Carbon::parse('2026-11-24T10:00:00Z')->addDays($day));
        $view = looked($this, $batch, ['what' => 'scent', 'score' => $score])
            ->assertOk()
            ->json();
    }
    expect($view['scent']['says'])
        ->toMatch('/About \d+ % of the scent is still to come/')
        ->and($view['colour']['says'])
        ->toContain('every few days');
    // Struck out in the logbook, a look counts no more.
    $entry = collect($this->atHouse('GET', "/batches/{$batch->uid}")->json('entries'))->first(
        fn ($e) => str_contains($e['title'], 'Smelled: 8'),
    );
    $this->atHouse('POST', "/batches/{$batch->uid}/undo", ['entry' => $entry['id']])->assertOk();
    expect($this->atHouse('GET', "/batches/{$batch->uid}/looks")->json('scent.says'))->toContain('3 of at least 4');
});

it('refuses a look with nothing to it', function (array $look, string $field) {
    $batch = $this->batch();
    $this->fill($batch);
    looked($this, $batch, $look)->assertStatus(422)->assertJsonPath('faults.0.field', $field);
})->with([
    [[], 'swatch'],
    [['swatch' => 'red'], 'swatch'],
    [['what' => 'taste'], 'what'],
    [['what' => 'scent'], 'score'],
    [['what' => 'scent', 'score' => 11], 'score'],
    [['photo' => 'x', 'oil' => [2, 2]], 'oil.0'],
    [['photo' => 'x', 'oil' => [0.5]], 'oil'],
]);

it('tells a sunny place from a dull one, and takes real days for its own', function () {
    $batch = $this->batch(['method' => 'solar']);
    $this->fill($batch);
    $house = fn (float $latitude) => $this->house->forceFill(['latitude' => $latitude, 'longitude' => 0])->save();
    $house(59.25);
    $north = $this->atHouse('GET', '/sun')->assertOk()->json();
    expect($north['better'])->toBeFalse()->and($north['says'])->toContain('sun and shelf are the same');
    $house(-33.0);
    app(CurrentHouse::class)->leave();
    $sunny = $this->atHouse('GET', '/sun?bag=0&outdoors=1')->json();
    // The duller the sky, the fewer hours warm to the hand, and the later it is ready.
    expect($sunny['better'])
        ->toBeTrue()
        ->and(array_column($sunny['ready'], 'sky'))
        ->toBe(['clear', 'mixed', 'dull'])
        ->and((float) $sunny['ready'][0]['warm_text'])
        ->toBeGreaterThan((float) $sunny['ready'][2]['warm_text'])
        ->and(
            strtotime($sunny['ready'][0]['text'].' 2026') <= strtotime($sunny['ready'][2]['text'].' 2026') ||
                str_contains($sunny['ready'][2]['text'], 'Jan'),
        )
        ->toBeTrue();
    Carbon::setTestNow(Carbon::now()->addDays(10));
    $before = $this->atHouse('GET', "/batches/{$batch->uid}/sun?bag=0")
        ->assertOk()
        ->json();
    $csv =
        "day,cloud,low,high\n".
        implode("\n", array_map(fn (int $d) => "2026-11-{$d},100%,5,8", range(24, 30))).
        "\n2026-13-01,0.2,,\n2026-12-01,7,,\n2027-01-01,0.1,,\n";
    $took = $this->atHouse('POST', '/weather', ['csv' => base64_encode($csv), 'do' => true])
        ->assertOk()
        ->json();
    expect($took['taken'])
        ->toBe(8)
        ->and(array_column($took['refused'], 'row'))
        ->toBe([9, 11]);
    $after = $this->atHouse('GET', "/batches/{$batch->uid}/sun?bag=0")->json();
    expect((float) $after['gathered_text'])
        ->toBeLessThan((float) $before['gathered_text'])
        ->and($after['days'][0]['measured'])
        ->toBeTrue()
        ->and($after['days'][0]['cloud'])
        ->toBe(1);
});

it('writes down what was seen under the lid, and shows it on the shelf', function () {
    $batch = $this->batch();
    $this->fill($batch);
    Carbon::setTestNow(Carbon::now()->addDays(8));
    $this->atHouse('POST', "/batches/{$batch->uid}/tasks", [
        'task' => 'check',
        'outcome' => 'done',
        'seen' => ['herb_above', 'drops_wiped'],
    ])
        ->assertOk()
        ->assertJsonPath('jar.seen', 'herb stood out at the last look')
        ->assertJsonPath('entries.0.title', 'Looked at it: herb above the oil, pushed under; drops under the lid, wiped');
    $this->atHouse('POST', "/batches/{$batch->uid}/tasks", ['task' => 'check', 'outcome' => 'done', 'seen' => ['ghosts']])->assertStatus(
        422,
    );
});

it('keeps a picture of an old page with a note, or by itself, and with the note that puts it right', function () {
    $batch = $this->batch();
    $page = aPhoto([240, 235, 220], [40, 40, 60], 'png', 2400);
    $kept = $this->atHouse('POST', "/batches/{$batch->uid}/notes", [
        'note' => 'Green book, page 12.',
        'photo' => 'data:image/png;base64,'.$page,
    ])
        ->assertOk()
        ->json('entries.0');
    expect($kept['note'])->toBe('Green book, page 12.')->and($kept['photo'])->toBeString();
    $size = getimagesizefromstring(
        (string) $this->atHouse('GET', "/batches/{$batch->uid}/photos/{$kept['photo']}")
            ->assertOk()
            ->getContent(),
    );
    // Wide enough to read a written page by.
    expect([$size[0], $size['mime']])->toBe([1400, 'image/jpeg']);
    $alone = $this->atHouse('POST', "/batches/{$batch->uid}/notes", ['note' => null, 'photo' => aPhoto([9, 9, 9], [240, 240, 240])])
        ->assertOk()
        ->json('entries.0');
    expect($alone['note'])->toBeNull()->and($alone['photo'])->not->toBe($kept['photo']);
    $right = $this->atHouse('POST', "/batches/{$batch->uid}/notes", ['note' => 'Green book, page 21.', 'corrects' => $kept['id']])
        ->assertOk()
        ->json('entries.0');
    expect($right['photo'])->toBe($kept['photo']);
});

it('refuses a note of nothing, and a picture that is none, and keeps nothing of either', function (array $body, string $field) {
    $batch = $this->batch();
    $this->atHouse('POST', "/batches/{$batch->uid}/notes", $body)
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', $field);
    expect(app(CurrentHouse::class)->within($this->house, fn () => Photo::query()->count()))
        ->toBe(0)
        ->and(array_column($this->atHouse('GET', "/batches/{$batch->uid}")->json('entries'), 'kind'))
        ->not->toContain('note');
})->with([
    'nothing' => [[], 'note'],
    'an empty note' => [['note' => ''], 'note'],
    'no picture' => [['note' => 'page 12', 'photo' => base64_encode('not a picture')], 'photo'],
]);

it('does not read a picture of forty megabytes at all', function () {
    $batch = $this->batch();
    $this->atHouse('POST', "/batches/{$batch->uid}/notes", ['note' => 'page 12', 'photo' => str_repeat('A', 40_000_000)])->assertStatus(
        413,
    );
});

it('says what weather it would take before it takes any', function () {
    $csv = base64_encode("day,cloud\n2026-11-20,0.4\n");
    $this->atHouse('POST', '/weather', ['csv' => $csv, 'do' => false])
        ->assertOk()
        ->assertJsonPath('taken', 1);
    expect(DB::table('weather_days')->count())->toBe(0);
    $this->atHouse('POST', '/weather', ['csv' => $csv, 'do' => true])->assertJsonPath('taken', 1);
    expect(DB::table('weather_days')->count())->toBe(1);
});

it('tells by all of a file what its clouds are a part of', function (string $cloud, array $shares, array $refused) {
    $lines = array_map(
        fn (string $each, int $at) => sprintf('%02d/11/2026,%s', 14 + $at, $each),
        explode(' ', $cloud),
        range(0, substr_count($cloud, ' ')),
    );
    $took = $this->atHouse('POST', '/weather', ['csv' => base64_encode("date,cloud\n".implode("\n", $lines)), 'do' => true])
        ->assertOk()
        ->json();
    $taken = DB::table('weather_days')->orderBy('day')->pluck('cloud');
    expect($taken->map(fn ($share) => round((float) $share, 3))->all())
        ->toBe($shares)
        ->and(array_column($took['refused'], 'sentence'))
        ->toBe($refused);
})->with([
    'shares' => ['0.5 1 0', [0.5, 1.0, 0.0], []],
    // One per cent is a clear sky, and not a covered one.
    'per cents' => ['55 1 100', [0.55, 0.01, 1.0], []],
    'with their signs' => ['1% 100% 3/8', [0.01, 1.0, 0.375], []],
    // WMO, Manual on Codes, table 2700, cloud in eighths: from memory.
    'eighths or per cents' => [
        '5 8',
        [],
        ['“5” may be 5 % or 5/8 of the sky. Write which.', '“8” may be 8 % or 8/8 of the sky. Write which.'],
    ],
    'too many' => ['9/8 120% 0.5', [0.5], array_fill(0, 2, 'No sky has more clouds than it can hold: at most 1, 100 % or 8/8.')],
    'words' => ['grey', [], ['Clouds are a share from 0 to 1, per cent, or eighths as in 5/8.']],
]);

it('reads the unit that stands in the head of a column', function (string $csv, array $days, string $note) {
    $took = $this->atHouse('POST', '/weather', ['csv' => base64_encode($csv), 'do' => true])
        ->assertOk()
        ->json();
    $kept = DB::table('weather_days')
        ->orderBy('day')
        ->get(['cloud', 'low_c', 'high_c']);
    expect($kept->map(fn ($day) => array_map('floatval', array_values((array) $day)))->all())
        ->toEqual($days)
        ->and(implode(' ', $took['notes']))
        ->toContain($note);
})->with([
    'per cent' => [
        "Date,Cloud cover (%),Min temp (°C),Max temp (°C)\n2026-11-20,1,4,9\n2026-11-21,80 %,-1,3\n",
        [[0.01, 4.0, 9.0], [0.8, -1.0, 3.0]],
        '“cloud cover (%)” is read as percent',
    ],
    // 41 F is 5 C and 50 F is 10 C by C = (F - 32) / 1.8, NIST SP 811, B.8.
    'Fahrenheit, and one cell in its own degrees' => [
        "day;cloud pct;Low °F;High [°F]\n2026-11-20;50;41;50\n2026-11-21;50;41;10 C\n",
        [[0.5, 5.0, 10.0], [0.5, 5.0, 10.0]],
        '“high [°f]” is read as high_f',
    ],
    'eighths' => ["day,Clouds (oktas)\n2026-11-20,2\n", [[0.25, 8.0, 13.0]], '“clouds (oktas)” is read as oktas'],
]);

it('reads eighths by their column, and degrees as they are read here', function () {
    $this->call_('PATCH', '/me', ['temperature' => 'f'])->assertOk();
    $csv = "day,oktas,low,high\n2026-11-20,8,41,50\n2026-11-21,2,5 C,10 C\n2026-11-21,3,,\n2026-11-22,9,,\n";
    $took = $this->atHouse('POST', '/weather', ['csv' => base64_encode($csv), 'do' => true])
        ->assertOk()
        ->json();
    expect(
        DB::table('weather_days')
            ->orderBy('day')
            ->get(['cloud', 'low_c', 'high_c'])
            ->map(fn ($day) => array_map('floatval', (array) $day))
            ->all(),
    )
        ->toEqual([['cloud' => 1.0, 'low_c' => 5.0, 'high_c' => 10.0], ['cloud' => 0.25, 'low_c' => 5.0, 'high_c' => 10.0]])
        ->and(array_column($took['refused'], 'row'))
        ->toBe([4, 5]);
});

it('keeps the picture of an old page with its note, as large as a page is sent', function () {
    $image = imagecreatetruecolor(1400, 1050);
    mt_srand(4);
    for ($x = 0; $x < 1400; $x += 5) {
        for ($y = 0; $y < 1050; $y += 5) {
            imagefilledrectangle($image, $x, $y, $x + 4, $y + 4, mt_rand(0, 0xFFFFFF));
        }
    }
    ob_start();
    imagejpeg($image, null, 92);
    $photo = base64_encode((string) ob_get_clean());
    // Half a megabyte and more, as a page with handwriting is.
    expect(strlen($photo))->toBeGreaterThan(500_000);
    $batch = $this->batch();
    $kept = $this->atHouse('POST', "/batches/{$batch->uid}/notes", ['note' => 'Green book, page 12', 'photo' => $photo])
        ->assertOk()
        ->json('entries.0');
    expect($kept['photo'])->toBeString();
});
