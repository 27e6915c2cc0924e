<?php

namespace App\Providers;

use Illuminate\Queue\Events\JobProcessing;
use Illuminate\Queue\Queue;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\ServiceProvider;

/**
 * In tests the clock stands, so that every answer can be foretold: where a file says, or for one request where its
 * header says, so that tests beside one another need not be of one moment. Never heeded in production.
 */
final class StandingClockProvider extends ServiceProvider
{
    private const HEADER = 'X-Standing-Clock';

    public function boot(): void
    {
        if (! self::stands()) {
            return;
        }
        self::fromFile();
        $said = $this->app->runningInConsole() ? null : request()->header(self::HEADER);
        if (is_string($said)) {
            Carbon::setTestNow(Carbon::parse($said));
        }
        // What a request leaves to be done later is done as of that request.
        Queue::createPayloadUsing(fn () => ['stands_at' => Carbon::now()->toIso8601ZuluString('microsecond')]);
        Event::listen(function (JobProcessing $begun): void {
            $at = $begun->job->payload()['stands_at'] ?? null;
            Carbon::setTestNow(is_string($at) ? $at : null);
        });
    }

    /** The moment in the file, read anew: for what runs for long. */
    public static function fromFile(): void
    {
        $file = config('kettle.clock_file');
        if (self::stands() && is_string($file) && is_file($file)) {
            Carbon::setTestNow(Carbon::parse(trim((string) file_get_contents($file))));
        }
    }

    private static function stands(): bool
    {
        return ! app()->isProduction() && config('kettle.clock_file', '') !== '';
    }
}
