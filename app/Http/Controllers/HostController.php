<?php

namespace App\Http\Controllers;

use App\Pages\Host\Health;
use App\Pages\Host\Metrics;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** For whatever watches over the machine: no session, no cookie. */
final class HostController extends Controller
{
    /** Whether the workers answer, whatever else is ill. */
    public function live(): Response
    {
        return new Response("ok\n", 200, ['Content-Type' => 'text/plain; charset=utf-8', 'Cache-Control' => 'no-store']);
    }

    /** Whether all that is needed is there; 503 where something is not, which is named. */
    public function ready(Health $health): JsonResponse
    {
        $ready = $health->ready();

        return new JsonResponse($ready, in_array(false, $ready, true) ? 503 : 200, ['Cache-Control' => 'no-store']);
    }

    /** Where a key was set for it, to who has it; else there is no such thing here. */
    public function metrics(Request $request, Metrics $metrics): Response
    {
        $key = config()->string('kettle.metrics_key');
        if ($key === '' || ! hash_equals($key, (string) $request->bearerToken())) {
            abort(404);
        }

        return new Response($metrics->text(), 200, [
            'Content-Type' => 'text/plain; version=0.0.4; charset=utf-8',
            'Cache-Control' => 'no-store',
        ]);
    }
}
