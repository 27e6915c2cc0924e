<?php

namespace App\Actions\Batches;

use App\Models\Batch;
use App\Models\LogEntry;
use Kettle\Batch\Line\PutAway;
use Kettle\Caution\CautionException;
use Kettle\Diary\DiaryException;
use Kettle\Diary\Stage;
use Kettle\Keeping\Keeping;
use Kettle\Keeping\KeepingException;
use Kettle\Material\Tables;
use Kettle\Reason\RefusedException;

/** Where a batch stands now, in what glass, with what in it: its best-before is reckoned anew. */
final readonly class ChangeStorage
{
    public function __construct(private Logbook $logbook, private Tables $tables) {}

    /**
     * @param  array{place?: string, glass?: string, antioxidant?: string, where?: string}  $as what is changed
     *
     * @throws RefusedException when it is not there yet, or a word of it is not known
     */
    public function __invoke(Batch $batch, array $as): LogEntry
    {
        $this->check($as);

        return $this->logbook->write($batch, function (Batch $batch) use ($as): NewLine {
            if (in_array($batch->stage, [Stage::Discarded, Stage::Planned], true)) {
                throw DiaryException::notOpen('put away');
            }
            self::refuseWarm($batch, $as['place'] ?? null);

            return new NewLine(new PutAway($as));
        });
    }

    /**
     * @param  array<string, string>  $as
     *
     * @throws KeepingException
     */
    public function check(array $as): void
    {
        foreach (['place' => 'places', 'glass' => 'glass', 'antioxidant' => 'antioxidants'] as $key => $list) {
            isset($as[$key]) && Keeping::row($this->tables->table('keeping'), $list, $as[$key], $key);
        }
    }

    /** @throws CautionException */
    public static function refuseWarm(Batch $batch, ?string $place): void
    {
        if ($batch->plan->isColdKept() && $place !== null && $place !== 'fridge') {
            throw new CautionException(
                'botulism',
                'This one is kept in the refrigerator, as cold as it goes, and nowhere else: it was made from wet herb for the kitchen.',
                'place',
            );
        }
    }
}
