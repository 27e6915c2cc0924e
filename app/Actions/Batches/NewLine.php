<?php

namespace App\Actions\Batches;

use App\Actions\Stores\StockLedger;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Kettle\Batch\Line\Line;

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

    /** @return array<string, mixed> as it is stored, by whoever writes it now */
    public function columns(): array
    {
        return [
            'user_id' => Auth::id(),
            'by' => StockLedger::who(),
            'kind' => $this->line->kind(),
            'data' => $this->line->data(),
            'note' => $this->note,
            'corrects' => $this->corrects,
            'happened_at' => $this->at === null ? Carbon::now() : Carbon::instance($this->at)->utc(),
            'recorded_at' => Carbon::now(),
        ];
    }
}
