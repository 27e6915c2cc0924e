<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Material\Blend;
use Kettle\Material\Carrier;
use Kettle\Material\Cupboard;
use Kettle\Material\MaterialException;
use Kettle\Measure\Amount;
use Kettle\Measure\Density;
use Kettle\Measure\Kind;
use Kettle\Reason\RefusedException;
use Kettle\Stores\LotException;
use Kettle\Stores\LotKind;

/**
 * Reads the oils of a wish. Amounts given for every oil are its parts by volume, and come to the oil there is; an amount
 * given for one sets the others by their parts.
 */
final readonly class OilsReader
{
    /** Kitchen bounds of one oil in a blend, mL. */
    private const BOUNDS = [0.05, 20_000.0];

    public function __construct(private Cupboard $cupboard, private Kitchen $kitchen) {}

    /**
     * @param  array<mixed>  $wish
     * @return list<mixed>
     */
    public static function list(array $wish): array
    {
        return is_array($wish['oils'] ?? null) ? array_values($wish['oils']) : [];
    }

    /**
     * @param  array<mixed>  $wish
     * @return array{blend: Blend, total: ?Amount} the total in mL, where amounts give one
     *
     * @throws MaterialException
     */
    public function read(array $wish): array
    {
        $parts = $amounts = [];
        foreach (self::list($wish) as $i => $oil) {
            $oil = is_array($oil) ? $oil : ['id' => $oil];
            $carrier = $this->carrier($oil, $i);
            $typed = Fields::text($oil, 'parts') ?? '1';
            $parts[] = ['carrier' => $carrier, 'parts' => $this->kitchen->reader()->number($typed)];
            $amount = $this->amount($oil, $carrier, $i);
            $amounts += $amount === null ? [] : [$i => $amount];
        }
        if (count($amounts) > 1 && count($amounts) < count($parts)) {
            throw MaterialException::someMeasured();
        }
        if (count($amounts) === count($parts)) {
            $parts = array_map(fn (array $part, Amount $amount) => ['parts' => $amount->value] + $part, $parts, $amounts);
        }
        $blend = Blend::of($parts);

        return ['blend' => $blend, 'total' => self::total($blend, $amounts)];
    }

    /** @param  array<int, Amount>  $amounts of the oils of a blend, by their places: of none, of one, or of all */
    private static function total(Blend $blend, array $amounts): ?Amount
    {
        if ($amounts === []) {
            return null;
        }
        $first = array_key_first($amounts);
        if (count($blend->oils) === 1) {
            return $amounts[$first];
        }
        $typed = implode(' and ', array_map(fn (Amount $each) => Numbers::withUnit($each->typed, 'mL'), $amounts));
        $total =
            count($amounts) === 1
                ? $amounts[$first]->value / $blend->shares()[$first]['share']
                : array_sum(array_map(fn (Amount $each) => $each->value, $amounts));
        if ($total > self::BOUNDS[1]) {
            throw new MaterialException('too_much', 'All the oils together are more than a kitchen handles at once: the most is 20 L.');
        }

        return Amount::together(Kind::Volume, $total, $total, $total, $typed);
    }

    /** @param  array<mixed>  $oil */
    private function amount(array $oil, Carrier $carrier, int $i): ?Amount
    {
        $typed = Fields::text($oil, 'amount');
        if ($typed === null) {
            return null;
        }
        $density = Density::ofOilAt($carrier->at20->gramsPerMl, Planner::ROOM_C);

        return RefusedException::at(
            "oils.{$i}.amount",
            fn () => $this->kitchen->reader()->within($typed, Kind::Volume, 'mL', ...[...self::BOUNDS, $density]),
        );
    }

    /**
     * An oil by its id, or by a name that the tables know; never one for another.
     *
     * @param  array<mixed>  $oil
     */
    private function carrier(array $oil, int $i): Carrier
    {
        $id = Fields::text($oil, 'id');
        if ($id !== null) {
            return $this->cupboard->carrier($id);
        }
        $name = Fields::text($oil, 'name') ?? throw MaterialException::noOil();

        return $this->cupboard->carrierNamed($name) ?? throw MaterialException::oilUnknown($name)->about("oils.{$i}");
    }

    /**
     * @param  array<mixed>  $wish
     * @return array<string, string> lot by carrier
     *
     * @throws LotException where one is not there, or is of another oil
     */
    public function lots(array $wish): array
    {
        $lots = [];
        foreach (self::list($wish) as $i => $oil) {
            $id = is_array($oil) ? Fields::text($oil, 'lot') : null;
            if ($id === null) {
                continue;
            }
            $carrier = $this->carrier($oil, $i);
            $lot = $this->kitchen->lot($id) ?? throw LotException::noSuch($id)->about("oils.{$i}.lot");
            if ($lot->kind !== LotKind::Carrier || $lot->material !== $carrier->id) {
                throw LotException::ofAnother($lot->called, $carrier->name)->about("oils.{$i}.lot");
            }
            $lots[$carrier->id] = $id;
        }

        return $lots;
    }
}
