<?php

namespace App\Actions\Looks;

use App\Actions\Batches\Logbook;
use App\Actions\Batches\NewLine;
use App\Models\Batch;
use App\Models\LogEntry;
use App\Models\Photo;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Kettle\Batch\Line\ColourLook;
use Kettle\Batch\Line\ScentLook;
use Kettle\Diary\DiaryException;
use Kettle\Diary\Stage;
use Kettle\Warmth\Colour;
use Kettle\Warmth\WarmthException;

/** A look at a jar: its colour off a photo or by a swatch, or its scent; a line of its logbook. */
final readonly class TakeLook
{
    public function __construct(private Logbook $logbook, private SmallPhoto $small) {}

    /**
     * @param  array{what: string, plain: bool, swatch: ?string, photo: ?string, oil: ?list<float>, card: ?list<float>,
     *     score: ?int, note: ?string}  $look
     *
     * @throws WarmthException
     */
    public function __invoke(Batch $batch, array $look): LogEntry
    {
        $jpeg = null;
        if ($look['what'] === 'scent') {
            $seen = new ScentLook(
                $look['score'] ?? throw new WarmthException('missing', 'Say how strong it smells of the herb, from 0 to 10.', 'score'),
            );
        } else {
            [$rgb, $card, $jpeg] = $this->seen($look);
            $colour = Colour::sRgb($rgb, $card);
            $seen = new ColourLook(
                [round($colour->l, 3), round($colour->a, 3), round($colour->b, 3)],
                array_map(fn (float $c) => (int) round($c), $rgb),
                $look['plain'],
                $jpeg === null ? 'swatch' : ($card === null ? 'photo' : 'photo and card'),
            );
        }

        return DB::transaction(function () use ($batch, $look, $seen, $jpeg): LogEntry {
            if ($jpeg !== null && $seen instanceof ColourLook) {
                $photo = Photo::query()->create(['batch_id' => $batch->id, 'uid' => Str::ulid()->toString(), 'jpeg' => $jpeg]);
                $seen = $seen->withPhoto($photo->uid);
            }

            return $this->logbook->write($batch, function (Batch $batch) use ($look, $seen): NewLine {
                if (
                    $batch->stage === Stage::Discarded ||
                    ($batch->stage === Stage::Planned && ! ($seen instanceof ColourLook && $seen->plain))
                ) {
                    throw new DiaryException(
                        'not_open',
                        'There is nothing in the jar to look at yet, or no more. The plain oil may be looked at before it is poured.',
                    );
                }

                return new NewLine($seen, $look['note']);
            });
        });
    }

    /**
     * @param  array{swatch: ?string, photo: ?string, oil: ?list<float>, card: ?list<float>}  $look
     * @return array{array{float, float, float}, array{float, float, float}|null, ?string} the oil, the white card,
     *     and the picture made small
     */
    private function seen(array $look): array
    {
        if ($look['photo'] !== null && $look['photo'] !== '') {
            $picture = $this->small->of($look['photo']);
            $oil = $look['oil'] ?? throw new WarmthException('missing', 'Point out the oil in the picture.', 'oil');

            return [
                $picture->patch($oil[0], $oil[1]),
                $look['card'] === null ? null : $picture->patch($look['card'][0], $look['card'][1]),
                $picture->jpeg(),
            ];
        }
        $swatch =
            $look['swatch'] ?? throw new WarmthException('missing', 'Choose the swatch that is nearest, or take a picture.', 'swatch');

        return [
            [(float) hexdec(substr($swatch, 1, 2)), (float) hexdec(substr($swatch, 3, 2)), (float) hexdec(substr($swatch, 5, 2))],
            null,
            null,
        ];
    }
}
