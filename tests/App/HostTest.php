<?php

use App\Models\Batch;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;

beforeEach(function () {
    $this->was = getenv('KETTLE_VAR');
    $this->folder = sys_get_temp_dir().'/kettle-host-'.getmypid();
    foreach (['run', 'log', 'storage/logs'] as $each) {
        File::ensureDirectoryExists("{$this->folder}/{$each}");
    }
    putenv("KETTLE_VAR={$this->folder}");
});

afterEach(function () {
    File::deleteDirectory($this->folder);
    putenv($this->was === false ? 'KETTLE_VAR' : "KETTLE_VAR={$this->was}");
});

it('says that it lives, and what of all it needs is there', function () {
    auth()->logout();
    $live = $this->get('/health/live')->assertOk();
    expect($live->headers->getCookies())->toBe([])->and($live->getContent())->toBe("ok\n");
    $this->get('/health/ready')
        ->assertStatus(503)
        ->assertExactJson(['database' => true, 'queue' => false, 'scheduler' => false, 'devices' => false]);
    foreach (['queue', 'scheduler', 'devices'] as $part) {
        touch("{$this->folder}/run/{$part}.beat");
    }
    $this->get('/health/ready')->assertOk();
    // A queue's worker that gave no sign for two minutes is ill, and so are devices after half of one.
    foreach (['queue' => 120, 'devices' => 40, 'scheduler' => 120] as $part => $ago) {
        exec("touch -d '-{$ago} seconds' {$this->folder}/run/{$part}.beat");
    }
    $this->get('/health/ready')
        ->assertStatus(503)
        ->assertExactJson(['database' => true, 'queue' => false, 'scheduler' => true, 'devices' => false]);
});

it('counts for who has the key, and is not there for anybody else', function () {
    $this->get('/metrics')->assertNotFound();
    $this->get('/metrics', ['Authorization' => 'Bearer '])->assertNotFound();
    config(['kettle.metrics_key' => 'a key of the host’s']);
    $this->get('/metrics')->assertNotFound();
    $this->get('/metrics', ['Authorization' => 'Bearer another'])->assertNotFound();
    $this->batch();
    DB::table('jobs')->insert([
        'queue' => 'long',
        'payload' => '{}',
        'attempts' => 0,
        'available_at' => Illuminate\Support\Carbon::now()->getTimestamp() - 70,
        'created_at' => 0,
    ]);
    $answer = $this->get('/metrics', ['Authorization' => 'Bearer a key of the host’s'])->assertOk();
    $text = $answer->getContent();
    expect($answer->headers->get('Content-Type'))->toBe('text/plain; version=0.0.4; charset=utf-8');
    $stage = Batch::query()->withoutGlobalScope('house')->sole()->stage->value;
    foreach (
        [
            'kettle_houses 1',
            "kettle_batches{stage=\"{$stage}\"} 1",
            'kettle_jobs_waiting{queue="long"} 1',
            'kettle_oldest_job_seconds{queue="long"} 70',
            'kettle_jobs_failed 0',
        ] as $line
    ) {
        expect($text)->toContain("\n{$line}\n");
    }
    // Of nobody by name.
    expect($text)->not->toContain($this->keeper->name)->not->toContain($this->house->name)->not->toContain('@');
});

it('turns a log over when it has grown, and leaves a small one', function () {
    file_put_contents("{$this->folder}/log/queue.log", str_repeat("a line\n", 800_000));
    file_put_contents("{$this->folder}/storage/logs/laravel.log", "short\n");
    $this->artisan('kettle:logs')->assertOk();
    clearstatcache();
    expect(filesize("{$this->folder}/log/queue.log"))
        ->toBe(0)
        ->and(filesize("{$this->folder}/log/queue.log.1"))
        ->toBe(5_600_000)
        ->and(file_get_contents("{$this->folder}/storage/logs/laravel.log"))
        ->toBe("short\n");
});
