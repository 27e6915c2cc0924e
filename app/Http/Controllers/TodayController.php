<?php

namespace App\Http\Controllers;

use App\Actions\Batches\RecordTask;
use App\Http\Requests\ShakeTogether;
use App\Models\Batch;
use App\OpenApi\Operation;
use App\Pages\Today\TodayPage;
use App\Responses\Today\Today;
use Illuminate\Support\Facades\DB;
use Kettle\Diary\DiaryException;
use Kettle\Diary\Step;

/** What wants doing now and in the coming days, and several jars shaken at once. */
final class TodayController extends Controller
{
    public function __construct(private readonly TodayPage $page) {}

    #[Operation('What wants doing')]
    public function show(): Today
    {
        return $this->page->now();
    }

    #[Operation('Several jars were shaken or turned over')]
    public function shaken(ShakeTogether $form, RecordTask $record): Today
    {
        $batches = Batch::query()->whereIn('uid', (array) $form->input('batches'))->get();
        DB::transaction(function () use ($batches, $record): void {
            foreach ($batches as $batch) {
                try {
                    $record($batch, Step::Shake->value, 'done', null, null);
                } catch (DiaryException) {
                    // Strained or shaken by somebody else meanwhile: the others still count.
                }
            }
        });

        return $this->show();
    }
}
