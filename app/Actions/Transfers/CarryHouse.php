<?php

namespace App\Actions\Transfers;

use App\Actions\Houses\ImportHouse;
use App\Models\House;
use App\Models\Membership;
use App\Models\Tenancy\CurrentHouse;
use App\Models\Transfer;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;
use Kettle\Reason\RefusedException;

/**
 * Writes a house's zip, or takes one in: all of it or nothing, so that one that was cut off is begun again. A queue of its own,
 * for what others wait for takes no minutes.
 */
final class CarryHouse implements ShouldQueue
{
    use Queueable;

    public int $tries = 4;

    public int $timeout = 7200;

    /** Seconds before it is tried again. */
    public int $backoff = 5;

    public function __construct(private readonly int $transfer)
    {
        $this->onConnection('long');
        $this->onQueue('long');
    }

    public function handle(CurrentHouse $current, HouseZip $zip, HouseSchema $schema, ImportHouse $import): void
    {
        $transfer = Transfer::query()->withoutGlobalScope('house')->find($this->transfer);
        if ($transfer === null || $transfer->state !== Transfer::ASKED) {
            return;
        }
        $house = House::query()->findOrFail($transfer->house_id);
        $current->within(
            $house,
            fn () => $transfer->way === Transfer::OUT ? $this->out($transfer, $zip) : $this->in($transfer, $schema, $import, $current),
        );
    }

    /** Tried often enough, or cut off for good. */
    public function failed(?\Throwable $thrown): void
    {
        $transfer = Transfer::query()->withoutGlobalScope('house')->find($this->transfer);
        if ($transfer !== null && $transfer->state === Transfer::ASKED) {
            $transfer->update(['state' => Transfer::FAILED]);
            Progress::tell($transfer, 0.0, 'Something went wrong on our side. Nothing was changed; try again.', []);
        }
    }

    private function out(Transfer $transfer, HouseZip $zip): void
    {
        $progress = new Progress($transfer, $zip->lines(), $this->number());
        $zip->write($transfer->path(), $progress->step(...));
        $transfer->update(['state' => Transfer::DONE, 'size' => filesize($transfer->path()) ?: null]);
        Progress::tell($transfer, 1.0, '', []);
    }

    private function in(Transfer $transfer, HouseSchema $schema, ImportHouse $import, CurrentHouse $current): void
    {
        try {
            $source = ZipSource::open($transfer->path(), $schema);
            $progress = new Progress($transfer, $source->lines() + $source->batches(), $this->number());
            $step = $progress->step(...);
            $source->onRead($step);
            $choices = Choices::of($transfer->choices ?? []);
            [$says, $people] = DB::transaction(function () use ($transfer, $source, $choices, $import, $step, $current): array {
                // Another may have been at it, and this one have waited.
                if (Transfer::query()->whereKey($transfer->id)->lockForUpdate()->value('state') !== Transfer::ASKED) {
                    return ['', []];
                }
                $imported = $import->from($source, $choices, $step);
                $transfer->update(['state' => Transfer::DONE]);

                return [$imported->says, $choices->people ? self::missing($source, $current) : []];
            });
            $says === '' || Progress::tell($transfer, 1.0, $says, $people);
        } catch (RefusedException $refused) {
            $transfer->update(['state' => Transfer::FAILED]);
            Progress::tell($transfer, 0.0, $refused->sentence, []);
        }
        @unlink($transfer->path());
    }

    /** @return list<array{name: string, role: string}> who was of that house and is not of this */
    private static function missing(HouseSource $source, CurrentHouse $current): array
    {
        $here = Membership::query()
            ->where('house_id', $current->house()->id)
            ->with('user')
            ->get()
            ->map(fn (Membership $each) => mb_strtolower($each->user->email))
            ->all();

        return array_values(
            array_map(
                fn (array $each) => ['name' => $each['name'], 'role' => $each['role']],
                array_filter($source->head()['people'], fn (array $each) => ! in_array(mb_strtolower($each['email']), $here, true)),
            ),
        );
    }

    /** The queue's own; null where there is none, as in a test. */
    private function number(): ?string
    {
        $number = $this->job?->getJobId();

        return is_string($number) || is_int($number) ? ((string) $number ?: null) : null;
    }
}
