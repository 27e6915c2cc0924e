<?php

namespace App\Actions\Houses;

use App\Actions\Stove\Cookers;
use App\Models\BottleSize;
use App\Models\Cooker;
use App\Models\House;
use App\Models\Jar;
use App\Models\Membership;
use App\Models\Tenancy\CurrentHouse;
use App\Models\Tenancy\Role;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Kettle\Material\Tables;
use Kettle\Vessel\Jar as CoreJar;

/** Sets up a house with the common jars and bottles, and its first keeper. */
final readonly class CreateHouse
{
    public function __construct(private Tables $tables, private CurrentHouse $current) {}

    /** @param  array<string, mixed>  $settings name, time_zone and measures at least */
    public function __invoke(User $keeper, array $settings): House
    {
        return DB::transaction(function () use ($keeper, $settings): House {
            $house = House::query()
                ->create($settings + ['wake' => '07:00', 'bed' => '22:30', 'drops_per_ml' => 20])
                ->refresh();
            Membership::query()->create(['house_id' => $house->id, 'user_id' => $keeper->id, 'role' => Role::Keeper]);
            $this->current->within($house, fn () => $this->stock());

            return $house;
        });
    }

    private function stock(): void
    {
        $vessels = $this->tables->table('vessels');
        foreach (CoreJar::KINDS as $kind) {
            foreach ($vessels->rows($kind.'s') as $jar) {
                Jar::query()->create([
                    'uid' => Str::ulid()->toString(),
                    'called' => $jar->text('called'),
                    'brim_ml' => $jar->number('brim_ml'),
                    'height_mm' => $jar->number('inner_height_mm'),
                    'kind' => $kind,
                ]);
            }
        }
        foreach ($vessels->rows('cookers') as $cooker) {
            if ($cooker->flag('common')) {
                Cooker::query()->create(Cookers::ofTable($cooker));
            }
        }
        foreach ($vessels->rows('bottles') as $bottle) {
            BottleSize::query()->create([
                'uid' => Str::ulid()->toString(),
                'called' => $bottle->text('called'),
                'capacity_ml' => $bottle->number('capacity_ml'),
            ]);
        }
    }
}
