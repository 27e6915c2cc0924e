<?php

namespace App\Http\Controllers;

use App\Actions\Batches\RecordTask;
use App\Http\Requests\ShakeTogether;
use App\Models\Batch;
use App\OpenApi\Adds;
use App\OpenApi\Reads;
use App\Pages\Today\TodayPage;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use Kettle\Diary\DiaryException;
use Kettle\Diary\Step;

/** What wants doing now and in the coming days, and several jars shaken at once. */
final class TodayController extends Controller
{
    public function __construct(private readonly TodayPage $page) {}

    #[Reads('/houses/{house}/today', 'Today', 'What wants doing')]
    public function show(): JsonResponse
    {
        return $this->json($this->page->now());
    }

    #[Adds('/houses/{house}/today/shaken', 'Today', 'Several jars were shaken or turned over', 'ShakeTogether')]
    public function shaken(ShakeTogether $form, RecordTask $record): JsonResponse
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
