<?php

namespace App\Actions\Stove;

use App\House\KitchenFactory;
use App\Models\Cooker;
use App\Models\StoveSession;
use Illuminate\Support\Str;
use Kettle\Infusion\Method;
use Kettle\Infusion\Methods;
use Kettle\Material\Row;
use Kettle\Material\Tables;
use Kettle\Measure\Kind;
use Kettle\Vessel\Cooker as CoreCooker;
use Kettle\Vessel\CookerException;
use Kettle\Warmth\PotFit;
use Kettle\Warmth\WarmthException;

/** The house's cookers: measured, changed, learned from a warm-up, taken off the list. */
final readonly class Cookers
{
    public function __construct(private KitchenFactory $kitchens, private Tables $tables, private SetUp $setUp) {}

    /** @return array<string, mixed> a cooker of the tables as a row of the house */
    public static function ofTable(Row $row): array
    {
        return [
            'uid' => Str::ulid()->toString(),
            'called' => $row->text('called'),
            'shape' => $row->text('shape'),
            'length_mm' => $row->number('length_mm'),
            'width_mm' => $row->number('width_mm'),
            'height_mm' => $row->number('height_mm'),
            'methods' => $row->texts('methods'),
            'loss_w_per_k' => $row->number('loss_w_per_k'),
            'vessel_j_per_k' => $row->number('vessel_j_per_k'),
            'settings' => array_map(
                fn (Row $setting) => ['name' => $setting->text('name'), 'watts' => $setting->number('watts')],
                array_values($row->rows('settings')),
            ),
        ];
    }

    /**
     * @param  array{called: string, shape: string, length: string, width?: ?string, height: string, method: string,
     *     settings?: list<array{name: string, watts: float|int}>|null}  $given
     *
     * @throws CookerException
     */
    public function add(array $given): Cooker
    {
        $method = $given['method'];
        $kinds = array_filter(Methods::of($this->tables)->all(), fn (Method $each) => $each->has(Method::IN_COOKER));
        if (! isset($kinds[$method])) {
            throw new CookerException(
                'unknown',
                'Say what it is for: '.implode(', ', array_map(fn (Method $each) => $each->name, $kinds)).'.',
                'method',
            );
        }
        $like = null;
        foreach ($this->tables->table('vessels')->rows('cookers') as $row) {
            $like ??= in_array($method, $row->texts('methods'), true) ? $row : null;
        }
        assert($like !== null);
        $reader = $this->kitchens->plain()->measured();
        $mm = function (string $field, ?string $typed) use ($reader): float {
            try {
                return $reader->read((string) $typed, Kind::Length, 'mm')->value;
            } catch (\Kettle\Reason\RefusedException $refused) {
                throw $refused->about($field);
            }
        };
        $length = $mm('length', $given['length']);
        $typed = $given['width'] ?? null;
        $core = CoreCooker::measured(
            '',
            $given['called'],
            $given['shape'],
            $length,
            $typed === null || $typed === '' || $given['shape'] === 'round' ? $length : $mm('width', $typed),
            $mm('height', $given['height']),
        );
        $common = self::ofTable($like);
        // Wall and lid lose heat about as their size: the tables' pot, scaled by its surface. From memory, coarse.
        $scale =
            self::surface($core) /
            self::surface(
                CoreCooker::measured(
                    '',
                    '',
                    $like->text('shape'),
                    $like->number('length_mm'),
                    $like->number('width_mm'),
                    $like->number('height_mm'),
                ),
            );

        return Cooker::query()->create([
            ...$common,
            'uid' => Str::ulid()->toString(),
            'called' => $core->called,
            'shape' => $core->shape,
            'length_mm' => $core->lengthMm,
            'width_mm' => $core->widthMm,
            'height_mm' => $core->heightMm,
            'methods' => $like->texts('methods'),
            'settings' => $given['settings'] ?? $common['settings'],
            'loss_w_per_k' => round($like->number('loss_w_per_k') * $scale, 3),
            'vessel_j_per_k' => round($like->number('vessel_j_per_k') * $scale, 1),
        ]);
    }

    public function remove(Cooker $cooker): void
    {
        // What is warm in it goes on: its session keeps the cooker's measures.
        $cooker->delete();
    }

    /**
     * Takes the heat of a setting and the loss from the warm-up of one of its sessions.
     *
     * @throws WarmthException when the log cannot tell
     */
    public function learn(StoveSession $session): PotFit
    {
        $cooker = $session->cooker;
        if ($cooker === null || $session->speed > 1) {
            throw new WarmthException(
                'unknown',
                $cooker === null
                    ? 'The cooker of this session is no longer on the list.'
                    : 'A trial teaches nothing about a pot: its warmth is made up.',
                'session',
            );
        }
        $until = $session
            ->events()
            ->where('happened_at', '>', $session->started_at)
            ->whereIn('kind', ['paused', 'setting', 'topped_up', 'ended'])
            ->orderBy('happened_at')
            ->first();
        $end = $until === null ? $session->now() : $until->happened_at->getTimestamp();
        $probe = $session->probes()->orderBy('probe_id')->first();
        $began = $session->started_at->getTimestamp();
        $readings =
            $probe === null ? [] : TakeReadings::thinned($session->id, $probe->probe_id, $began, min($end, $began + 12 * 3600), 240);
        $pot = $this->setUp->pot($session->set_up, $session->setting, (float) $session->set_up['water_ml'] / 1000);
        $fit = PotFit::through($pot, array_map(fn (array $r) => [(float) ($r[0] - $began), $r[3]], $readings));
        $factor = $fit->watts / max(1.0, $pot->watts);
        $settings = array_map(
            fn (array $each) => $each['name'] === $session->setting
                ? ['name' => $each['name'], 'watts' => round($fit->watts, 1)]
                : // The others are not seen: moved by as much, once.
                [
                    'name' => $each['name'],
                    'watts' => round($cooker->learned === null ? $each['watts'] * $factor : (float) $each['watts'], 1),
                ],
            $cooker->settings,
        );
        $cooker->update([
            'settings' => $settings,
            'loss_w_per_k' => round($fit->lossWPerK, 3),
            'learned' => [
                'on' => $this->kitchens->now()->format('Y-m-d'),
                'setting' => $session->setting,
                'watts_error' => round($fit->wattsError, 2),
                'loss_error' => round($fit->lossError, 3),
                'rms' => round($fit->rms, 3),
            ],
        ]);

        return $fit;
    }

    private static function surface(CoreCooker $cooker): float
    {
        return 2 * $cooker->areaM2() + (((M_PI * ($cooker->lengthMm + $cooker->widthMm)) / 2) * $cooker->heightMm) / 1e6;
    }
}
