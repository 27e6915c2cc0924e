<?php

namespace App\Actions\Batches;

use App\Models\Batch;
use App\Models\BottleSize;
use App\Models\LogEntry;
use Kettle\Diary\DiaryRefused;
use Kettle\Diary\Stage;
use Kettle\Reason\Refused;
use Kettle\Vessel\Filling;
use Kettle\Vessel\FillingRefused;

/** Fills bottles of the house's sizes from a strained oil, and numbers them. */
final readonly class BottleBatch
{
    public function __construct(private Logbook $logbook)
    {
    }

    /**
     * @param  list<array{size: string, count: int}>  $wanted
     *
     * @throws Refused when it is not strained, a size is gone, or it is more than there is
     */
    public function __invoke(Batch $batch, array $wanted, ?string $note): LogEntry
    {
        $sizes = BottleSize::query()->whereIn('uid', array_column($wanted, 'size'))->get()->keyBy('uid');

        return $this->logbook->write($batch, function (Batch $batch) use ($wanted, $sizes, $note): array {
            if (! in_array($batch->stage, [Stage::Settling, Stage::Poured], true)) {
                throw DiaryRefused::notOpen('bottle');
            }
            $bottles = $names = [];
            foreach ($wanted as $line) {
                $size = $sizes->get($line['size']) ?? throw new FillingRefused(
                    'unknown', 'That bottle size is not on the house’s list; it may have been taken off. Choose another.', 'bottles',
                );
                $bottles[] = ['id' => $size->uid, 'capacity' => (float) $size->capacity_ml, 'count' => $line['count']];
                $names[$size->uid] = $size->called;
            }
            $filling = Filling::of((float) $batch->strained_ml, $bottles);

            return ['kind' => 'bottled', 'note' => $note, 'data' => [
                'bottles' => array_map(fn (array $b) => [
                    'size' => $b['id'], 'called' => $names[$b['id']], 'capacity_ml' => $b['capacity'], 'count' => $b['count'],
                ], $filling->bottles),
                'filled_ml' => round($filling->filledMl, 3),
                'left_ml' => round($filling->leftMl, 3),
            ]];
        });
    }
}
