<?php

namespace App\Actions\Batches;

use App\Actions\Stores\StockLedger;
use App\House\WhenDone;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Kettle\Batch\Line\Line;
use Kettle\Batch\Logbook as CoreLogbook;
use Kettle\Diary\DiaryException;

/** A line that is to be written into a logbook. */
final readonly class NewLine
{
    /**
     * @param  ?string  $corrects the id of the line that it corrects or strikes out
     * @param  ?\DateTimeImmutable  $at when it happened, where that was before it is written
     */
    public function __construct(
        public Line $line,
        public ?string $note = null,
        public ?string $corrects = null,
        public ?\DateTimeImmutable $at = null,
    ) {}

    /**
     * As it is stored, by whoever writes it now.
     *
     * @param  \Closure(): CoreLogbook  $log that it goes into; asked only of what was done a while ago
     * @return array<string, mixed>
     *
     * @throws DiaryException when its turn was before something that is written down already
     */
    public function columns(WhenDone $done, \Closure $log): array
    {
        $at = $this->at === null ? $done->at() : Carbon::instance($this->at);
        $done->isLate() && $log()->refuseOutOfTurn($this->line, $at->toDateTimeImmutable());

        return [
            'user_id' => Auth::id(),
            'by' => StockLedger::who(),
            'kind' => $this->line->kind(),
            'data' => $this->line->data(),
            'note' => $this->note,
            'corrects' => $this->corrects,
            'happened_at' => $at->utc(),
            'recorded_at' => Carbon::now(),
        ];
    }
}
