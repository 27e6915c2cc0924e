<?php

declare(strict_types=1);

namespace Kettle\Caution;

use Kettle\Infusion\Method;
use Kettle\Material\Carrier;
use Kettle\Material\Herb;
use Kettle\Material\State;

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
     * @param  array<string, string>  $words
     */
    private function __construct(private array $tags, private array $herbs, private array $words) {}

    /**
     * @param  list<array{plant: Herb, state: State}>  $herbs
     * @param  list<array{carrier: Carrier, share: float}>  $oils
     * @param  ?float  $iodineValue of the blend
     * @param  list<array{called: string, food: bool, how: string, allergens: list<string>}>  $lots taken from Stores
     * @param  bool  $allFromStores whether every herb and oil is taken from a known lot
     * @param  string  $tooSlow why wet kitchen herb would not be cold in time; empty where it is
     * @param  array<string, string>  $words ceiling, cold, use_by, best_before, warm_h as this cook reads them
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
        string $tooSlow = '',
        array $lots = [],
        bool $allFromStores = true,
        array $words = [],
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
            'ceiling' => ($words['ceiling'] ?? 'some') !== '',
            'flame' => $method->has(Method::OVER_FLAME),
            'in-water' => $method->has(Method::IN_WATER),
            'spirit' => $spirit,
            'lid-tight' => $method->has(Method::LID_TIGHT),
            'poured-hot' => $method->has(Method::POURED_HOT),
            'too-slow' => $tooSlow !== '',
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
        foreach ($herbs as $herb) {
            foreach ($herb['plant']->traits as $trait) {
                $tags['trait:'.$trait] = true;
                $tags['wet-trait:'.$trait] = ($tags['wet-trait:'.$trait] ?? false) || $herb['state']->isWet();
            }
        }
        $first = array_values($wet)[0] ?? null;

        return new self(array_filter($tags), $herbs, [
            'wet' => $first === null ? '' : $first['state']->value.' herb',
            'state' => $first['state']->value ?? 'dried',
            'untested' => self::names($untested),
            'unfit_herbs' => self::names($unfitHerbs),
            'unfit_oils' => self::list(array_values(array_map(fn (array $oil) => $oil['carrier']->name, $unfitOils))),
            'unfit_lots' => self::list(array_values(array_map(fn (array $lot) => $lot['called'], $unfitLots))),
            'allergens' => self::list($allergens),
            'unlisted' => self::names($unlisted),
            'method' => $method->name,
            'warm_h' => (string) ColdStorage::MOST_WARM_H,
            'too_slow' => $tooSlow,
            'soured_ratio' => self::list(
                array_values(
                    array_map(
                        fn (array $herb) => sprintf('1 part of %s to %d', $herb['plant']->name, AcidSoak::partsFor($herb['plant']) ?? 0),
                        array_filter($wet, fn (array $herb) => AcidSoak::partsFor($herb['plant']) !== null),
                    ),
                ),
            ),
            'cold' => '4 °C',
            'ceiling' => '60 °C',
            'use_by' => 'four days from filling',
            'best_before' => 'the day on the label',
            ...$words,
        ]);
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

    public function word(string $name, Caution $rule): string
    {
        if ($name !== 'herbs' && $name !== 'look_alikes') {
            return $this->words[$name] ?? '';
        }
        $trait = $rule->trait();
        $about = array_filter(
            $this->herbs,
            fn (array $herb) => ($trait === null || $herb['plant']->has($trait)) && (! $rule->isOfWetHerb() || $herb['state']->isWet()),
        );

        return self::list(
            array_values(array_map(fn (array $herb) => $name === 'herbs' ? $herb['plant']->name : $herb['plant']->lookAlikes, $about)),
        );
    }

    /** @param  array<array{plant: Herb, state: State}>  $herbs */
    private static function names(array $herbs): string
    {
        return self::list(array_values(array_map(fn (array $herb) => $herb['plant']->name, $herbs)));
    }

    /** @param  list<string>  $names */
    private static function list(array $names): string
    {
        $names = array_values(array_unique($names));
        $last = array_pop($names);

        return $names === [] ? (string) $last : implode(', ', $names).' and '.$last;
    }
}
