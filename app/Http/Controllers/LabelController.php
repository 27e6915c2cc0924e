<?php

namespace App\Http\Controllers;

use App\House\CurrentHouse;
use App\Labels\KitchenCard;
use App\Labels\LabelSheet;
use App\Models\Batch;
use App\OpenApi\Reads;
use Illuminate\Http\Response;
use Kettle\Diary\DiaryRefused;

/** Tags, labels and their codes. The code opens the batch at the address this was asked from. */
final class LabelController extends Controller
{
    private const MOST = 200;

    public function __construct(private readonly CurrentHouse $current, private readonly LabelSheet $sheet)
    {
    }

    #[Reads('/houses/{house}/batches/{batch}/tag.pdf', 'application/pdf', 'The jar tag')]
    public function tag(Batch $batch): Response
    {
        return $this->pdf($this->sheet->tag($batch, $this->address($batch)), "{$batch->code}-tag.pdf");
    }

    #[Reads('/houses/{house}/batches/{batch}/labels.pdf', 'application/pdf', 'A label for each bottle')]
    public function labels(Batch $batch): Response
    {
        $bottles = array_values($batch->bottles()->orderBy('number')->limit(self::MOST)->get()->all());
        if ($bottles === []) {
            throw new DiaryRefused('not_open', 'There are no bottles to label yet. Fill them first, or print the jar tag.');
        }

        return $this->pdf($this->sheet->labels($batch, $bottles, $this->address($batch)), "{$batch->code}-labels.pdf");
    }

    #[Reads('/houses/{house}/batches/{batch}/card.pdf', 'application/pdf', 'The kitchen card of a batch')]
    public function card(Batch $batch, KitchenCard $card): Response
    {
        return $this->pdf($card->of($batch->plan, $batch->code), "{$batch->code}-card.pdf");
    }

    #[Reads('/houses/{house}/batches/{batch}/code.svg', 'image/svg+xml', 'The 2D code that opens the batch')]
    public function code(Batch $batch): Response
    {
        return new Response(LabelSheet::code($this->address($batch)), 200, ['Content-Type' => 'image/svg+xml']);
    }

    private function address(Batch $batch): string
    {
        return url('/h/'.$this->current->house()->uid.'/batch/'.$batch->uid);
    }

    private function pdf(string $bytes, string $name): Response
    {
        return new Response($bytes, 200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => "inline; filename=\"{$name}\""]);
    }
}
