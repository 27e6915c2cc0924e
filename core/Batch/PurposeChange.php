<?php

declare(strict_types=1);

namespace Kettle\Batch;

use Kettle\Caution\CautionException;
use Kettle\Material\Cupboard;
use Kettle\Reason\RefusedException;

/** Whether an oil made for the skin may be eaten after all: only where every part of it is known as food. */
final class PurposeChange
{
    /** @param  list<array{called: string, food: bool}>  $lots those it was made from */
    public static function toKitchen(FrozenPlan $plan, Cupboard $cupboard, array $lots): ?RefusedException
    {
        foreach ($plan->herbsInIt() as $herb) {
            if (! ($cupboard->herbOrNull($herb->id)->kitchen ?? false)) {
                return self::notFood($herb->name);
            }
            if ($herb->state->isWet()) {
                return new CautionException(
                    'botulism',
                    'It was made from wet herb and kept as for the skin. It stays for the skin: for the kitchen '.
                        'such an oil has four days in the cold.',
                    'purpose',
                );
            }
        }
        foreach ($plan->oils as $oil) {
            if (! ($cupboard->carrierOrNull($oil->id)->food->gradeExists ?? false)) {
                return self::notFood($oil->name);
            }
        }
        foreach ($lots as $lot) {
            if (! $lot['food']) {
                return self::notFood('the lot of '.$lot['called']);
            }
        }

        return count($lots) >= count($plan->herbsInIt()) + count($plan->oils)
            ? null
            : new CautionException(
                'not_food_grade',
                'Stores does not say which lots all of it was made from, so nobody knows that every part was food. It stays for the skin.',
                'purpose',
            );
    }

    private static function notFood(string $what): CautionException
    {
        return new CautionException(
            'not_food_grade',
            sprintf('It stays for the skin: %s is not known as food grade, and what went in cannot be taken out.', $what),
            'purpose',
        );
    }
}
