<?php

namespace App\Demo;

use App\Actions\Houses\CreateHouse;
use App\Actions\Stove\PlanDiary;
use App\Models\BoilEntry;
use App\Models\DiaryMove;
use App\Models\House;
use App\Models\LogEntry;
use App\Models\MakingEntry;
use App\Models\Membership;
use App\Models\Tenancy\CurrentHouse;
use App\Models\Tenancy\Role;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Str;

/**
 * The demo: an imaginary keeper's cottage on a windy northern island. All of it is invented.
 *
 * It is made by doing, through the same actions as anybody's, with the clock set back to each day;
 * so it is laid relative to the day it is loaded, and always true.
 */
final class SkerryHouse
{
    public const EMAIL = 'keeper@skerry.example';

    public function __construct(
        private readonly CreateHouse $createHouse,
        private readonly CurrentHouse $current,
        private readonly DemoClock $clock,
        private readonly SkerryStores $stores,
        private readonly SkerryRecipes $recipes,
        private readonly SkerryShelf $shelf,
        private readonly SkerryStove $stove,
        private readonly SkerryPots $pots,
        private readonly SkerryBoils $boils,
        private readonly PlanDiary $diary,
    ) {}

    public static function find(): ?House
    {
        return House::query()->where('is_demo', true)->first();
    }

    /** Laid on an earlier day, and nobody has written in it since. */
    public function isStale(House $house): bool
    {
        return $this->current->within(
            $house,
            fn () => ! $house->created_at->isToday() &&
                LogEntry::query()->where('recorded_at', '>', $house->created_at)->doesntExist() &&
                MakingEntry::query()->where('recorded_at', '>', $house->created_at)->doesntExist() &&
                BoilEntry::query()->where('recorded_at', '>', $house->created_at)->doesntExist(),
        );
    }

    public function lay(): House
    {
        $before = Carbon::getTestNow();
        $keeper = User::query()->firstOrCreate(
            ['email' => self::EMAIL],
            ['name' => 'Isa', 'password' => Str::random(40), 'prefs' => User::PREFS],
        );
        $helper = User::query()->firstOrCreate(
            ['email' => 'helper@skerry.example'],
            ['name' => 'Torin', 'password' => Str::random(40), 'prefs' => User::PREFS],
        );
        $house = ($this->createHouse)($keeper, [
            'name' => 'Skerry House',
            'time_zone' => 'Europe/London',
            'measures' => 'us',
            'is_demo' => true,
            'currency' => 'GBP',
            'hour_rate' => 9,
            'burners' => 4,
            'latitude' => 59.25,
            'longitude' => -2.6,
            'height_m' => 15,
            'things' => ['shelf', 'sill', 'pan', 'pot', 'double-boiler', 'slow-cooker', 'thermometer'],
        ]);
        Membership::query()->create(['house_id' => $house->id, 'user_id' => $helper->id, 'role' => Role::Helper]);
        $signedIn = Auth::user();
        Auth::setUser($keeper);
        try {
            $this->current->within($house, fn () => $this->fill());
        } finally {
            Carbon::setTestNow($before);
            $signedIn instanceof User ? Auth::setUser($signedIn) : Auth::forgetUser();
        }

        return $house;
    }

    private function fill(): void
    {
        $this->clock->begin();
        $this->stores->lay();
        $this->recipes->lay();
        $this->stove->cookers();
        $this->shelf->lay();
        $this->pots->lay();
        $this->boils->lay();
        $this->stove->lay();
        // The days to come are placed as of now, with nothing moved that nobody saw.
        Carbon::setTestNow($this->clock->now);
        ($this->diary)();
        DiaryMove::query()->delete();
    }
}
