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
 * lots:food,skin,gathered,sesame,part wax heed:nuts,child made brim unstrained"; herbs with "+" between, an unlisted one as "?name",
 * one of the house's own as "!name", or "!!name" where nobody has said what it may do; an own oil of which little is
 * known as "!name" too.
 */
function cautionFacts(string $line): Facts
{
    $cupboard = new Cupboard(Tables::shipped());
    $words = explode(' ', $line);
    $said = ['by' => 'cold', 'for' => 'skin', 'way' => '', 'kept' => 'shelf', 'lots' => '', 'heed' => ''];
    $flags = [];
    foreach (array_slice($words, 2) as $word) {
        [$key, $value] = [...explode(':', $word, 2), null];
        $value === null ? ($flags[$key] = true) : ($said[$key] = $value);
    }
    $herbs = array_map(function (string $herb) use ($cupboard): array {
        [$id, $state] = [...explode(':', $herb), 'dried'];

        return [
            'plant' => match ($id[0]) {
                '?' => Kettle\Material\Herb::unlisted(substr($id, 1), 'thin-leaf'),
                '!' => ownCautioned(
                    ['kind' => 'plant', 'form' => 'thin-leaf', 'name' => ltrim($id, '!')] +
                        (str_starts_with($id, '!!') ? [] : ['concerns' => []]),
                ),
                default => $cupboard->herb($id),
            },
            'state' => State::from($state),
        ];
    }, explode('+', $words[0]));
    $blend = Blend::of(
        array_map(
            fn (string $id) => [
                'carrier' => $id[0] === '!' ? ownCautioned(['kind' => 'oil', 'name' => ltrim($id, '!')]) : $cupboard->carrier($id),
                'parts' => 1.0,
            ],
            explode(',', $words[1]),
        ),
    );
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
        array_map($cupboard->heed(...), array_values(array_filter(explode(',', $said['heed'])))),
    )->and(
        array_intersect_key($flags, [
            'wax' => 1,
            'essential-oils' => 1,
            'oil-spent' => 1,
            'warm-too-long' => 1,
            'made' => 1,
            'brim' => 1,
            'unstrained' => 1,
        ]),
    );
}

/** @param  array<string, mixed>  $document */
function ownCautioned(array $document): mixed
{
    return (new Kettle\Material\OwnReader(new Cupboard(Tables::shipped())))->read($document)->thing;
}

/** The ids that hold at a place, in their order: "botulism dry". */
function cautionsAt(string $line, string $place): string
{
    $holding = Cautions::of(Tables::shipped())->holding(cautionFacts($line), $place);

    return implode(' ', array_map(fn (Caution $rule) => $rule->id, $holding));
}

/**
 * Worked cases of the Melt: what is asked, and the ids of every caution, in their order. Written out by hand.
 *
 * @return array<string, array{array<string, mixed>, string}>
 */
function meltedCautions(): array
{
    $scent = fn (string ...$ids): array => ['essential_oils' => array_map(fn (string $id) => ['id' => $id, 'percent' => 0.05], $ids)];
    $wax = 'allergens wax-fire hot-wax';
    $bottle = fn (array $more): array => [
        'oils' => [['batch' => 'b']],
        'total' => '100 g',
        'batches' => [['id' => 'b', 'oils' => ['olive'], ...$more]],
    ];

    return [
        'a salve' => [[], "{$wax} skin-only"],
        'candelilla' => [['waxes' => ['candelilla']], 'wax-fire hot-wax skin-only'],
        'an oil' => [['product' => 'body-oil', 'oils' => ['olive']], 'skin-only'],
        'a nut oil' => [['product' => 'body-oil'], 'allergens skin-only'],
        'lavender' => [$scent('lavender'), "{$wax} essential-oils skin-only"],
        'peppermint' => [$scent('peppermint'), "{$wax} essential-oils scent-vapour skin-only"],
        'peppermint for a child' => [$scent('peppermint') + ['for' => 'child'], "scent-child {$wax} essential-oils skin-only"],
        'lavender for a newborn' => [
            $scent('lavender') + ['for' => 'newborn'],
            "scents-over scent-newborn {$wax} essential-oils skin-only",
        ],
        'sage while expecting' => [$scent('sage') + ['for' => 'pregnancy'], "scent-pregnancy {$wax} essential-oils skin-only"],
        'sage' => [$scent('sage'), "{$wax} essential-oils scent-expecting skin-only"],
        'tea tree for an animal' => [$scent('tea-tree') + ['for' => 'pets'], "scent-pets {$wax} essential-oils skin-only"],
        'tea tree' => [$scent('tea-tree'), "{$wax} essential-oils skin-only scent-pets-note"],
        'lavender and asthma' => [$scent('lavender') + ['for' => 'asthma'], "{$wax} essential-oils scent-asthma skin-only"],
        'bergamot' => [$scent('bergamot'), "{$wax} essential-oils skin-only scent-sun"],
        'oregano' => [$scent('oregano'), "{$wax} essential-oils scent-expecting scent-irritant skin-only"],
        'wintergreen' => [$scent('wintergreen'), "{$wax} essential-oils scent-expecting scent-salicylate skin-only"],
        'camphor' => [$scent('camphor'), "{$wax} essential-oils scent-vapour scent-expecting never-eaten skin-only scent-pets-note"],
        'for the bath' => [['product' => 'bath-oil'], 'rags slippery skin-only'],
        'for the sun' => [['product' => 'sun-ointment'], "{$wax} skin-only stir-before-use"],
        'whipped' => [['product' => 'whipped-butter'], 'wax-fire hot-wax grains skin-only'],
        'no wax' => [['product' => 'waxless-balm'], 'wax-fire hot-wax skin-only soft-in-summer'],
        'a scrub' => [['product' => 'scrub', 'oils' => ['olive']], 'slippery wet-fingers skin-only'],
        'spent herb' => [
            ['product' => 'scrub', 'oils' => ['olive'], 'others' => [['id' => 'spent-herb', 'share' => 0.6]]],
            'slippery wet-fingers spent-herb skin-only',
        ],
        'a cream' => [['product' => 'cream'], 'water-in-it skin-only'],
        'a cream with a decoction' => [['product' => 'cream', 'water' => 'decoction'], 'water-in-it decoction-in-it skin-only'],
        'a cream with an extract' => [
            ['product' => 'cream', 'others' => [['id' => 'glycerin-extract', 'share' => 0.05]]],
            'water-in-it extract-in-it skin-only',
        ],
        'a cold bottle' => [$bottle(['cold_only' => true]), "{$wax} cold-only skin-only"],
        'arnica' => [$bottle(['herbs' => ['arnica']]), "unbroken-skin daisy-family {$wax} skin-only"],
        'fresh leaf stirred in' => [
            ['product' => 'ointment', 'leaf' => ['id' => 'plantain-leaf', 'amount' => '10 g']],
            "{$wax} leaf-in-it skin-only",
        ],
        'fresh arnica stirred in' => [
            ['product' => 'ointment', 'leaf' => ['id' => 'arnica', 'amount' => '10 g']],
            "unbroken-skin daisy-family {$wax} leaf-in-it skin-only",
        ],
        'a dressing' => [['product' => 'dressing'], ''],
        'a nut dressing' => [['product' => 'dressing', 'oils' => ['walnut']], 'allergens rags'],
    ];
}
