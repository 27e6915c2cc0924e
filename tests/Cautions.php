<?php

use Kettle\Caution\Caution;
use Kettle\Caution\Cautions;
use Kettle\Caution\Facts;
use Kettle\Infusion\Methods;
use Kettle\Material\Blend;
use Kettle\Material\Cupboard;
use Kettle\Material\State;
use Kettle\Material\Tables;
use Kettle\Reason\Said;

/**
 * Facts from a line such as "comfrey-leaf:fresh olive,jojoba by:slow-cooker for:kitchen way:squeezed kept:fridge
 * spirit slow oil-spent warm-too-long
 * lots:food,skin,gathered,sesame,part wax"; herbs with "+" between, an unlisted one as "?name".
 */
function cautionFacts(string $line): Facts
{
    $cupboard = new Cupboard(Tables::shipped());
    $words = explode(' ', $line);
    $said = ['by' => 'cold', 'for' => 'skin', 'way' => '', 'kept' => 'shelf', 'lots' => ''];
    $flags = [];
    foreach (array_slice($words, 2) as $word) {
        [$key, $value] = [...explode(':', $word, 2), null];
        $value === null ? ($flags[$key] = true) : ($said[$key] = $value);
    }
    $herbs = array_map(function (string $herb) use ($cupboard): array {
        [$id, $state] = [...explode(':', $herb), 'dried'];

        return [
            'plant' => $id[0] === '?' ? Kettle\Material\Herb::unlisted(substr($id, 1), 'thin-leaf') : $cupboard->herb($id),
            'state' => State::from($state),
        ];
    }, explode('+', $words[0]));
    $blend = Blend::of(array_map(fn (string $id) => ['carrier' => $cupboard->carrier($id), 'parts' => 1.0], explode(',', $words[1])));
    $wet = array_filter($herbs, fn (array $herb) => $herb['state']->isWet()) !== [];
    $lots = array_filter(explode(',', $said['lots']), fn (string $lot) => ! in_array($lot, ['', 'part'], true));

    $method = Methods::of(Tables::shipped())->method($said['by']);

    return Facts::of(
        $said['for'],
        $said['kept'],
        $herbs,
        $blend->shares(),
        $blend->iodineValue(),
        $method,
        $said['way'] ?: ($wet ? 'drained' : 'squeezed'),
        isset($flags['spirit']),
        isset($flags['slow']) ? Said::asItStood('it takes too long') : null,
        array_values(
            array_map(
                fn (string $lot) => [
                    'called' => 'the '.$lot,
                    'food' => $lot !== 'skin',
                    'how' => $lot === 'gathered' ? 'gathered' : '',
                    'allergens' => in_array($lot, ['food', 'skin', 'gathered'], true) ? [] : [$lot],
                ],
                $lots,
            ),
        ),
        ! str_contains($said['lots'], 'part'),
        ['ceiling' => $method->variants[0]->ceilingC === null ? null : '60 °C', 'spent' => 'Olive oil'],
    )->and(array_intersect_key($flags, ['wax' => 1, 'essential-oils' => 1, 'oil-spent' => 1, 'warm-too-long' => 1]));
}

/** The ids that hold at a place, in their order: "botulism dry". */
function cautionsAt(string $line, string $place): string
{
    $holding = Cautions::of(Tables::shipped())->holding(cautionFacts($line), $place);

    return implode(' ', array_map(fn (Caution $rule) => $rule->id, $holding));
}
