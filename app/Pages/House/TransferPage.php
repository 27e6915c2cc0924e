<?php

namespace App\Pages\House;

use App\Actions\Transfers\Progress;
use App\Actions\Transfers\Transfers;
use App\House\Times;
use App\Models\Transfer;
use App\Responses\House\Transfers as Both;
use App\Responses\House\TransferView;
use App\Responses\House\WhoWas;
use Illuminate\Support\Number;

/** How far a house on its way is. */
final readonly class TransferPage
{
    public function __construct(private Transfers $transfers, private Times $times) {}

    public function both(int $atOnce): Both
    {
        return new Both($this->on(Transfer::OUT), $this->on(Transfer::IN), $atOnce);
    }

    public function of(Transfer $transfer): TransferView
    {
        $told = Progress::of($transfer);
        $got = $this->transfers->got($transfer);

        return new TransferView(
            $transfer->uid,
            $transfer->way === Transfer::OUT ? 'out' : 'in',
            match ($transfer->state) {
                Transfer::FILLING => 'filling',
                Transfer::ASKED => 'asked',
                Transfer::DONE => 'done',
                default => 'failed',
            },
            match ($transfer->state) {
                Transfer::FILLING => (int) floor((100 * $got) / max(1, (int) $transfer->size)),
                Transfer::DONE => 100,
                default => (int) floor(100 * $told['share']),
            },
            $got,
            $transfer->size,
            $transfer->size === null ? '' : Number::fileSize($transfer->size, maxPrecision: 1),
            $told['says'],
            array_map(fn (array $each) => new WhoWas($each['name'], $each['role']), $told['people']),
            $this->times->logged($transfer->expires_at),
        );
    }

    private function on(string $way): ?TransferView
    {
        $there = $this->transfers->there($way);

        return $there === null ? null : $this->of($there);
    }
}
