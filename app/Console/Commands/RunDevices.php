<?php

namespace App\Console\Commands;

use App\Actions\Stove\SimulatedProbe;
use App\Models\House;
use App\Models\Probe;
use App\Models\StoveProbe;
use App\Models\StoveSession;
use App\Models\Tenancy\CurrentHouse;
use App\Providers\AppServiceProvider;
use App\Providers\StandingClockProvider;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/** Runs the simulated devices that stand in a pot just now, once or for good. */
final class RunDevices extends Command
{
    protected $signature = 'kettle:devices {--once : go on to the present and stop}';

    protected $description = 'Run the simulated thermometers';

    private const EVERY_S = 2;

    public function handle(SimulatedProbe $simulated, CurrentHouse $current): int
    {
        do {
            StandingClockProvider::fromFile();
            AppServiceProvider::beat('devices');
            try {
                $this->all($simulated, $current);
            } catch (\Throwable $thrown) {
                // The database may be restarting; what was missed is made up for at the next try.
                report($thrown);
                DB::purge();
            }
            $this->option('once') === true || sleep(self::EVERY_S);
        } while ($this->option('once') !== true);

        return self::SUCCESS;
    }

    private function all(SimulatedProbe $simulated, CurrentHouse $current): void
    {
        $standing = StoveProbe::query()
            ->whereIn(
                'stove_session_id',
                StoveSession::query()->withoutGlobalScope('house')->where('state', '!=', StoveSession::ENDED)->select('id'),
            )
            ->whereIn('probe_id', Probe::query()->withoutGlobalScope('house')->where('kind', Probe::SIMULATED)->select('id'))
            ->get();
        foreach ($standing as $each) {
            $house = House::query()
                ->whereKey(StoveSession::query()->withoutGlobalScope('house')->whereKey($each->stove_session_id)->value('house_id'))
                ->first();
            if ($house !== null) {
                $current->within($house, function () use ($simulated, $each): void {
                    $session = StoveSession::query()->whereKey($each->stove_session_id)->first();
                    $probe = Probe::withTrashed()->whereKey($each->probe_id)->first();
                    $session !== null && $probe !== null && $simulated->run($session, $probe);
                });
            }
        }
    }
}
