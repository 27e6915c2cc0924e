<?php

namespace App\Http\Controllers;

use App\Actions\Stove\TakeReadings;
use App\Http\Problems;
use App\Http\Requests\SendReadings;
use App\Models\House;
use App\Models\Probe;
use App\Models\StoveProbe;
use App\Models\StoveSession;
use App\Models\Tenancy\CurrentHouse;
use App\OpenApi\Operation;
use App\Responses\Stove\ReadingsTaken;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\RateLimiter;

/** Where a thermometer sends to, with its key as a bearer token (RFC 6750). Sent twice, a reading is kept once. */
final class ReadingsController extends Controller
{
    /** Wrong keys from one address in a minute, before it is told to wait. */
    private const WRONG = 30;

    #[Operation('Readings of a thermometer, with its key as a bearer token')]
    public function take(SendReadings $form, CurrentHouse $current, TakeReadings $take): ReadingsTaken|JsonResponse
    {
        $key = (string) $form->bearerToken();
        $probe = $key === '' ? null : Probe::query()->withoutGlobalScope('house')->where('key_hash', hash('sha256', $key))->first();
        if ($probe === null) {
            $from = 'readings:'.$form->ip();
            if (RateLimiter::tooManyAttempts($from, self::WRONG)) {
                return Problems::response(429);
            }
            RateLimiter::hit($from);

            return Problems::response(
                401,
                'That key is not known. Add the thermometer at the Stove, and send its key as “Authorization: Bearer …”.',
            );
        }

        return $current->within(House::query()->whereKey($probe->house_id)->firstOrFail(), function () use (
            $form,
            $probe,
            $take,
        ): ReadingsTaken|JsonResponse {
            $standing = StoveProbe::query()->where('probe_id', $probe->id)->orderByDesc('stove_session_id')->first();
            $session =
                $standing === null
                    ? null
                    : StoveSession::query()->whereKey($standing->stove_session_id)->where('state', '!=', StoveSession::ENDED)->first();
            if ($session === null) {
                return Problems::response(
                    409,
                    sprintf('“%s” stands in no pot just now. Begin a session with it at the Stove.', $probe->called),
                );
            }
            $took = $take($session, $probe, array_values((array) $form->input('readings')));
            if ($took['taken'] + $took['doubled'] === 0) {
                return Problems::response(
                    422,
                    $took['refused'][0]['sentence'] ?? 'There was nothing to take.',
                    array_map(
                        fn (array $no) => ['field' => 'readings.'.$no['row'], 'reason' => 'refused', 'sentence' => $no['sentence']],
                        array_slice($took['refused'], 0, 20),
                    ),
                );
            }

            return ReadingsTaken::of($took);
        });
    }
}
