<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Infusion\Method;
use Kettle\Infusion\MethodException;
use Kettle\Infusion\OwnHours;
use Kettle\Infusion\Variant;
use Kettle\Material\OwnException;
use Kettle\Material\OwnSchool;
use Kettle\Material\OwnThing;
use Kettle\Measure\Kind;
use Kettle\Reason\RefusedException;

/** Schools that a house keeps under names of its own: held to the same bounds as hours that are set for once. */
final class OwnSchools
{
    /**
     * @throws RefusedException about `method`, `hours` or `warmth`
     */
    public static function variant(OwnSchool $own, Kitchen $kitchen): Variant
    {
        $method = RefusedException::at('method', fn () => $kitchen->methods()->method($own->method));
        $reader = $kitchen->reader();
        // On the shelf a bare number may be days or weeks; a bare warmth is another one where the house reads °F.
        if (! $method->heated && preg_match('/\pL/u', $own->hours) !== 1) {
            throw MethodException::hoursBare($own->hours)->about('hours');
        }
        if ($own->warmth !== '' && preg_match('/\pL/u', $own->warmth) !== 1) {
            throw MethodException::warmthBare($own->warmth)->about('warmth');
        }
        $hours = RefusedException::at('hours', fn () => $reader->read($own->hours, Kind::Time, 'h'));
        $warmth =
            $own->warmth === ''
                ? null
                : RefusedException::at('warmth', fn () => $reader->read($own->warmth, Kind::Temperature, '°C')->value);

        return OwnHours::of($method, $method->variants[0], $hours, $warmth, $own->id, $own->name);
    }

    /**
     * A thing of a house's own that was read, where it is a school.
     *
     * @throws OwnException when it is not one that is safe
     */
    public static function check(OwnThing $thing, Kitchen $kitchen): void
    {
        if ($thing->thing instanceof OwnSchool) {
            try {
                self::variant($thing->thing, $kitchen);
            } catch (RefusedException $refused) {
                throw OwnException::of([$refused->toArray()]);
            }
        }
    }

    /** @return list<Variant> those that the house offers for a method; one that its method no longer allows is none */
    public static function of(Method $method, Kitchen $kitchen): array
    {
        $variants = [];
        foreach ($kitchen->cupboard()->schools() as $own) {
            if ($own->method === $method->id) {
                try {
                    $variants[] = self::variant($own, $kitchen);
                } catch (RefusedException) {
                    continue;
                }
            }
        }

        return $variants;
    }
}
