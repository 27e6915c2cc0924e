<?php

namespace App\Pages\Stores;

use App\Actions\Stores\SaveLot;
use App\House\KitchenFactory;
use App\Responses\Stores\ReadCell;
use App\Responses\Stores\ReadLot;
use App\Responses\Stores\ReadLots;
use Kettle\Recipe\Kitchen;
use Kettle\Recipe\Planning;
use Kettle\Share\LotLines;
use Kettle\Stores\LotReader;
use Kettle\Stores\LotsException;
use Kettle\Time\Dates;

/** Lots read from lines: what each was understood to say, and what is in the way of taking it in. */
final readonly class LotLinesPage
{
    private const DAYS = ['got_on', 'opened_on', 'best_before'];

    /** In the order they are told, with what stands before them. */
    private const NAMES = [
        'material' => '',
        'called' => '',
        'amount' => '',
        'state' => '',
        'form' => '',
        'got_how' => '',
        'got_where' => 'from',
        'got_on' => 'got',
        'opened_on' => 'opened',
        'best_before' => 'best before',
        'price' => '',
        'food_grade' => '',
        'note' => 'noted:',
    ];

    public function __construct(private Planning $planning, private KitchenFactory $kitchens, private SaveLot $save) {}

    public function read(string $lines): ReadLots
    {
        $kitchen = $this->kitchens->plain();
        $reader = $this->save->reader();
        $lots = array_map(
            fn (array $read) => new ReadLot(
                $read['line'],
                $read['lot'],
                $this->cells($read, $kitchen),
                $this->faults($read['lot'], $reader),
            ),
            (new LotLines($this->planning->cupboard(), $kitchen))->read($lines),
        );

        return new ReadLots($lots, count(array_filter($lots, fn (ReadLot $lot) => $lot->faults === [])));
    }

    /**
     * @param  array{line: string, lot: array<string, string>, parts: list<array{as: string, text: string, guess: bool}>}  $read
     * @return list<ReadCell>
     */
    private function cells(array $read, Kitchen $kitchen): array
    {
        $guessed = [];
        foreach ($read['parts'] as $part) {
            $guessed[$part['as']] = ($guessed[$part['as']] ?? false) || $part['guess'];
        }
        $lot = $read['lot'];
        $cells = [];
        foreach (self::NAMES as $field => $name) {
            $value = $lot[$field] ?? '';
            if ($value === '') {
                continue;
            }
            $text = match (true) {
                $field === 'material' => $this->named($lot['kind'] ?? '', $value),
                $field === 'form' => $this->planning->cupboard()->form($value)->name,
                $field === 'food_grade' => 'food grade',
                $field === 'price' => $kitchen->money((float) $value),
                in_array($field, self::DAYS, true) => Dates::say(new \DateTimeImmutable($value), 'day'),
                default => $value,
            };
            $cells[] = new ReadCell($field, trim("{$name} {$text}"), $guessed[$field] ?? false);
        }

        return $cells;
    }

    private function named(string $kind, string $id): string
    {
        $words = $this->kitchens->words();

        return match ($kind) {
            'herb', 'wax' => $words->thing([$kind => $id]),
            'carrier' => $words->thing(['oil' => $id]),
            'scent' => $words->thing(['scent' => $id]).' essential oil',
            'addition' => $words->thing(['addition' => $id]),
            'jar', 'bottle' => $id,
            default => "tins of {$id}",
        };
    }

    /**
     * @param  array<string, string>  $lot
     * @return list<string>
     */
    private function faults(array $lot, LotReader $reader): array
    {
        if (($lot['amount'] ?? '') === '') {
            return ['How much it is was not said.'];
        }
        try {
            $reader->read($lot);
        } catch (LotsException $refused) {
            return array_column($refused->faults, 'sentence');
        }

        return [];
    }
}
