<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Lying;
use Kettle\Material\Own;
use Kettle\Measure\AmountReader;
use Kettle\Measure\Kind;
use Kettle\Reason\RefusedException;
use Kettle\Recipe\Change;
use Kettle\Recipe\Kitchen;
use Kettle\Recipe\WishReader;

/**
 * A wish for an oil or a product as any house can read it: a plant, an oil, a wax of the house's own by its name, so that
 * who reads it is asked about it and it is never taken for another; amounts in its own spoons and packets in mL and g;
 * hours and warmth of its own schools.
 */
final readonly class ForAnyHouse
{
    /** The lists of a product's parts, and what a number of each is. */
    private const PARTS = [
        'oils' => Kind::Volume,
        'waxes' => Kind::Mass,
        'butters' => Kind::Mass,
        'others' => Kind::Mass,
        'essential_oils' => Kind::Mass,
    ];

    public function __construct(private Kitchen $kitchen) {}

    /**
     * @param  array<mixed>  $wish of an oil, or of a product
     * @return array<mixed>
     */
    public function of(array $wish): array
    {
        return RecipeFile::isProduct($wish) ? $this->product($wish) : $this->oil($wish);
    }

    /**
     * @param  array<mixed>  $wish
     * @return array<mixed>
     */
    private function product(array $wish): array
    {
        foreach (self::PARTS as $list => $kind) {
            if (is_array($wish[$list] ?? null)) {
                $wish[$list] = array_map(
                    fn (mixed $part) => is_array($part) ? $this->part($part, $kind) : (is_string($part) ? $this->called($part) : $part),
                    $wish[$list],
                );
            }
        }
        if (is_array($wish['water'] ?? null)) {
            $wish['water'] = $this->measured($wish['water'], ['amount' => Kind::Mass]);
        }
        if (is_array($wish['leaf'] ?? null)) {
            $wish['leaf'] = $this->measured($this->herb($wish['leaf']), ['amount' => Kind::Mass]);
        }

        return $this->measured($wish, ['total' => Kind::Mass]);
    }

    /**
     * @param  array<mixed>  $part
     * @return array<mixed>
     */
    private function part(array $part, Kind $kind): array
    {
        if (is_string($part['id'] ?? null)) {
            $part['id'] = $this->called($part['id']);
        }
        if (is_array($part['infuse'] ?? null)) {
            $part['infuse'] = $this->oil($part['infuse']);
        }

        return $this->measured($part, ['amount' => $kind]);
    }

    /** The name of an oil, wax or essential oil of this house's own; of any other its id as it is. */
    private function called(string $id): string
    {
        $cupboard = $this->kitchen->cupboard();
        $own = Own::is($id) ? $cupboard->carrierOrNull($id) ?? ($cupboard->waxOrNull($id) ?? $cupboard->scentOrNull($id)) : null;

        return $own->name ?? $id;
    }

    /**
     * @param  array<mixed>  $wish
     * @return array<string, mixed>
     */
    private function oil(array $wish): array
    {
        $wish = WishReader::tidy($wish);
        $cupboard = $this->kitchen->cupboard();
        $lists = ['herbs' => [Kind::Mass, $this->herb(...)], 'oils' => [Kind::Volume, $this->carrier(...)]];
        $parts = [];
        foreach ($lists as $list => [$kind, $named]) {
            $parts[$list] = [];
            foreach (is_array($wish[$list] ?? null) ? array_values($wish[$list]) : [] as $part) {
                $part = is_string($part) && Own::is($part) ? ['id' => $part] : $part;
                $parts[$list][] = is_array($part) ? $this->measured($named($part), ['amount' => $kind]) : $part;
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

    /**
     * @param  array<mixed>  $part
     * @return array<mixed> by its name and form, where it is a plant of this house's own
     */
    private function herb(array $part): array
    {
        $herb = self::own($part, $this->kitchen->cupboard()->herbOrNull(...));

        return $herb === null ? $part : array_diff_key(['name' => $herb->name, 'form' => $herb->form, ...$part], ['id' => 1]);
    }

    /**
     * @param  array<mixed>  $part
     * @return array<mixed> by its name, where it is an oil of this house's own
     */
    private function carrier(array $part): array
    {
        $carrier = self::own($part, $this->kitchen->cupboard()->carrierOrNull(...));

        return $carrier === null ? $part : array_diff_key(['name' => $carrier->name, ...$part], ['id' => 1]);
    }

    /**
     * @template T of object
     *
     * @param  array<mixed>  $part
     * @param  \Closure(string): ?T  $find
     * @return ?T
     */
    private static function own(array $part, \Closure $find): ?object
    {
        return is_string($part['id'] ?? null) && Own::is($part['id']) ? $find($part['id']) : null;
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
