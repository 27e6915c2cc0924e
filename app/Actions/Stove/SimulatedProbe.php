<?php

namespace App\Actions\Stove;

use App\Models\Probe;
use App\Models\StoveSession;
use Kettle\Warmth\PotRun;

/**
 * A stand-in for a thermometer in a pot, and for the pot: it ships so that the Stove can be tried with nothing
 * plugged in. The pot behaves as the model says, but not with quite the house's figures; the reading is noisy,
 * wanders slowly, and now and then is lost for some minutes. The same session always goes the same way.
 */
final readonly class SimulatedProbe
{
    public const EVERY_S = 10;

    private const NOISE_C = 0.12;

    private const WANDER_C = 0.35;

    private const WANDER_S = 5400;

    /** One twenty minutes in so many has six of them without a signal. */
    private const LOST_ONE_IN = 14;

    /** No more is made up at once, s. */
    private const MOST_S = 12 * 3600;

    public function __construct(private SetUp $setUp, private TakeReadings $take) {}

    /** Goes on from where it was to the session's present, and sends what it measured. */
    public function run(StoveSession $session, Probe $probe): int
    {
        $seed = crc32($session->uid);
        /** @var array{at?: int, water?: float|int, oil?: float|int, kg?: float|int, filled?: int} $state */
        $state = $probe->state ?? [];
        $started = $session->started_at->getTimestamp();
        $room = (float) $session->set_up['room_c'];
        $at = $state['at'] ?? $started;
        $now = [
            'water' => (float) ($state['water'] ?? ($session->set_up['poured_c'] ?? $room)),
            'oil' => (float) ($state['oil'] ?? $room),
            'kg' => (float) ($state['kg'] ?? (float) $session->filled_ml / 1000),
        ];
        $filled = $session->own($session->filled_at);
        if (($state['filled'] ?? $started) < $filled) {
            $now['kg'] = (float) $session->filled_ml / 1000;
        }
        $until = $session->now();
        $at = max($at, $until - self::MOST_S);
        $pot = $this->pot($session, $now['kg'], $seed);
        $readings = [];
        while ($at + self::EVERY_S <= $until) {
            $at += self::EVERY_S;
            $now = PotRun::onward($pot, $now, self::EVERY_S);
            if (! self::lost($seed, $at)) {
                $readings[] = [
                    'at' => $at,
                    'c' => round(
                        $now['oil'] + self::noise($seed, $at) + self::WANDER_C * sin((2 * M_PI * $at) / self::WANDER_S + ($seed % 7)),
                        2,
                    ),
                ];
            }
        }
        $probe->update(['state' => ['at' => $at, ...$now, 'filled' => $filled]]);

        return $readings === [] ? 0 : ($this->take)($session, $probe, $readings)['taken'];
    }

    private function pot(StoveSession $session, float $kg, int $seed): \Kettle\Warmth\Pot
    {
        $parts = $this->setUp->parts($session->set_up, $session->setting, $kg);
        // Nobody's pot is quite what the table says.
        $parts['watts'] = $session->state === StoveSession::ON ? $parts['watts'] * (0.96 + ($seed % 11) / 100) : 0.0;
        $parts['loss_w_per_k'] *= 0.92 + ($seed % 13) / 100;

        return \Kettle\Warmth\Pot::of($parts);
    }

    private static function lost(int $seed, int $at): bool
    {
        $while = intdiv($at, 1200);

        return crc32($seed.'/'.$while) % self::LOST_ONE_IN === 0 && $at % 1200 < 360;
    }

    private static function noise(int $seed, int $at): float
    {
        $sum = 0;
        for ($i = 0; $i < 4; $i++) {
            $sum += crc32("{$seed}:{$at}:{$i}") % 1000;
        }

        return self::NOISE_C * ($sum / 2000 - 1) * 2;
    }
}
