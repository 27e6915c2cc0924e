<?php

namespace App\Http\Controllers;

use App\Actions\Looks\TakeLook;
use App\Actions\Sun\TakeWeather;
use App\Http\Requests\ReadCsv;
use App\Http\Requests\TakeLook as TakeLookForm;
use App\Models\Batch;
use App\Models\Photo;
use App\OpenApi\Adds;
use App\OpenApi\Reads;
use App\Pages\Batch\LookPresenter;
use App\Pages\Batch\SunPresenter;
use App\Pages\Batch\WarmthPresenter;
use App\Responses\RefusedReading;
use App\Responses\WeatherTaken;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** A batch watched as it infuses: its warmth, its sun, its colour and its scent. */
final class WatchController extends Controller
{
    public function __construct(private readonly LookPresenter $looks, private readonly SunPresenter $sun) {}

    #[Reads('/houses/{house}/batches/{batch}/warmth', 'BatchWarmth', 'All the warmth a batch has had')]
    public function warmth(Batch $batch, WarmthPresenter $warmth): JsonResponse
    {
        return $this->json($warmth->of($batch));
    }

    #[Reads('/houses/{house}/batches/{batch}/sun', 'SunView', 'A batch in the sun', ['bag', 'outdoors'])]
    public function sun(Request $request, Batch $batch): JsonResponse
    {
        return $this->json($this->sun->of($batch, $this->asked($request, 'bag') !== '0', $this->asked($request, 'outdoors') === '1'));
    }

    #[Reads('/houses/{house}/sun', 'SunView', 'What the sun is worth here and now', ['bag', 'outdoors'])]
    public function here(Request $request): JsonResponse
    {
        return $this->json($this->sun->here($this->asked($request, 'bag') !== '0', $this->asked($request, 'outdoors') === '1'));
    }

    #[Adds('/houses/{house}/weather', 'WeatherTaken', 'Real days of weather out of a CSV file', 'ReadCsv')]
    public function weather(ReadCsv $form, TakeWeather $take): JsonResponse
    {
        $took = $take((string) base64_decode($form->string('csv')->toString(), true));

        return $this->json(
            new WeatherTaken(
                $took['taken'],
                array_map(fn (array $no) => new RefusedReading($no['row'], $no['sentence']), array_slice($took['refused'], 0, 100)),
            ),
        );
    }

    #[Reads('/houses/{house}/batches/{batch}/looks', 'LooksView', 'The colour and the scent of a batch')]
    public function looks(Batch $batch): JsonResponse
    {
        return $this->json($this->looks->of($batch));
    }

    #[Adds('/houses/{house}/batches/{batch}/looks', 'LooksView', 'A look at its colour or its scent', 'TakeLook')]
    public function look(TakeLookForm $form, Batch $batch, TakeLook $take): JsonResponse
    {
        $text = fn (string $key): ?string => is_string($form->input($key)) && $form->input($key) !== '' ? $form->input($key) : null;
        $place = fn (string $key): ?array => is_array($form->input($key))
            ? array_map(floatval(...), array_values($form->input($key)))
            : null;
        $score = $form->input('score');
        $take($batch, [
            'what' => $form->string('what')->toString(),
            'plain' => $form->boolean('plain'),
            'swatch' => $text('swatch'),
            'photo' => $text('photo'),
            'oil' => $place('oil'),
            'card' => $place('card'),
            'score' => is_numeric($score) ? (int) $score : null,
            'note' => $text('note'),
        ]);

        return $this->json($this->looks->of($batch));
    }

    #[Reads('/houses/{house}/batches/{batch}/photos/{photo}', 'image/jpeg', 'A picture of the oil')]
    public function photo(Batch $batch, string $photo): Response
    {
        $found = Photo::query()->where('batch_id', $batch->id)->where('uid', $photo)->first() ?? throw new NotFoundHttpException();

        return new Response($found->jpeg, 200, ['Content-Type' => 'image/jpeg', 'Cache-Control' => 'private, max-age=86400']);
    }
}
