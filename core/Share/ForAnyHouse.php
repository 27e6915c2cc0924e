<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Cupboard;
use Kettle\Material\Lying;
use Kettle\Material\Own;
use Kettle\Measure\AmountReader;
use Kettle\Measure\Kind;
use Kettle\Reason\RefusedException;
use Kettle\Recipe\Change;
use Kettle\Recipe\Kitchen;
use Kettle\Recipe\WishReader;

/**
 * A wish for an oil as any house can read it: a plant or an oil of the house's own by its name, so that who reads it is
 * asked about it and it is never taken for another; amounts in its own spoons and packets in mL and g; hours and warmth of
 * its own schools.
 */
final readonly class ForAnyHouse
{
    public function __construct(private Kitchen $kitchen) {}

    /**
     * @param  array<mixed>  $wish
     * @return array<string, mixed>
     */
    public function of(array $wish): array
    {
        $wish = WishReader::tidy($wish);
        $cupboard = $this->kitchen->cupboard();
        $lists = [
            'herbs' => [Kind::Mass, fn (string $id): array => self::herb($cupboard, $id)],
            'oils' => [Kind::Volume, fn (string $id): array => self::named($cupboard->carrierOrNull($id)?->name)],
        ];
        $parts = [];
        foreach ($lists as $list => [$kind, $instead]) {
            $parts[$list] = [];
            foreach (is_array($wish[$list] ?? null) ? array_values($wish[$list]) : [] as $part) {
                $part = is_string($part) && Own::is($part) ? ['id' => $part] : $part;
                if (is_array($part)) {
                    $id = is_string($part['id'] ?? null) && Own::is($part['id']) ? $part['id'] : null;
                    $named = $id === null ? $part : array_diff_key([...$instead($id), ...$part], ['id' => 1]);
                    $part = $this->measured($named, ['amount' => $kind]);
                }
                $parts[$list][] = $part;
            }
        }
        $wish = [...$wish, ...$parts];
        $wish = $this->measured($wish, ['oil_amount' => Kind::Volume]);
        if (is_array($wish['finished'] ?? null)) {
            $wish['finished'] = $this->measured($wish['finished'], ['amount' => Kind::Volume, 'size' => Kind::Volume]);
        }
        $school = is_string($wish['school'] ?? null) ? $cupboard->schoolOrNull($wish['school']) : null;
        if ($school !== null) {
            unset($wish['school']);
            $wish += ['hours' => $school->hours] + ($school->warmth === '' ? [] : ['warmth' => $school->warmth]);
        }

        return $wish;
    }

    /** @return array<string, string> */
    private static function herb(Cupboard $cupboard, string $id): array
    {
        $herb = $cupboard->herbOrNull($id);

        return $herb === null ? [] : ['name' => $herb->name, 'form' => $herb->form];
    }

    /** @return array<string, string> */
    private static function named(?string $name): array
    {
        return $name === null ? [] : ['name' => $name];
    }

    /**
     * What can be read only with the measures of this house, as what it comes to.
     *
     * @template K of array-key
     *
     * @param  array<K, mixed>  $fields
     * @param  array<K, Kind>  $amounts
     * @return array<K, mixed>
     */
    private function measured(array $fields, array $amounts): array
    {
        foreach ($amounts as $field => $kind) {
            $typed = is_string($fields[$field] ?? null) ? $fields[$field] : '';
            [$bare, $lying] = Lying::in($typed);
            if ($typed !== '' && ! self::reads(new AmountReader($this->kitchen->custom), $bare)) {
                foreach ([$kind, $kind === Kind::Mass ? Kind::Volume : Kind::Mass] as $either) {
                    try {
                        $value = $this->kitchen->reader()->read($bare, $either, 'g')->value;
                        $unit = $either === Kind::Mass ? ' g' : ' mL';
                        $fields[$field] = Change::number($value).$unit.($lying === null ? '' : ', '.$lying->value);
                        break;
                    } catch (RefusedException) {
                        continue;
                    }
                }
            }
        }

        return $fields;
    }

    private static function reads(AmountReader $reader, string $typed): bool
    {
        foreach ([Kind::Mass, Kind::Volume] as $kind) {
            try {
                $reader->read($typed, $kind, $kind === Kind::Mass ? 'g' : 'mL');

                return true;
            } catch (RefusedException) {
                continue;
            }
        }

        return false;
    }
}
