<?php

namespace App\Actions\Houses;

use App\Actions\Diary\FollowAvailability;
use App\House\KitchenFactory;
use App\Models\House;
use App\Models\Tenancy\CurrentHouse;
use Kettle\Diary\Availability;
use Kettle\Diary\DiaryException;
use Kettle\Diary\HomeHours;
use Kettle\Measure\AmountException;
use Kettle\Measure\Kind;
use Kettle\Measure\Money;
use Kettle\Reason\Faults;
use Kettle\Reason\Said;
use Kettle\Recipe\WishException;
use Kettle\Time\TimeOfDay;

/** Changes how a house lives: its hours, its measures, its money, and what there is to work with. */
final readonly class ChangeSettings
{
    public function __construct(private CurrentHouse $current, private KitchenFactory $kitchens, private FollowAvailability $follow) {}

    /**
     * @param  array<string, mixed>  $typed as the form has them
     * @return bool false when somebody changed them meanwhile
     *
     * @throws WishException with every fault found
     */
    public function __invoke(array $typed, int $version): bool
    {
        $settings = $this->read($typed);
        $house = $this->current->house();
        // One statement, so that of two people saving at once only one can win.
        $changed = House::query()
            ->whereKey($house->id)
            ->where('version', $version)
            ->update([...$settings, 'version' => $version + 1]);
        $house->refresh();
        $changed === 0 || ($this->follow)(Said::of('moved.hours-changed'));

        return $changed > 0;
    }

    /**
     * @param  array<string, mixed>  $typed
     * @return array<string, mixed> by column
     */
    private function read(array $typed): array
    {
        $text = fn (string $field): string => is_string($typed[$field] ?? null) ? trim($typed[$field]) : '';
        $settings = array_diff_key($typed, array_flip(['room', 'home']));
        $faults = new Faults();
        $settings['wake'] = $faults->trying('wake', fn () => self::time($text('wake')));
        $settings['bed'] = $faults->trying('bed', fn () => self::time($text('bed')));
        $home = array_key_exists('home', $typed) ? self::home(array_values((array) $typed['home']), $faults) : null;
        if ($faults->all() === []) {
            self::tryHours((string) $settings['wake'], (string) $settings['bed'], $home ?? ($this->current->house()->home ?? []), $faults);
        }
        if ($home !== null) {
            $settings['home'] = $home === [] ? null : json_encode($home);
        }
        if ($text('room') !== '') {
            $settings['room_c'] = $faults->trying('room', fn () => $this->room($text('room')));
        }
        if (array_key_exists('currency', $typed)) {
            $settings['currency'] = $faults->trying('currency', fn () => self::currency($text('currency')));
        }
        if (isset($typed['things'])) {
            $settings['things'] = json_encode($this->things(array_values((array) $typed['things']), $faults));
        }

        return $faults->all() === [] ? $settings : throw WishException::faults($faults->all());
    }

    private static function time(string $typed): string
    {
        return TimeOfDay::text(TimeOfDay::minute($typed) ?? throw DiaryException::time($typed));
    }

    /** A warmth without its unit is in the cook's own degrees. */
    private function room(string $typed): float
    {
        $kitchen = $this->kitchens->plain();
        $warmth = $kitchen->reader()->read($typed, Kind::Temperature, $kitchen->fahrenheit ? '°F' : '°C')->value;

        return $warmth >= 0 && $warmth <= 40 ? $warmth : throw DiaryException::room($kitchen->warmth(0.0), $kitchen->warmth(40.0));
    }

    private static function currency(string $typed): string
    {
        return $typed === '' ? '' : Money::code($typed) ?? throw AmountException::moneyOfMany($typed);
    }

    /**
     * @param  list<mixed>  $things
     * @return list<string>
     */
    private function things(array $things, Faults $faults): array
    {
        $known = $this->kitchens->plain()->cupboard()->things();
        $read = [];
        foreach ($things as $i => $thing) {
            $thing = is_string($thing) ? $thing : '';
            in_array($thing, $known, true) ? ($read[] = $thing) : $faults->add(DiaryException::thing($thing)->about("things.{$i}"));
        }

        return $read;
    }

    /**
     * @param  list<mixed>  $week as typed, from Monday
     * @return array<int, string> by ISO weekday, days that are all day left out, "" for not at all
     */
    private static function home(array $week, Faults $faults): array
    {
        $home = [];
        foreach ($week as $i => $typed) {
            $read = $faults->trying("home.{$i}", fn () => HomeHours::read(is_string($typed) ? $typed : '')) ?? '';
            if ($read !== '') {
                $home[$i + 1] = $read === HomeHours::NEVER ? '' : $read;
            }
        }

        return $home;
    }

    /** @param  array<int, string>  $home */
    private static function tryHours(string $wake, string $bed, array $home, Faults $faults): void
    {
        $availability = $faults->trying('bed', fn () => Availability::between($wake, $bed));
        if ($availability === null) {
            return;
        }
        foreach ($home as $day => $hours) {
            $faults->trying('home.'.($day - 1), fn () => $availability->atHome([$day => $hours]));
        }
    }
}
