<?php

namespace App\Actions\Transfers;

use App\Actions\Houses\TransferException;
use App\Models\Transfer;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Begins, fills and ends the carrying of a whole house; of each way there is one at a time. */
final readonly class Transfers
{
    /** It is there to be fetched, or filled, for so long. */
    private const HOURS = 24;

    /** Worked on for longer without a sign of its end it may be begun anew, hours. */
    private const STUCK_H = 3;

    public function __construct(private Filesystem $files) {}

    /** Has the house written down; one that is at work already is gone on with. */
    public function out(): Transfer
    {
        $there = $this->atWorkOn(Transfer::OUT);
        if ($there !== null) {
            return $there;
        }
        $transfer = $this->begin(Transfer::OUT, Transfer::ASKED, null);
        dispatch(new CarryHouse($transfer->id))->afterCommit();

        return $transfer;
    }

    /**
     * @param  int  $size bytes that will be sent
     *
     * @throws TransferException
     */
    public function in(int $size): Transfer
    {
        $most = config()->integer('kettle.transfer_mb');
        if ($size > $most * 1_000_000) {
            throw TransferException::tooMuch($most);
        }
        $this->atWorkOn(Transfer::IN) === null || throw TransferException::busy();

        return $this->begin(Transfer::IN, Transfer::FILLING, $size);
    }

    /**
     * Puts bytes where they belong; what was sent before, and its answer lost, is put there again.
     *
     * @throws TransferException where some are missing before them, or they are more than was said
     */
    public function fill(Transfer $transfer, int $from, string $bytes): void
    {
        if ($transfer->state !== Transfer::FILLING) {
            throw TransferException::busy();
        }
        $file = fopen($transfer->path(), 'c+b') ?: throw new \RuntimeException('A file cannot be written.');
        try {
            flock($file, LOCK_EX);
            $got = fstat($file)['size'] ?? 0;
            if ($from > $got || $from + strlen($bytes) > (int) $transfer->size) {
                throw TransferException::gap($got);
            }
            fseek($file, $from);
            fwrite($file, $bytes) === strlen($bytes) || throw new \RuntimeException('No space left on device');
        } finally {
            fclose($file);
        }
    }

    /** @throws TransferException where not all of it is here */
    public function take(Transfer $transfer, Choices $choices): void
    {
        $transfer = Transfer::query()->whereKey($transfer->id)->lockForUpdate()->firstOrFail();
        if ($transfer->state !== Transfer::FILLING) {
            throw TransferException::busy();
        }
        $got = $this->got($transfer);
        if ($got !== $transfer->size) {
            throw TransferException::notWhole($got, (int) $transfer->size);
        }
        $transfer->update(['state' => Transfer::ASKED, 'choices' => (array) $choices]);
        dispatch(new CarryHouse($transfer->id))->afterCommit();
    }

    /** @throws TransferException while it is at work */
    public function drop(Transfer $transfer): void
    {
        if ($this->atWork($transfer)) {
            throw TransferException::busy();
        }
        $this->away($transfer);
    }

    public function got(Transfer $transfer): int
    {
        clearstatcache(true, $transfer->path());

        return $this->files->exists($transfer->path()) ? $this->files->size($transfer->path()) : 0;
    }

    public function there(string $way): ?Transfer
    {
        return Transfer::query()->where('way', $way)->where('expires_at', '>', Carbon::now())->first();
    }

    /** Those that had their day, of whichever house, and files that nothing knows of. */
    public static function sweep(Filesystem $files): void
    {
        Transfer::query()->withoutGlobalScope('house')->where('expires_at', '<', Carbon::now())->delete();
        $known = Transfer::query()->withoutGlobalScope('house')->pluck('uid')->flip();
        foreach (glob(Transfer::folder().'/*') ?: [] as $path) {
            $known->has(Str::before(basename($path), '.')) || (is_dir($path) ? $files->deleteDirectory($path) : $files->delete($path));
        }
    }

    private function begin(string $way, string $state, ?int $size): Transfer
    {
        $before = Transfer::query()->where('way', $way)->lockForUpdate()->first();
        $before === null || $this->away($before);
        $this->files->ensureDirectoryExists(Transfer::folder(), 0o700);

        return Transfer::query()->create([
            'uid' => Str::ulid()->toString(),
            'way' => $way,
            'state' => $state,
            'size' => $size,
            'expires_at' => Carbon::now()->addHours(self::HOURS),
        ]);
    }

    private function away(Transfer $transfer): void
    {
        $transfer->delete();
        DB::afterCommit(function () use ($transfer): void {
            $this->files->delete($transfer->path());
            Progress::forget($transfer);
        });
    }

    private function atWorkOn(string $way): ?Transfer
    {
        $there = $this->there($way);

        return $there !== null && $this->atWork($there) ? $there : null;
    }

    private function atWork(Transfer $transfer): bool
    {
        return $transfer->state === Transfer::ASKED && $transfer->updated_at->isAfter(Carbon::now()->subHours(self::STUCK_H));
    }
}
