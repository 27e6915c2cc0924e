<?php

declare(strict_types=1);

namespace Kettle\Caution;

use Kettle\Material\Cupboard;
use Kettle\Reason\Refused;

/** Whether an oil made for the skin may be eaten after all: only where every part of it is known as food. */
final class Switching
{
    /**
     * @param  array<mixed>  $plan as a batch keeps it (docs/formats/plan.schema.json)
     * @param  list<array{called: string, food: bool}>  $lots those it was made from
     */
    public static function toKitchen(array $plan, Cupboard $cupboard, array $lots): ?Refused
    {
        $parts = fn (string $key): array => array_values(array_filter(is_array($plan[$key] ?? null) ? $plan[$key] : [], 'is_array'));
        $herbs = $parts('herbs') !== [] ? $parts('herbs') : array_filter([$plan['herb'] ?? null], 'is_array');
        $id = fn (array $part): string => is_string($part['id'] ?? null) ? $part['id'] : '';
        foreach ($herbs as $herb) {
            if (! ($cupboard->herbs()[$id($herb)]->kitchen ?? false)) {
                return self::notFood(is_string($herb['name'] ?? null) ? $herb['name'] : 'its herb');
            }
            if (($herb['state'] ?? 'dried') !== 'dried') {
                return new CautionRefused('botulism', 'It was made from wet herb and kept as for the skin. It stays for the skin: for the kitchen such an oil has four days in the cold.', 'purpose');
            }
        }
        foreach ($parts('oils') as $oil) {
            if (! ($cupboard->carriers()[$id($oil)]->foodGradeExists ?? false)) {
                return self::notFood(is_string($oil['name'] ?? null) ? $oil['name'] : 'its oil');
            }
        }
        foreach ($lots as $lot) {
            if (! $lot['food']) {
                return self::notFood('the lot of '.$lot['called']);
            }
        }

        return count($lots) >= count($herbs) + count($parts('oils')) ? null
            : new CautionRefused('not_food_grade', 'Stores does not say which lots all of it was made from, so nobody knows that every part was food. It stays for the skin.', 'purpose');
    }

    private static function notFood(string $what): CautionRefused
    {
        return new CautionRefused('not_food_grade', sprintf('It stays for the skin: %s is not known as food grade, and what went in cannot be taken out.', $what), 'purpose');
    }
}
