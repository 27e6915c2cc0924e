<?php

namespace App\Actions\Stores;

use App\Models\Lot;
use App\Models\LotCheck;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Kettle\Material\Tables;
use Kettle\Stores\LotCheck as CoreCheck;
use Kettle\Stores\LotException;

/** Writes down how a lot smells and looks, with the verdict, which stands until the next. */
final readonly class CheckLot
{
    public function __construct(private Tables $tables) {}

    /**
     * @param  array<mixed>  $answers
     *
     * @throws LotException
     */
    public function __invoke(Lot $lot, array $answers): Lot
    {
        $check = CoreCheck::of($lot->kind, $answers, $this->tables);
        DB::transaction(function () use ($lot, $check): void {
            LotCheck::query()->create([
                'lot_id' => $lot->id,
                'uid' => Str::ulid()->toString(),
                'verdict' => $check->verdict,
                'says' => $check->says($lot->kind),
                'answers' => array_column($check->answers, 'answer', 'ask'),
                'by' => StockLedger::who(),
                'happened_at' => Carbon::now(),
            ]);
            $lot->fill(['verdict' => $check->verdict, 'checked_at' => Carbon::now(), 'version' => $lot->version + 1])->save();
        });

        return $lot;
    }
}
