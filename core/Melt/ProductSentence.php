<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Material\Heed;
use Kettle\Reason\Said;

/** A product as one sentence, in pieces: a piece with a slot can be changed in place. */
final class ProductSentence
{
    private const SHARES = ['half' => 1 / 2, 'third' => 1 / 3, 'quarter' => 1 / 4, 'fifth' => 1 / 5, 'tenth' => 1 / 10];

    /**
     * @param  ?Composition  $pot null where it cannot be made
     * @return list<array{slot: ?string, text: Said, chosen: bool}>
     */
    public static function of(ProductWish $wish, ?Composition $pot, MeltTable $table): array
    {
        $chosen = fn (string ...$slots) => array_intersect($slots, $wish->chosen) !== [];
        $product = $wish->product;
        $pieces = [...self::howMuch($wish, $chosen('tins', 'total'), $chosen('product'))];
        if ($wish->waxes !== []) {
            $pieces[] = self::plain('comma');
            $pieces[] = self::piece('firmness', self::firmness($wish, $pot, $table), $chosen('firmness'));
            $pieces[] = self::plain('at');
            $pieces[] = self::piece('bears_c', self::bears($wish->bearsC), $chosen('bears_c'));
        }
        $pieces[] = self::plain('from');
        $pieces[] = self::piece('oils', self::oils($wish), $chosen('oils'));
        $with = [
            ...$wish->waxes === [] ? [] : [self::piece('waxes', self::all($wish->waxes), $chosen('waxes'))],
            ...$wish->butters === [] ? [] : [self::piece('butters', self::all($wish->butters), $chosen('butters'))],
            ...$wish->others === [] ? [] : [self::piece('others', self::all($wish->others), $chosen('others', 'water'))],
            ...$wish->scents === [] ? [] : [self::piece('essential_oils', self::all($wish->scents), true)],
            ...$wish->leaf === null
                ? []
                : [self::piece('leaf', Said::of('melt.leaf', ['typed' => $wish->leaf->typed(), 'leaf' => $wish->leaf->said()]), true)],
        ];
        foreach ($with as $i => $piece) {
            $pieces[] = self::plain($i === 0 ? 'with' : ($i === count($with) - 1 ? 'and' : 'comma'));
            $pieces[] = $piece;
        }
        $pieces = [...$pieces, ...self::forWhom($wish)];
        if ($wish->readyBy !== null) {
            $pieces[] = self::plain('wanted');
            $pieces[] = self::piece('ready_by', Said::just(['day_of_year' => $wish->readyBy->format('Y-m-d')]), true);
        }
        $pieces[] = self::plain('stop');

        return array_values(array_filter($pieces, fn (array $piece) => $piece['text']->code !== 'sentence.nothing'));
    }

    /** Where it is kept, as one says it; the degrees where no such place is meant. */
    private static function bears(float $celsius): Said
    {
        return match ($celsius) {
            20.0 => Said::of('melt.in-cool'),
            25.0 => Said::of('melt.in-warm'),
            30.0 => Said::of('melt.in-pocket'),
            35.0 => Said::of('melt.in-heat'),
            default => Said::of('melt.bears', ['warmth' => ['C' => $celsius]]),
        };
    }

    /** @return list<array{slot: ?string, text: Said, chosen: bool}> */
    private static function howMuch(ProductWish $wish, bool $amount, bool $product): array
    {
        $product = self::piece('product', Said::just($wish->product->name), $product);
        if ($wish->totalG !== null || $wish->totalMl !== null) {
            return [
                self::piece('total', Said::just($wish->totalG !== null ? ['g' => $wish->totalG] : ['mL' => $wish->totalMl]), true),
                self::plain('of'),
                $product,
            ];
        }
        if (! $wish->tinsSayHowMuch()) {
            return [
                self::piece('product', Said::of('sentence.first', ['it' => $wish->product->name]), $product['chosen']),
                self::plain('in'),
                self::piece('tins', Said::just(['all' => self::tins($wish)]), $amount),
            ];
        }

        return [
            self::piece('tins', Said::of('sentence.first', ['it' => ['all' => self::tins($wish)]]), $amount),
            self::plain('of'),
            $product,
        ];
    }

    /** @return list<Said> */
    private static function tins(ProductWish $wish): array
    {
        return array_map(
            fn (Tin $tin) => Said::of($tin->count === null ? 'melt.some-tins' : 'melt.tins', [
                'count' => ['count' => $tin->count ?? 0],
                'number' => $tin->count ?? 0,
                'ml' => ['mL' => $tin->ml],
                'vessel' => Said::of('melt.vessel-'.$wish->product->vessel, ['number' => $tin->count ?? 2]),
            ]),
            $wish->tins,
        );
    }

    private static function firmness(ProductWish $wish, ?Composition $pot, MeltTable $table): Said
    {
        $band =
            $wish->word !== null
                ? $table->firmness()->named($wish->word)
                : $table->firmness()->band($pot->firmness ?? ($wish->firmness ?? 0.0));

        return Said::of('melt.firm-'.$band['id']);
    }

    private static function oils(ProductWish $wish): Said
    {
        if ($wish->oilsByAmount()) {
            return Said::just([
                'all' => array_map(fn (Going $g) => Said::of('melt.of', ['amount' => $g->typed, 'part' => $g->part->said]), $wish->oils),
            ]);
        }
        $parts = array_map(fn (Going $g) => $g->parts, $wish->oils);
        $names = ['all' => array_map(fn (Going $g) => $g->part->said, $wish->oils)];

        return count(array_unique($parts)) === 1
            ? Said::just($names)
            : Said::of('sentence.mix', [
                'herbs' => $names,
                'parts' => [
                    'ratio' => array_map(fn (float $part) => abs($part - round($part)) < 1e-9 ? (int) $part : round($part, 2), $parts),
                ],
            ]);
    }

    /** @param  list<Going>  $group */
    private static function all(array $group): Said
    {
        return Said::just([
            'all' => array_map(
                fn (Going $g) => match (true) {
                    $g->typed !== '' => Said::of('melt.of', ['amount' => $g->typed, 'part' => $g->part->said]),
                    $g->share !== null => self::share($g->share, $g->part),
                    default => Said::just($g->part->said),
                },
                $group,
            ),
        ]);
    }

    private static function share(float $share, Part $part): Said
    {
        foreach (self::SHARES as $word => $is) {
            if (abs($share - $is) < 0.002) {
                return Said::of('sentence.share-of', ['share' => Said::of('share.'.$word), 'oil' => $part->said]);
            }
        }
        $percent = $share * 100;

        return $part->kind === PartKind::Scent && abs($percent - round($percent)) < 1e-6 && $percent < 10.5
            ? Said::of('melt.in-a-hundred', ['count' => ['count' => (int) round($percent)], 'part' => $part->said])
            : Said::of('melt.of', ['amount' => ['%' => round($percent, 2)], 'part' => $part->said]);
    }

    /** @return array{slot: string, text: Said, chosen: bool} */
    private static function piece(string $slot, Said $text, bool $was): array
    {
        return ['slot' => $slot, 'text' => $text, 'chosen' => $was];
    }

    /** @return list<array{slot: ?string, text: Said, chosen: bool}> for whom and without what: one word, changed in one place */
    private static function forWhom(ProductWish $wish): array
    {
        $people = array_map(fn (string $id) => Said::of('melt.for-'.$id), $wish->for === ['anyone'] ? [] : $wish->for);
        // Whom it is for is said already.
        $heeds = array_filter($wish->heeds, fn (Heed $heed) => $heed->person === '');
        $without = array_map(fn (Heed $heed) => Said::of('heed:'.$heed->id), array_values($heeds));

        return match (true) {
            $people === [] && $without === [] => [self::plain('nothing')],
            $people === [] => [self::plain('comma'), self::piece('for', Said::just(['all' => $without]), true)],
            $without === [] => [self::plain('for'), self::piece('for', Said::just(['all' => $people]), true)],
            default => [
                self::plain('for'),
                self::piece(
                    'for',
                    Said::of('melt.for-and-without', ['people' => ['all' => $people], 'without' => ['all' => $without]]),
                    true,
                ),
            ],
        };
    }

    /** @return array{slot: null, text: Said, chosen: bool} */
    private static function plain(string $words): array
    {
        return [
            'slot' => null,
            'text' => Said::of(in_array($words, ['comma', 'of', 'stop', 'nothing'], true) ? 'sentence.'.$words : 'melt.'.$words),
            'chosen' => true,
        ];
    }
}
