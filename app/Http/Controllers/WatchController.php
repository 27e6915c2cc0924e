<?php

namespace App\Http\Controllers;

use App\Actions\Looks\TakeLook;
use App\Actions\Sun\TakeWeather;
use App\Http\Requests\ReadCsv;
use App\Http\Requests\TakeLook as TakeLookForm;
use App\Models\Batch;
use App\Models\Photo;
use App\OpenApi\Operation;
use App\Pages\Batch\LookPresenter;
use App\Pages\Batch\SunPresenter;
use App\Pages\Batch\WarmthPresenter;
use App\Responses\Batch\BatchWarmth;
use App\Responses\Batch\LooksView;
use App\Responses\Batch\SunView;
use App\Responses\Batch\WeatherTaken;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** A batch watched as it infuses: its warmth, its sun, its colour and its scent. */
final class WatchController extends Controller
{
    public function __construct(private readonly LookPresenter $looks, private readonly SunPresenter $sun) {}

    #[Operation('All the warmth a batch has had')]
    public function warmth(Batch $batch, WarmthPresenter $warmth): BatchWarmth
    {
        return $warmth->of($batch);
    }

    #[Operation('A batch in the sun', query: ['bag' => ['0', '1'], 'outdoors' => ['0', '1']])]
    public function sun(Request $request, Batch $batch): SunView
    {
        return $this->sun->of($batch, $this->asked($request, 'bag') !== '0', $this->asked($request, 'outdoors') === '1');
    }

    #[Operation('What the sun is worth here and now', query: ['bag' => ['0', '1'], 'outdoors' => ['0', '1']])]
    public function here(Request $request): SunView
    {
        return $this->sun->here($this->asked($request, 'bag') !== '0', $this->asked($request, 'outdoors') === '1');
    }

    #[Operation('Real days of weather out of a CSV file, or only say what would be taken')]
    public function weather(ReadCsv $form, TakeWeather $take): WeatherTaken
    {
        return $take($form->bytes(), $form->boolean('do'));
    }

    #[Operation('The colour and the scent of a batch')]
    public function looks(Batch $batch): LooksView
    {
        return $this->looks->of($batch);
    }

    #[Operation('A look at its colour or its scent')]
    public function look(TakeLookForm $form, Batch $batch, TakeLook $take): LooksView
    {
        $text = fn (string $key): ?string => is_string($form->input($key)) && $form->input($key) !== '' ? $form->input($key) : null;
        $place = fn (string $key): ?array => is_array($form->input($key))
            ? array_map(fn (mixed $part): float => is_numeric($part) ? (float) $part : 0.0, array_values($form->input($key)))
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

        return $this->looks->of($batch);
    }

    #[Operation('A picture of the oil', gives: 'image/jpeg')]
    public function photo(Batch $batch, string $photo): Response
    {
        $found = Photo::query()->where('batch_id', $batch->id)->where('uid', $photo)->first() ?? throw new NotFoundHttpException();

        return new Response($found->jpeg, 200, ['Content-Type' => 'image/jpeg', 'Cache-Control' => 'private, max-age=86400']);
    }
}
