<?php

use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Each of the next so many times that a key is taken, the database lets go of it for another (MariaDB's 1213). */
function letsGo(int $times): void
{
    DB::connection()->beforeExecuting(function (string $query) use (&$times): void {
        if (str_starts_with($query, 'insert into `written_keys`') && $times-- > 0) {
            $deadlock = new PDOException('Deadlock found when trying to get lock; try restarting transaction');
            $deadlock->errorInfo = ['40001', 1213, 'Deadlock found'];
            throw new QueryException('mariadb', $query, [], $deadlock);
        }
    });
}

it('says of what is sent again that it is being done, while the first takes longer than that is waited for', function () {
    $key = Str::random(20);
    $first = DB::connectUsing('first', ['database' => DB::getDatabaseName()] + config('database.connections.mariadb'));
    // The keeper is of this test's own transaction, which the other does not see.
    $first->statement('SET foreign_key_checks = 0');
    $first->beginTransaction();
    $first
        ->table('written_keys')
        ->insert(['user_id' => $this->keeper->id, 'key' => $key, 'request_hash' => str_repeat('0', 64), 'created_at' => now()]);
    $this->atHouse('POST', '/batches', ['wish' => $this->wish()], key: $key)
        ->assertStatus(409)
        ->assertHeader('Retry-After', '1')
        ->assertJsonPath('detail', 'That is being done already. Wait a moment.');
    expect(DB::table('batches')->where('house_id', $this->house->id)->count())->toBe(0);
    $first->rollBack();
    $this->atHouse('POST', '/batches', ['wish' => $this->wish()], key: $key)->assertOk();
    expect(DB::table('batches')->where('house_id', $this->house->id)->count())->toBe(1);
});

it('begins a write again by itself where two waited for each other over a key', function () {
    letsGo(2);
    $this->atHouse('POST', '/batches', ['wish' => $this->wish()])->assertOk();
    expect(DB::table('batches')->where('house_id', $this->house->id)->count())->toBe(1);
});

it('asks for it once more where that happens again and again', function () {
    letsGo(3);
    $this->atHouse('POST', '/batches', ['wish' => $this->wish()])
        ->assertStatus(503)
        ->assertHeader('Retry-After', '1')
        ->assertJsonPath('detail', 'Two things were written at once. Nothing was changed by this one; try again.');
    expect(DB::table('batches')->where('house_id', $this->house->id)->count())->toBe(0);
});
