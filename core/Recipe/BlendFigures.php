<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Material\Blend;
use Kettle\Reason\Figure;
use Kettle\Reason\Reason;
use Kettle\Reason\Said;

/** What a blend is as an oil: density, iodine value, how fast it takes up oxygen, where it sets. */
final class BlendFigures
{
    /** @return list<Figure> */
    public static function of(Blend $blend): array
    {
        $density = $blend->density(Planner::ROOM_C)->gramsPerMl;
        $figures = [
            Figure::exactly(
                'density',
                $density,
                'g/mL',
                Reason::rule($blend->isSingle() ? 'density' : 'blend-density', ['g_per_ml' => round($density, 3)]),
            ),
        ];
        $iodine = $blend->iodineValue();
        if ($iodine !== null) {
            $figures[] = Figure::exactly(
                'iodine_value',
                round($iodine, 1),
                'iodine',
                Reason::rule('iodine-value', [
                    'dries' => Said::of($iodine > 130 ? 'iodine.dries' : 'iodine.keeps-wet'),
                ]),
            );
        }
        $index = $blend->oxidisability();
        if ($index !== null) {
            $figures[] = Figure::exactly(
                'oxidisability',
                round($index, 2),
                'index',
                Reason::rule('oxidisability', [
                    'wax' => count(array_filter($blend->oils, fn (array $oil) => $oil['carrier']->oxidisability() === null)) > 0
                            ? Said::of('oxidisability.wax')
                            : '',
                ]),
            );
        }
        $sets = $blend->setsBelow();
        $figures[] = $blend->isSingle()
            ? Figure::exactly('sets_below', round($sets['value']), 'C', Reason::rule('sets-single'))
            : Figure::between(
                'sets_below',
                round($sets['low']),
                round($sets['value']),
                round($sets['high']),
                'C',
                Reason::rule('sets-blend'),
            );

        return $figures;
    }
}
