<?php

use App\Http\Middleware\DoneAgo;
use App\Http\Middleware\EnterHouse;
use App\Http\Middleware\Idempotency;
use App\Http\Middleware\LimitBody;
use App\Http\Middleware\StartSession;
use App\Http\Middleware\StrictPage;
use App\Http\Problems;
use Illuminate\Auth\Middleware\Authorize;
use Illuminate\Contracts\Auth\Middleware\AuthenticatesRequests;
use Illuminate\Cookie\Middleware\EncryptCookies;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Routing\Middleware\SubstituteBindings;
use Illuminate\Routing\Middleware\ThrottleRequests;
use Illuminate\Session\Middleware\StartSession as FrameworkSession;

// What a running instance writes is in a folder of its own under var/, so that the demo and the tests
// never share a cache or a log. `kettle` names it; by hand it is the main one.
$var = getenv('KETTLE_VAR') ?: dirname(__DIR__).'/var/main';
foreach (['cache', 'storage/framework/views', 'storage/framework/cache/data', 'storage/logs', 'storage/app'] as $folder) {
    is_dir("{$var}/{$folder}") || @mkdir("{$var}/{$folder}", 0o700, true);
}
foreach (['SERVICES', 'PACKAGES', 'CONFIG', 'ROUTES', 'EVENTS'] as $name) {
    putenv("APP_{$name}_CACHE={$var}/cache/".strtolower($name).'.php');
}

$app = Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        api: __DIR__.'/../routes/api.php',
        apiPrefix: '',
        commands: __DIR__.'/../routes/console.php',
    )
    ->withMiddleware(function (Middleware $middleware): void {
        // One origin serves everything, so there is nothing to share with another.
        $middleware->remove(HandleCors::class);
        $middleware->append(StrictPage::class);
        $middleware->web(append: [DoneAgo::class], replace: [FrameworkSession::class => StartSession::class]);
        $middleware->alias([
            'house' => EnterHouse::class,
            'once' => Idempotency::class,
            'small' => LimitBody::class,
        ]);
        // A batch is looked for in its house, so the house is entered, and who may is settled, before the address is read.
        $middleware->priority([
            EncryptCookies::class,
            StartSession::class,
            AuthenticatesRequests::class,
            ThrottleRequests::class,
            DoneAgo::class,
            EnterHouse::class,
            Authorize::class,
            SubstituteBindings::class,
        ]);
        $middleware->redirectGuestsTo('/sign-in');
    })
    ->withExceptions(fn (Exceptions $exceptions) => Problems::register($exceptions))
    ->create();

return $app->useStoragePath($var.'/storage');
