<?php

namespace App\Actions\Batches;

use App\Models\Batch;
use App\Models\BottleSize;
use App\Models\LogEntry;
use App\Models\Lot;
use Kettle\Batch\Line\Bottled;
use Kettle\Batch\Line\FilledSize;
use Kettle\Diary\DiaryException;
use Kettle\Diary\Stage;
use Kettle\Reason\RefusedException;
use Kettle\Stores\LotKind;
use Kettle\Vessel\Filling;
use Kettle\Vessel\FillingException;

/** Fills bottles of the house's sizes from a strained oil, and numbers them. */
final readonly class BottleBatch
{
    public function __construct(private Logbook $logbook, private ChangeStorage $keeping, private Records $records) {}

    /**
     * @param  list<array{size: string, count: int}>  $wanted
     * @param  array<string, string>  $storage place, glass, antioxidant and where, as far as they were said
     *
     * @throws RefusedException when it is not strained, a size is gone, or it is more than there is
     */
    public function __invoke(Batch $batch, array $wanted, ?string $note, array $storage = [], bool $fromStores = true): LogEntry
    {
        $this->keeping->check($storage);
        $sizes = BottleSize::query()->whereIn('uid', array_column($wanted, 'size'))->get()->keyBy('uid');

        return $this->logbook->write($batch, function (Batch $batch) use ($wanted, $sizes, $note, $storage, $fromStores): NewLine {
            if (! in_array($batch->stage, [Stage::Settling, Stage::Poured], true)) {
                throw DiaryException::notOpen('bottle');
            }
            $this->records->refuseOver($batch);
            ChangeStorage::refuseWarm($batch, $storage['place'] ?? null);
            $bottles = $names = [];
            foreach ($wanted as $line) {
                $size =
                    $sizes->get($line['size']) ??
                    throw new FillingException(
                        'unknown',
                        'That bottle size is not on the house’s list; it may have been taken off. Choose another.',
                        'bottles',
                    );
                $bottles[] = ['id' => $size->uid, 'capacity' => (float) $size->capacity_ml, 'count' => $line['count']];
                $names[$size->uid] = $size->called;
            }
            $filling = Filling::of($batch->toBottleMl(), $bottles);

            return new NewLine(
                new Bottled(
                    array_map(fn (array $b) => new FilledSize($b['id'], $names[$b['id']], $b['capacity'], $b['count']), $filling->bottles),
                    round($filling->filledMl, 3),
                    round($filling->leftMl, 3),
                    $storage,
                    $fromStores ? self::taken($filling->bottles) : [],
                ),
                $note,
            );
        });
    }

    /**
     * The oldest lots of each size first, as far as they go: bottles that nobody counted were filled all the same.
     *
     * @param  list<array{id: string, capacity: float, count: int}>  $bottles
     * @return list<array{lot: string, count: int}>
     */
    private static function taken(array $bottles): array
    {
        $taken = [];
        $lots = Lot::query()
            ->where('kind', LotKind::Bottle)
            ->whereIn('material', array_column($bottles, 'id'))
            ->where('holds', true)
            ->orderByRaw('got_on IS NULL, got_on')
            ->orderBy('id')
            ->lockForUpdate()
            ->get()
            ->groupBy('material');
        foreach ($bottles as $size) {
            $wanted = $size['count'];
            foreach ($lots->get($size['id']) ?? [] as $lot) {
                $count = min($wanted, (int) floor((float) $lot->left));
                $wanted -= $count;
                if ($count > 0) {
                    $taken[] = ['lot' => $lot->uid, 'count' => $count];
                }
            }
        }

        return $taken;
    }
}
