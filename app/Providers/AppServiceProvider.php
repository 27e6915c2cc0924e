<?php

namespace App\Providers;

use App\House\KitchenFactory;
use App\House\OwnThings;
use App\Models\Tenancy\Ability;
use App\Models\Tenancy\CurrentHouse;
use App\Models\User;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Request;
use Illuminate\Queue\Events\Looping;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\ServiceProvider;
use Kettle\Ask\Questions;
use Kettle\Ask\Schemas;
use Kettle\Infusion\Methods;
use Kettle\Material\Cupboard;
use Kettle\Material\Tables;
use Kettle\Recipe\Planning;
use Kettle\Recipe\Words;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->scoped(CurrentHouse::class);
        $this->app->scoped(KitchenFactory::class);
        $this->app->singleton(
            Tables::class,
            fn () => Tables::shipped((new CompiledTables(base_path('data'), storage_path('framework/cache/tables')))(...)),
        );
        $this->app->scoped(OwnThings::class);
        $this->app->singleton(
            Planning::class,
            // Asked anew each time: which house it is changes under what is made once.
            fn (Application $app) => new Planning($app->make(Tables::class), fn () => $app->make(OwnThings::class)->all()),
        );
        $this->app->singleton(Cupboard::class, fn (Application $app) => $app->make(Planning::class)->cupboard());
        $this->app->singleton(Words::class, fn (Application $app) => Words::plain($app->make(Cupboard::class)));
        $this->app->singleton(Methods::class, fn (Application $app) => Methods::of($app->make(Tables::class)));
        $this->app->singleton(Schemas::class, fn () => Schemas::shipped());
        $this->app->singleton(
            Questions::class,
            fn (Application $app) => new Questions($app->make(Tables::class), $app->make(Planning::class)),
        );
    }

    public function boot(): void
    {
        Session::extend(
            'database',
            fn (Application $app) => new QuietSessionHandler(
                $app->make('db')->connection(is_string($named = config('session.connection')) ? $named : null),
                config()->string('session.table'),
                config()->integer('session.lifetime'),
                $app,
            ),
        );
        // Its own web server hands on what it was sent, forwarded headers too, from wherever: nobody is believed but who is named.
        TrustProxies::at(array_values(array_filter(config()->array('kettle.fronts'), 'is_string')));
        Model::shouldBeStrict(! $this->app->isProduction());
        RateLimiter::for(
            'door',
            // By the e-mail as well where one is given: what is sent without (an invitation looked at)
            // would otherwise share one count with everybody at this address.
            fn (Request $request) => array_values(
                array_filter([
                    is_string($email = $request->input('email'))
                        ? Limit::perMinute(10)->by('door:'.mb_strtolower($email).$request->ip())
                        : null,
                    Limit::perMinute(config()->integer('kettle.door_a_minute'))->by('door:'.$request->ip()),
                ]),
            ),
        );
        foreach (Ability::cases() as $ability) {
            Gate::define($ability, fn (User $user) => app(CurrentHouse::class)->role()->may($ability));
        }
        Queue::looping(fn (Looping $looping) => self::beat($looping->connectionName === 'long' ? 'long' : 'queue'));
    }

    /** A sign of life of what runs by itself, for `kettle doctor`: a file touched. */
    public static function beat(string $name): void
    {
        $folder = getenv('KETTLE_VAR');
        if (is_string($folder) && is_dir("{$folder}/run")) {
            @touch("{$folder}/run/{$name}.beat");
        }
    }
}
