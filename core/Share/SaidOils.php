<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Cupboard;

/** In which oils a typed wish is, and how much of them. */
final readonly class SaidOils
{
    /** What is said of any oil, and tells no oil from another. */
    private const OF_OILS = [
        'oil',
        'oils',
        'extra',
        'virgin',
        'refined',
        'unrefined',
        'cold',
        'pressed',
        'pure',
        'light',
        'plain',
        'warm',
        'warmed',
    ];

    /** What stands before the name of an oil. */
    private const BEFORE_AN_OIL = '/^(?:(?:the|an?|my|our|of|some|any|good|plain|enough)\s+)+/iu';

    private const DRINKS = 'vodka|gin|rum|brandy|wine|milk|alcohol|ethanol|spirits?';

    private const DONE = 'keep|leave|make|let|put|use|do|have|stir|shake';

    /** What is asked to be done, or told of somebody, is the name of no oil: "but keep it raw". */
    private const NO_NAME = '/^(?:(?:no|not|without|please|just|then|i|we|it|you|'.self::DONE.')\s+\p{L}|raw$)/iu';

    /** What people name beside the oil that is none. */
    private const NO_OIL = '/\bessential\s+oils?\b|^(?:vitamin\s+e(?:\s+oil)?|tocopherols?|'.self::DRINKS.')$/iu';

    public function __construct(private Cupboard $cupboard, private RecipeWords $words, private SaidPieces $pieces) {}

    /**
     * The oils, taken out of what is left.
     *
     * @return array{oils: list<array{oil: array<string, string>, typed: string}>, amount: ?string, unread: list<string>,
     *     guesses: list<string>} each as a wish has it, with its share as said, and how much of it; an amount that is of none of
     *     them
     */
    public function in(Remainder $left): array
    {
        $oils = $unread = $guesses = [];
        $amount = null;
        // Where what was behind an "in" was taken out, it says nothing.
        $left->text = preg_replace('/\bin(?:to)?\s+(?=[;,.:]|$)/iu', '', $left->text) ?? $left->text;
        // After "in" stands the oil, and up to the next comma; before it stand the herbs.
        $m = $left->take(
            'in(?:to)?\s+(?=[\p{L}\d])('.
                (($named = $this->inNamed($left->text)) === null ? '(?:\d[.,]\d|[^,;.])+' : preg_quote($named, '/')).
                ')',
        );
        foreach ($this->pieces->each($m[1] ?? '') as $piece) {
            [$typed, $rest] = $this->pieces->measured($piece);
            [$parts, $rest] = SaidPieces::parts($rest);
            $none = $this->noOil($rest);
            if ($none !== null) {
                $guesses[] = $none;

                continue;
            }
            [$share, $rest] = $parts === null ? OilShares::of($rest) : [null, $rest];
            $place = preg_match('/^(?:the|an?|my|our)\s+/iu', $rest) === 1 && $this->words->oil($rest) === null;
            $rest = trim(preg_replace(self::BEFORE_AN_OIL, '', $rest) ?? $rest);
            $found = $this->oil($rest);
            if ($rest === '') {
                $amount ??= $typed === '' ? null : $typed;

                continue;
            }
            // "In the airing cupboard" is where it stands.
            if (($place || preg_match(self::NO_NAME, $rest) === 1) && ($found['id'] ?? '') === '') {
                $unread[] = $rest;

                continue;
            }
            $over = $this->beside($found['id'] ?? '', $rest);
            $over === '' || ($unread[] = $over);
            $oil = $found === null || $found['id'] === '' ? ['name' => mb_substr($rest, 0, 60)] : ['id' => $found['id']];
            $oils[] = [
                'oil' => $oil + ($parts === null ? [] : ['parts' => $parts]) + ($share === null ? [] : ['share' => $share]),
                'typed' => $typed,
            ];
        }

        return ['oils' => $oils, 'amount' => $amount, 'unread' => $unread, 'guesses' => $guesses];
    }

    /** What stands after the first "in" that an oil stands after, where there are several: "dried in the sun in olive". */
    private function inNamed(string $text): ?string
    {
        preg_match_all('/\bin(?:to)?\s+(?=[\p{L}\d])((?:\d[.,]\d|(?!\bin(?:to)?\s)[^,;.])+)/iu', $text, $all);
        foreach (count($all[1]) > 1 ? $all[1] : [] as $said) {
            if (($this->oil(trim($said))['id'] ?? '') !== '') {
                return trim($said);
            }
        }

        return null;
    }

    /** What is said of an oil that does not tell it from another, and is not read: "roasted" of roasted sesame oil. */
    public function beside(string $id, string $rest): string
    {
        $carrier = $this->cupboard->carrierOrNull($id);

        return $carrier === null
            ? ''
            : LeftOver::of($rest, [$carrier->name, $carrier->names->inci, ...$carrier->names->also, ...self::OF_OILS]);
    }

    /** What is told of what is no oil to infuse in; null of anything else. */
    public function noOil(string $named): ?string
    {
        // "5 % vitamin E": a share of it is no other thing.
        $named = trim(preg_replace('/^\s*\d+(?:\.\d+)?\s*%\s*(?:of\s+)?/u', '', $named) ?? $named);
        $wax = $this->cupboard->waxNamed($named) !== null && ($this->oil($named)['id'] ?? '') === '';
        if (! $wax && $this->cupboard->additionNamed($named) === null && ! $this->isNone($named)) {
            return null;
        }

        return sprintf('“%s” is no oil to infuse in. What goes in once it is strained is for the bottle, or for the Melt.', $named);
    }

    /** Whether it is said to be something else, whatever plant it is of: "rosemary essential oil". */
    public function isNone(string $named): bool
    {
        return preg_match(self::NO_OIL, trim($named)) === 1 || MadeOf::is($named);
    }

    /** Whether an oil that is known is in it. */
    public function isOil(string $named): bool
    {
        return $this->named($named) !== null || ($this->oil(trim($named))['id'] ?? '') !== '';
    }

    /** @return array{id: string, name: string}|null an oil by its name, also without the word "oil" */
    private function oil(string $named): ?array
    {
        return $this->words->oil($named) ?? $this->words->oil($named.' oil');
    }

    /** The id of an oil that is named, and nothing else with it; null where it is none. */
    public function named(string $rest): ?string
    {
        $rest = trim(preg_replace(self::BEFORE_AN_OIL, '', trim($rest)) ?? $rest);
        $carrier = $rest === '' ? null : $this->cupboard->carrierNamed($rest) ?? $this->cupboard->carrierNamed($rest.' oil');

        // "Organic sunflower oil", "light olive oil": an oil, and words beside it.
        return $carrier->id ?? ($rest === '' ? '' : $this->words->oil($rest)['id'] ?? '') ?: null;
    }
}
