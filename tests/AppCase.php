<?php

namespace Tests;

use App\Actions\Houses\CreateHouse;
use App\Demo\SkerryHouse;
use App\Models\Batch;
use App\Models\House;
use App\Models\Jar;
use App\Models\Membership;
use App\Models\Tenancy\CurrentHouse;
use App\Models\Tenancy\Role;
use App\Models\User;
use Illuminate\Foundation\Testing\DatabaseTransactions;
use Illuminate\Foundation\Testing\RefreshDatabaseState;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

/** A test of the application on a real MariaDB, each in a transaction, on a fixed morning. */
abstract class AppCase extends TestCase
{
    use DatabaseTransactions;

    /** Fresh herb for the kitchen, held to its four days. */
    public const BASIL_KEPT_COLD = [
        'herb' => ['id' => 'basil', 'state' => 'fresh', 'amount' => '40 g'],
        'oils' => ['sunflower'],
        'purpose' => 'kitchen',
        'kept' => 'fridge',
        'method' => 'gentle-pan',
    ];

    public House $house;

    public User $keeper;

    public function createApplication(): \Illuminate\Foundation\Application
    {
        $app = require __DIR__.'/../bootstrap/app.php';
        $app->make(\Illuminate\Contracts\Console\Kernel::class)->bootstrap();
        self::ownDatabase();
        if (! RefreshDatabaseState::$migrated) {
            Artisan::call('migrate:fresh', ['--force' => true]);
            RefreshDatabaseState::$migrated = true;
        }

        return $app;
    }

    /** Each process that runs tests beside another has a database of its own. */
    private static function ownDatabase(): void
    {
        $name = config()->string('database.connections.mariadb.database').'_'.(getenv('TEST_TOKEN') ?: '0');
        if (! RefreshDatabaseState::$migrated) {
            DB::statement("CREATE DATABASE IF NOT EXISTS {$name}");
        }
        config(['database.connections.mariadb.database' => $name]);
        DB::purge();
    }

    protected function setUp(): void
    {
        parent::setUp();
        Carbon::setTestNow('2026-11-24T10:00:00Z');
        $this->keeper = $this->person('Keeper');
        $this->house = $this->aHouse($this->keeper);
    }

    public function person(string $name): User
    {
        return User::query()
            ->create([
                'name' => $name,
                'email' => Str::lower($name).Str::random(6).'@example.org',
                'password' => 'a long password',
                'prefs' => User::PREFS,
            ])
            ->refresh();
    }

    public function aHouse(User $keeper, string $name = 'Test House'): House
    {
        return app(CreateHouse::class)($keeper, ['name' => $name, 'time_zone' => 'Europe/London', 'measures' => 'us'])->refresh();
    }

    public function skerryHouse(): House
    {
        config(['kettle.demo' => true]);
        DB::table('houses')->where('is_demo', true)->delete();
        Artisan::call('kettle:demo');

        return SkerryHouse::find() ?? throw new \LogicException('The demo was not laid.');
    }

    public function member(Role $role): User
    {
        $person = $this->person($role->value);
        Membership::query()->create(['house_id' => $this->house->id, 'user_id' => $person->id, 'role' => $role]);

        return $person;
    }

    /** @param  array<string, mixed>  $data */
    public function call_(string $method, string $path, array $data = [], ?User $as = null, ?string $key = null): TestResponse
    {
        $this->app->make(CurrentHouse::class)->leave();

        $answer = $this->actingAs($as ?? $this->keeper)
            ->withHeaders(['Idempotency-Key' => $key ?? Str::random(20)])
            ->json($method, '/api'.$path, $data);
        Contract::check($method, $path, $data, $answer);

        return $answer;
    }

    /** @param  array<string, mixed>  $data */
    public function atHouse(string $method, string $path, array $data = [], ?User $as = null, ?string $key = null): TestResponse
    {
        return $this->call_($method, "/houses/{$this->house->uid}{$path}", $data, $as, $key);
    }

    /** @param  array<string, mixed>  $more */
    public function wish(array $more = []): array
    {
        return [...['herb' => ['id' => 'marshmallow-root'], 'oils' => ['sunflower'], 'method' => 'cold'], ...$more];
    }

    /**
     * @param  array<string, mixed>  $more
     * @param  list<string>  $acknowledged cautions that are read first
     */
    public function batch(array $more = [], array $acknowledged = []): Batch
    {
        $uid = $this->atHouse('POST', '/batches', ['wish' => $this->wish($more), 'acknowledged' => $acknowledged])
            ->assertOk()
            ->json('id');

        return app(CurrentHouse::class)->within($this->house, fn () => Batch::query()->where('uid', $uid)->firstOrFail());
    }

    public function jarOf(float $brim): Jar
    {
        return app(CurrentHouse::class)->within($this->house, fn () => Jar::query()->where('brim_ml', $brim)->firstOrFail());
    }

    public function fill(Batch $batch): void
    {
        $this->atHouse('POST', "/batches/{$batch->uid}/tasks", ['task' => 'fill', 'outcome' => 'done'])->assertOk();
    }
}
