<?php

declare(strict_types=1);

namespace Kettle\Caution;

use Kettle\Infusion\Method;
use Kettle\Material\Carrier;
use Kettle\Material\Heed;
use Kettle\Material\Herb;
use Kettle\Material\State;
use Kettle\Reason\Said;

/**
 * What cautions are computed from: plain facts of a plan, and the words the rules say about them.
 *
 * A fact is a tag, such as "state:wet", "purpose:kitchen" or "trait:daisy-family"; the rules of
 * data/cautions.json ask for tags and nothing else.
 */
final readonly class Facts
{
    /** Over this iodine value an oil dries in air. */
    public const DRIES_FROM = 130.0;

    /**
     * @param  array<string, true>  $tags
     * @param  list<array{plant: Herb, state: State}>  $herbs
     * @param  array<string, mixed>  $words each as a sentence keeps it
     */
    private function __construct(private array $tags, private array $herbs, private array $words) {}

    /**
     * @param  list<array{plant: Herb, state: State}>  $herbs
     * @param  list<array{carrier: Carrier, share: float}>  $oils
     * @param  ?float  $iodineValue of the blend
     * @param  list<array{called: string, food: bool, how: string, allergens: list<string>}>  $lots taken from Stores
     * @param  bool  $allFromStores whether every herb and oil is taken from a known lot
     * @param  ?Said  $tooSlow why wet kitchen herb would not be cold in time; null where it is
     * @param  array<string, mixed>  $words ceiling, use_by, best_before and spent, as a sentence keeps them
     * @param  list<Heed>  $heeds whom it is for, and what it is to be without
     */
    public static function of(
        string $purpose,
        string $storage,
        array $herbs,
        array $oils,
        ?float $iodineValue,
        Method $method,
        string $way,
        bool $spirit = false,
        ?Said $tooSlow = null,
        array $lots = [],
        bool $allFromStores = true,
        array $words = [],
        array $heeds = [],
    ): self {
        $wet = array_filter($herbs, fn (array $herb) => $herb['state']->isWet());
        $kitchen = $purpose === 'kitchen';
        $untested = array_filter($wet, fn (array $herb) => AcidSoak::partsFor($herb['plant']) === null);
        $unfitHerbs = array_filter($herbs, fn (array $herb) => ! $herb['plant']->kitchen);
        $unfitOils = array_filter($oils, fn (array $oil) => ! $oil['carrier']->food->gradeExists);
        $unfitLots = array_filter($lots, fn (array $lot) => ! $lot['food']);
        $allergens = array_values(
            array_unique([
                ...array_merge([], ...array_map(fn (array $oil) => $oil['carrier']->food->allergens, $oils)),
                ...array_merge([], ...array_map(fn (array $lot) => $lot['allergens'], $lots)),
            ]),
        );
        // Told by name, a nut need not be told in general too.
        if (array_filter($allergens, fn (string $each) => str_ends_with($each, '(tree nuts)')) !== []) {
            $allergens = array_values(array_diff($allergens, ['tree nuts']));
        }
        $unlisted = array_filter($herbs, fn (array $herb) => $herb['plant']->id === '');
        $tags = [
            'always' => true,
            'purpose:'.$purpose => true,
            'for-skin' => ! $kitchen,
            'kept:'.$storage => true,
            'state:wet' => $wet !== [],
            'state:dry' => $wet === [],
            'state:mixed' => $wet !== [] && count($wet) < count($herbs),
            'squeezed' => $way !== 'drained',
            'heated' => $method->heated || $method->has(Method::POURED_HOT),
            // A method without a thermometer in it has no ceiling to be kept under.
            'ceiling' => ! array_key_exists('ceiling', $words) || $words['ceiling'] !== null,
            'flame' => $method->has(Method::OVER_FLAME),
            'in-water' => $method->has(Method::IN_WATER),
            'spirit' => $spirit,
            'lid-tight' => $method->has(Method::LID_TIGHT),
            'poured-hot' => $method->has(Method::POURED_HOT),
            'too-slow' => $tooSlow !== null,
            'untested' => $untested !== [],
            'herb-not-food' => $unfitHerbs !== [],
            'oil-not-food' => $unfitOils !== [],
            'lot-not-food' => $unfitLots !== [],
            'lot-unknown' => ! $allFromStores,
            'gathered' => $wet !== [] || array_filter($lots, fn (array $lot) => $lot['how'] === 'gathered') !== [],
            'unlisted' => $unlisted !== [],
            'allergens' => $allergens !== [],
            'drying-oil' => ($iodineValue ?? 0.0) > self::DRIES_FROM,
        ];
        [$ownTags, $ownWords] = self::own($herbs, array_column($oils, 'carrier'));
        [$heedTags, $heedWords] = self::heeded($heeds, $herbs, array_column($oils, 'carrier'), $lots, $kitchen);
        $tags += $ownTags + $heedTags;
        foreach ($herbs as $herb) {
            foreach ($herb['plant']->traits as $trait) {
                $tags['trait:'.$trait] = true;
                $tags['wet-trait:'.$trait] = ($tags['wet-trait:'.$trait] ?? false) || $herb['state']->isWet();
            }
        }
        $first = array_values($wet)[0] ?? null;

        return new self(array_filter($tags), $herbs, [
            'wet' => $first === null ? '' : Said::of('herb.'.$first['state']->value),
            'state' => Said::of('state.'.($first['state']->value ?? State::Dried->value)),
            'untested' => self::names($untested),
            'unfit_herbs' => self::names($unfitHerbs),
            'unfit_oils' => self::all(array_map(fn (array $oil) => $oil['carrier']->said(), $unfitOils)),
            'unfit_lots' => self::all(array_map(fn (array $lot) => $lot['called'], $unfitLots)),
            'allergens' => self::all($allergens),
            'unlisted' => self::names($unlisted),
            'method' => ['method' => $method->id],
            'warm_h' => ColdStorage::MOST_WARM_H,
            'too_slow' => $tooSlow ?? '',
            'soured_ratio' => self::all(
                array_map(
                    fn (array $herb) => Said::of('soak.parts', [
                        'herb' => $herb['plant']->said(),
                        'parts' => AcidSoak::partsFor($herb['plant']) ?? 0,
                    ]),
                    array_filter($wet, fn (array $herb) => AcidSoak::partsFor($herb['plant']) !== null),
                ),
            ),
            'cold' => ['C' => ColdStorage::CELSIUS],
            'ceiling' => ['C' => 60.0],
            'use_by' => Said::of('use-by.four-days'),
            'best_before' => Said::of('best-before.on-the-label'),
            ...$ownWords,
            ...$heedWords,
            ...$words,
        ]);
    }

    /**
     * Of a product: the herbs that went into its oils, and what else is so of it.
     *
     * @param  list<array{plant: Herb, state: State}>  $herbs
     * @param  list<string>  $allergens
     * @param  array<string, bool>  $tags
     * @param  array<string, mixed>  $words
     * @param  list<Carrier>  $carriers what its oils are, or were infused in
     * @param  list<Heed>  $heeds what it is to be without, and whom it is for
     * @param  list<array{called: mixed, food: bool, allergens: list<string>}>  $parts all that goes into the pot, as a sentence keeps it
     */
    public static function ofProduct(
        string $purpose,
        array $herbs,
        array $allergens,
        ?float $iodineValue,
        array $tags,
        array $words,
        array $carriers = [],
        array $heeds = [],
        array $parts = [],
    ): self {
        [$ownTags, $ownWords] = self::own($herbs, $carriers);
        [$heedTags, $heedWords] = self::heeded($heeds, $herbs, $carriers, $parts, $purpose === 'kitchen');
        $tags += $ownTags +
            $heedTags + [
                'always' => true,
                'purpose:'.$purpose => true,
                'for-skin' => $purpose !== 'kitchen',
                'allergens' => $allergens !== [],
                'drying-oil' => ($iodineValue ?? 0.0) > self::DRIES_FROM,
            ];
        foreach ($herbs as $herb) {
            foreach ($herb['plant']->traits as $trait) {
                $tags['trait:'.$trait] = true;
                $tags['wet-trait:'.$trait] = ($tags['wet-trait:'.$trait] ?? false) || $herb['state']->isWet();
            }
        }

        return new self(array_fill_keys(array_keys(array_filter($tags)), true), $herbs, [
            'allergens' => self::all($allergens),
            ...$ownWords,
            ...$heedWords,
            ...$words,
        ]);
    }

    /**
     * What a house entered as its own, and what nobody has said of it.
     *
     * @param  array<array{plant: Herb, state: State}>  $herbs
     * @param  array<Carrier>  $carriers
     * @return array{array<string, bool>, array<string, mixed>} tags and words
     */
    private static function own(array $herbs, array $carriers): array
    {
        $own = array_filter($herbs, fn (array $herb) => $herb['plant']->own !== '');
        $unasked = array_filter($own, fn (array $herb) => $herb['plant']->own === Herb::UNASKED);
        // That nobody said whether it is food is told where it is to be eaten, and stops it there.
        $lacks = fn (Carrier $oil): array => array_values(array_diff($oil->unknown, ['food']));
        $oils = array_values(array_filter($carriers, fn (Carrier $oil) => $lacks($oil) !== []));

        return [
            ['own-plant' => count($unasked) < count($own), 'own-unasked' => $unasked !== [], 'own-oil' => $oils !== []],
            $own === [] && $oils === []
                ? []
                : [
                    'own' => self::names(array_diff_key($own, $unasked)),
                    'own_unasked' => self::names($unasked),
                    'own_oils' => self::all(array_map(fn (Carrier $oil) => $oil->said(), $oils)),
                    'own_oils_lack' => self::all(
                        array_map(fn (string $lack) => Said::of('own.lacks.'.$lack), array_merge([], ...array_map($lacks, $oils))),
                    ),
                ],
        ];
    }

    /**
     * What is barred by whom it is for and what it is to be without, and what is in doubt.
     *
     * @param  list<Heed>  $heeds
     * @param  array<array{plant: Herb, state: State}>  $herbs
     * @param  array<Carrier>  $carriers
     * @param  array<array{called: mixed, food: bool, allergens: list<string>}>  $lots what else there is by name
     * @return array{array<string, bool>, array<string, mixed>} tags and words
     */
    private static function heeded(array $heeds, array $herbs, array $carriers, array $lots, bool $eaten): array
    {
        $tags = $words = $doubted = [];
        foreach ($heeds as $heed) {
            $tags['heed:'.$heed->id] = true;
            $barred = [
                ...array_map(
                    fn (array $herb) => $herb['plant']->said(),
                    array_values(array_filter($herbs, fn (array $herb) => $heed->barsHerb($herb['plant'], $eaten))),
                ),
                ...array_map(fn (Carrier $oil) => $oil->said(), array_values(array_filter($carriers, $heed->barsOil(...)))),
                ...array_column(array_filter($lots, fn (array $lot) => $heed->barsPart($lot['allergens'], $lot['food'])), 'called'),
            ];
            $tags['barred:'.$heed->id] = $barred !== [];
            $words['barred_'.$heed->id] = self::all($barred);
            $doubted = [
                ...$doubted,
                ...array_map(
                    fn (array $herb) => $herb['plant']->said(),
                    array_values(array_filter($herbs, fn (array $herb) => $heed->doubtsHerb($herb['plant'], $eaten))),
                ),
                ...array_map(fn (Carrier $oil) => $oil->said(), array_values(array_filter($carriers, $heed->doubtsOil(...)))),
            ];
        }

        return [$tags + ['heed-doubt' => $doubted !== []], $words + ['doubted' => self::all($doubted)]];
    }

    /** @param  array<string, true>  $tags more that is so, such as "wax" at the Melt */
    public function and(array $tags): self
    {
        return new self([...$this->tags, ...$tags], $this->herbs, $this->words);
    }

    public function has(string $tag): bool
    {
        return isset($this->tags[$tag]);
    }

    /** @return list<string> */
    public function tags(): array
    {
        return array_keys($this->tags);
    }

    /** As a sentence keeps it. */
    public function word(string $name, Caution $rule): mixed
    {
        if ($name !== 'herbs' && $name !== 'look_alikes') {
            return $this->words[$name] ?? '';
        }
        $trait = $rule->trait();
        $about = array_filter(
            $this->herbs,
            fn (array $herb) => ($trait === null || $herb['plant']->has($trait)) && (! $rule->isOfWetHerb() || $herb['state']->isWet()),
        );

        return self::all(
            array_map(fn (array $herb) => $name === 'herbs' ? $herb['plant']->said() : ['look_alikes' => $herb['plant']->id], $about),
        );
    }

    /**
     * @param  array<array{plant: Herb, state: State}>  $herbs
     * @return array{all: list<mixed>}
     */
    private static function names(array $herbs): array
    {
        return self::all(array_map(fn (array $herb) => $herb['plant']->said(), $herbs));
    }

    /**
     * @param  array<mixed>  $things
     * @return array{all: list<mixed>} each of them once
     */
    private static function all(array $things): array
    {
        return ['all' => array_values(array_unique($things, SORT_REGULAR))];
    }
}
