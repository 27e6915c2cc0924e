<?php

use App\Backup\Seal;
use App\Backup\SealException;
use App\Models\Tenancy\Role;
use Illuminate\Support\Carbon;

it('shuts a text with a passphrase, and opens it with no other', function () {
    $sealed = Seal::shut("APP_KEY=base64:abc\n", 'three words together');
    expect(Seal::open($sealed, 'three words together'))
        ->toBe("APP_KEY=base64:abc\n")
        ->and($sealed)
        ->not->toContain('APP_KEY')
        ->and(Seal::shut("APP_KEY=base64:abc\n", 'three words together'))
        ->not->toBe($sealed);
    foreach (['three words togethe', 'Three words together', ''] as $other) {
        expect(fn () => Seal::open($sealed, $other))->toThrow(SealException::class, 'another');
    }
});

it('opens nothing that was changed or is no seal, and shuts nothing with a short passphrase', function () {
    $sealed = Seal::shut('secret', 'three words together');
    $lines = explode("\n", $sealed);
    foreach ([1, 2, 3] as $part) {
        $raw = base64_decode($lines[$part]);
        $raw[3] = chr(ord($raw[3]) ^ 1);
        $turned = implode("\n", array_replace($lines, [$part => base64_encode($raw)]));
        expect(fn () => Seal::open($turned, 'three words together'))->toThrow(SealException::class, 'another');
    }
    foreach (['', 'notes', "warm-kettle-seal-1\nx\ny\nz", substr($sealed, 0, 40)] as $none) {
        expect(fn () => Seal::open($none, 'three words together'))->toThrow(SealException::class, 'no sealed secrets');
    }
    expect(fn () => Seal::shut('secret', 'eleven char'))->toThrow(SealException::class, '12 letters');
});

it('tells a keeper when all of it was backed up, and when that is too long ago', function () {
    Carbon::setTestNow('2026-11-24T09:00:00Z');
    $folder = sys_get_temp_dir().'/kettle-backups-'.bin2hex(random_bytes(4));
    mkdir($folder);
    $told = fn (): mixed => $this->atHouse('GET', '')->assertOk()->json('backup');
    config(['kettle.backups' => null]);
    expect($told())->toBeNull();
    config(['kettle.backups' => $folder]);
    expect($told())->toBeNull();
    $write = fn (mixed $said) => file_put_contents("{$folder}/last.json", is_string($said) ? $said : json_encode($said));
    $write(['made_at' => '2026-11-24T03:10:00Z', 'file' => 'x', 'bytes' => 4_404_019]);
    expect($told())->toBe(['says' => 'Tue 24 Nov, 03:10, 4.2 MB', 'late' => false]);
    Carbon::setTestNow('2026-11-26T06:00:00Z');
    expect($told()['late'])->toBeTrue();
    foreach (['', '{}', ['made_at' => 'at night', 'bytes' => 1], ['made_at' => '2026-11-24T03:10:00Z']] as $damaged) {
        $write($damaged);
        expect($told())->toBeNull();
    }
    $write(['made_at' => '2026-11-26T03:10:00Z', 'file' => 'x', 'bytes' => 900]);
    expect($this->atHouse('GET', '', as: $this->member(Role::Helper))->json('backup'))
        ->toBeNull()
        ->and($told()['says'])
        ->toEndWith('900 B');
    unlink("{$folder}/last.json");
    rmdir($folder);
});
