<?php

namespace App\Actions\Batches;

use App\Actions\Looks\Picture;
use App\Actions\Looks\SmallPhoto;
use App\Models\Batch;
use App\Models\LogEntry;
use App\Models\Photo;
use Illuminate\Support\Str;
use Kettle\Batch\Line\Note;
use Kettle\Diary\DiaryException;
use Kettle\Warmth\WarmthException;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Writes a note in the logbook, or a better one beside one that was wrong. */
final readonly class AddNote
{
    public function __construct(private Logbook $logbook, private SmallPhoto $small) {}

    /**
     * @param  ?string  $photo a picture in base64, as of an old page
     *
     * @throws DiaryException when what is corrected is not a note
     * @throws WarmthException when that is no picture
     */
    public function __invoke(Batch $batch, ?string $note, ?string $corrects, ?string $photo = null): LogEntry
    {
        // Made small before anything is locked: it takes its time.
        $jpeg = $photo === null ? null : $this->small->of($photo, Picture::LEGIBLE)->page();

        return $this->logbook->write($batch, function (Batch $batch) use ($note, $corrects, $jpeg): NewLine {
            if ($corrects !== null) {
                $old = $batch->entries()->where('uid', $corrects)->first() ?? throw new NotFoundHttpException();
                $wrong = $old->line();
                $wrong instanceof Note || throw DiaryException::onlyNotes();
            }
            $kept =
                $jpeg === null
                    ? $wrong->photo ?? null
                    : Photo::query()->create(['batch_id' => $batch->id, 'uid' => Str::ulid()->toString(), 'jpeg' => $jpeg])->uid;

            return new NewLine(new Note($kept), $note, $corrects);
        });
    }
}
