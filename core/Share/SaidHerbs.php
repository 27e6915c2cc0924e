<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Cupboard;
use Kettle\Measure\Kind;

/** Of which herbs a typed wish is, and of which oils that are named among them: one piece of it after the other. */
final class SaidHerbs
{
    /** @var list<array<string, string>> as a wish has them */
    public array $herbs = [];

    /** @var list<array{oil: array<string, string>, typed: string}> as a wish has them, and how much of each, with its share as said */
    public array $oils = [];

    /** What is done with an amount, of which nothing is reckoned. */
    private const BEFORE_AMOUNT =
        '/^\s*(?:(?:i\s+)?(?:want|need|make|pick|gather|collect|harvest)|'.
        'infuse|steep|soak|macerate|cover|weigh(?:\s+out)?|measure(?:\s+out)?|take|use|'.
        'add|put|place|pour|say)\s+(?=(?:(?:about|roughly|around|approximately)\s+)?\d)/iu';

    /** Behind an amount by itself, what it is for, or how the herb is. */
    private const SAID_OF_IT = '/\s*(?:\bfor\s.*|\b(?:dried|dry|fresh|wilted)\W*|:)$/iu';

    /** An amount that stands by itself, and can be of the oil only. */
    public ?string $loose = null;

    /** @var list<string> amounts that stand by themselves, and were taken for the herb before */
    public array $byItself = [];

    /** So many parts of "oil", of which it is not said which. */
    public ?float $oilParts = null;

    /** @var list<string> */
    public array $unread = [];

    /** @var list<string> what is told of it */
    public array $guesses = [];

    /** @var array<string, int> where among the herbs a plant is */
    private array $seen = [];

    /** Whether an oil was spoken of last. */
    private bool $ofOil = false;

    /** Dried, wilted or fresh, where it is said of all. */
    private ?string $state = null;

    /** @var list<string> */
    private array $left = [];

    /** @param  bool  $inOil whether the oil was named already */
    public function __construct(
        private readonly Cupboard $cupboard,
        private readonly RecipeWords $words,
        private readonly SaidPieces $pieces,
        private readonly SaidOils $ofOils,
        private readonly bool $inOil,
    ) {}

    public function read(Remainder $left): void
    {
        // It may stand within an amount, so nothing is parted there.
        $lies =
            preg_match('/\b(?:(?:loosely|lightly|firmly|tightly|well)[\s-]+)?(?:packed|stuffed)\b/iu', $left->text, $m) === 1
                ? $m[0]
                : null;
        $left->text = $lies === null ? $left->text : str_replace($lies, '', $left->text);
        $left->text =
            preg_replace('/\b(?:all(?:\s+of\s+(?:it|them))?|both|each)\s+(?=(?:dried|dry|fresh|wilted)\b)/iu', '', $left->text) ??
            $left->text;
        $own = $this->ownStates($this->pieces->each($left->text));
        $this->state = $this->words->state(str_replace(array_keys($own), ' ', $left->text));
        $left->take('(?:freshly\s+|just\s+)?picked(?:\s+(?:this\s+(?:morning|afternoon)|today|yesterday))?');
        $this->left = $this->pieces->each($left->text);
        while ($this->left !== []) {
            $this->piece(array_shift($this->left));
        }
        foreach ($own as ['id' => $id, 'state' => $state]) {
            if (isset($this->seen[$id])) {
                $this->herbs[$this->seen[$id]]['state'] = $state;
            }
        }
        // How it lies is of the one amount there is: of several, or of none, nobody knows of which.
        $measured = array_keys(array_filter($this->herbs, fn (array $herb) => isset($herb['amount'])));
        if ($lies !== null && count($measured) === 1) {
            $this->herbs[$measured[0]]['amount'] = ($this->herbs[$measured[0]]['amount'] ?? '').', '.$lies;
        } elseif ($lies !== null) {
            $this->unread[] = $lies;
        }
    }

    /**
     * "Calendula and yarrow, the yarrow fresh": how one of them is that was named before.
     *
     * @param  list<string>  $pieces
     * @return array<string, array{id: string, state: string}> by the words that say it
     */
    private function ownStates(array $pieces): array
    {
        $named = $own = [];
        foreach ($pieces as $piece) {
            $id = $this->words->knownHerb($piece)['id'] ?? null;
            $state = $id === null ? null : $this->words->state($piece);
            if ($id !== null && $state !== null && isset($named[$id])) {
                $own[$piece] = ['id' => $id, 'state' => $state];
            }
            $id === null || ($named[$id] = true);
        }

        return count($named) > 1 ? $own : [];
    }

    private function piece(string $piece): void
    {
        // "Infuse 60 g" is 60 g, and so is "root oil: 60 g".
        $piece = preg_replace(['/^[\s:]+/u', self::BEFORE_AMOUNT], '', $piece) ?? $piece;
        [$typed, $rest, $behind] = $this->pieces->measured($piece);
        [$typed, $rest] = $typed === '' ? $this->pieces->counted($rest) ?? ['', $rest] : [$typed, $rest];
        [$parts, $rest] = SaidPieces::parts($rest);
        if ($this->isOfOil($typed, $rest)) {
            return;
        }
        // "Garlic, 3 cloves" is no clove.
        if ($typed === '' && $this->isCountOfLast($rest)) {
            return;
        }
        if ($parts !== null && $this->oilParts === null && preg_match('/^(?:(?:carrier|base)\s+)?oils?$/iu', $rest) === 1) {
            $this->oilParts = (float) $parts;

            return;
        }
        $this->ofOil = preg_match('/\boils?\b/iu', $rest) === 1;
        // "Not calendula but yarrow" is no calendula.
        if (preg_match('/^(?:not|no|without|except|instead\s+of|rather\s+than|or)\s/iu', trim($rest)) === 1) {
            $this->unread[] = trim($rest);

            return;
        }
        // "3 chillies": what so many weigh is in no table, and what they are of is known.
        if ($typed === '' && preg_match('/^(\d{1,3})\s+(\p{L}.*)$/u', trim($rest), $m) === 1 && $this->words->knownHerb($m[2]) !== null) {
            [$this->unread[], $rest] = [$m[1], $m[2]];
        }
        $known = $this->words->knownHerb($rest);
        // Witch hazel is a herb as well as a water.
        $none = $known === null || $this->ofOils->isNone($rest) ? $this->ofOils->noOil($rest) : null;
        $oil = $this->inOil || ($known !== null && preg_match('/\b(?:oil|butter)\b/iu', $rest) !== 1) ? null : $this->ofOils->named($rest);
        if ($none !== null) {
            $this->guesses[] = $none;
        } elseif (preg_match('/\bdrops?$/iu', $typed) === 1) {
            // What is counted by drops is no herb, whatever plant it is of.
            $this->guesses[] = sprintf('“%s” is counted by drops, and is no herb to infuse: it goes in at the end.', trim($piece));
        } elseif ($oil !== null) {
            [$share, $rest] = OilShares::of($rest);
            $this->oils[] = ['oil' => ['id' => $oil] + self::details(['parts' => $parts, 'share' => $share]), 'typed' => $typed];
            $this->leave($this->ofOils->beside($oil, $rest));
        } elseif ($known === null) {
            $this->unknown($piece, $rest, ['amount' => $typed, 'parts' => $parts]);
        } elseif (isset($this->seen[$known['id']])) {
            $this->again($this->seen[$known['id']], $rest, $typed);
        } else {
            $this->herb($known, $rest, $typed, $parts, $behind);
        }
    }

    /** An amount of the oil, or of the herb before it: "5 oz oil" is of no other, and one by itself is of what was said last. */
    private function isOfOil(string $typed, string $rest): bool
    {
        $what = preg_replace(self::SAID_OF_IT, '', $rest) ?? $rest;
        if ($typed === '' || preg_match('/^(?:(?:carrier\s+|base\s+)?oils?)?$/iu', trim($what)) !== 1) {
            return false;
        }
        $this->leave(LeftOver::of(mb_substr($rest, mb_strlen($what)), []));
        $rest = $what;
        $kind = SaidPieces::isWarmth($typed) ? null : $this->words->amounts->reading($typed)?->kind;
        $last = count($this->herbs) - 1;
        $ofOil = $this->ofOil || trim($rest) !== '';
        if ($kind === null && ! $ofOil && $this->isCountOfLast($typed)) {
            return true;
        }
        if ($kind === Kind::Mass && ! $ofOil && $last >= 0 && ! isset($this->herbs[$last]['amount'])) {
            $this->herbs[$last]['amount'] = $typed;
            $this->byItself[] = $typed;
        } elseif ($this->loose === null && in_array($kind, $ofOil ? [Kind::Volume, Kind::Mass] : [Kind::Volume], true)) {
            $this->loose = $typed;
        } else {
            $this->unread[] = $typed;
        }

        return true;
    }

    /**
     * Another part of a plant that is known, what became of the herb before it, or words of which nothing is made.
     *
     * @param  array{amount: string, parts: ?string}  $much
     */
    private function unknown(string $piece, string $rest, array $much): void
    {
        $other = $this->words->otherPart($rest);
        if ($other !== null && ! isset($this->seen[$other])) {
            $this->seen[$other] = count($this->herbs);
            $this->herbs[] =
                ['name' => $other, 'form' => $this->words->form($other) ?? ($this->words->form($rest) ?? 'thin-leaf')] +
                self::details(['state' => $this->words->state($rest) ?? $this->state] + $much);
            $this->guesses[] = PlantPart::notListed($other).'.';
            $this->leave(LeftOver::of($rest, [$other]));

            return;
        }
        if ($this->isPartOfLast($rest, $much['amount'])) {
            return;
        }
        $over = LeftOver::of($piece, []);
        $this->leave($over);
        // "Fresh comfrey, wilted overnight" is what it became.
        if ($over === '' && $this->herbs !== [] && $this->words->state($rest) === 'wilted') {
            $this->herbs[count($this->herbs) - 1]['state'] = 'wilted';
        }
    }

    /** "Arnica, 50 g flowers": so much of the herb before, by the part of it that it is. */
    private function isPartOfLast(string $rest, string $typed): bool
    {
        $last = count($this->herbs) - 1;
        $said =
            '/^(?:(?:dried|dry|fresh|wilted|'.
            RecipeLines::PREPARED.
            ')\s+)*('.
            PlantPart::any().
            ')(?:\s+(?:dried|dry|fresh|wilted|in|into))*$/iu';
        if ($typed === '' || ! isset($this->herbs[$last]['id']) || isset($this->herbs[$last]['amount'])) {
            return false;
        }
        $plant = $this->cupboard->herb($this->herbs[$last]['id']);
        $name = mb_strtolower($plant->name);
        if (preg_match($said, trim($rest), $m) !== 1 || PlantPart::other($plant, $name.' '.mb_strtolower($m[1]), $name) !== null) {
            return false;
        }
        $this->herbs[$last] = [...$this->herbs[$last], ...self::details(['state' => $this->words->state($rest), 'amount' => $typed])];

        return true;
    }

    /** "Bay, 30 leaves": so many of the herb before. */
    private function isCountOfLast(string $piece): bool
    {
        $last = count($this->herbs) - 1;
        if (preg_match('/^(\d{1,3})\s+(\p{L}+)$/u', trim($piece), $m) !== 1 || ! isset($this->herbs[$last]['id'])) {
            return false;
        }
        $herb = $this->cupboard->herb($this->herbs[$last]['id']);
        // Of a berry there are no leaves.
        if (PlantPart::other($herb, mb_strtolower("{$herb->name} {$m[2]}"), mb_strtolower($herb->name)) !== null) {
            return false;
        }
        $named = preg_replace('/\s+(?:leaf|flower|bud|pod)s?$/iu', '', $herb->name);
        $counted = isset($this->herbs[$last]['amount']) ? null : $this->pieces->counted("{$m[1]} {$named} {$m[2]}");
        if ($counted === null) {
            return false;
        }
        $this->herbs[$last]['amount'] = $counted[0];

        return true;
    }

    /** "chilli oil, 50 g dried chillies" is one herb, and so much of it. */
    private function again(int $at, string $rest, string $typed): void
    {
        if ($typed === '' || isset($this->herbs[$at]['amount'])) {
            $plant = isset($this->herbs[$at]['id']) ? $this->cupboard->herb($this->herbs[$at]['id']) : null;
            $over = LeftOver::of($rest, $plant === null || $typed !== '' ? [] : [$plant->name, ...$plant->also]);
            $this->leave(trim("{$typed} {$over}"));

            return;
        }
        $this->herbs[$at] = [...$this->herbs[$at], ...self::details(['state' => $this->words->state($rest), 'amount' => $typed])];
    }

    /** @param  array{id: string, name: string, other: ?string}  $known as RecipeWords has it */
    private function herb(array $known, string $rest, string $typed, ?string $parts, bool $behind): void
    {
        if ($known['other'] !== null) {
            $this->guesses[] = PlantPart::standsFor($known['other'], $known['name']).'.';
        }
        // "Arnica oil 100 ml" is so much oil, and "100 g arnica" so much of it.
        if ($behind && preg_match('/^\s*oil\s+of\b|\boils?\s*$/iu', $rest) === 1 && $this->loose === null) {
            [$this->loose, $typed] = [$typed, ''];
        }
        $this->seen[$known['id']] = count($this->herbs);
        $this->herbs[] =
            ['id' => $known['id']] +
            self::details([
                'state' => $this->words->state($rest) ?? $this->state,
                'amount' => $typed,
                'parts' => $parts,
                'form' => preg_match('/\b(?:'.RecipeWords::POWDERED.')\b/iu', $rest) === 1 ? 'powder' : null,
            ]);
        $plant = $this->cupboard->herb($known['id']);
        $over = LeftOver::of($rest, [$plant->name, $plant->latin, ...$plant->also]);
        // "Rosemary garlic chilli olive" is several, though nothing parts them.
        if ($over !== '' && ($this->words->knownHerb($over) !== null || (! $this->inOil && $this->ofOils->named($over) !== null))) {
            array_unshift($this->left, $over);
        } else {
            $this->leave($over);
        }
    }

    private function leave(string $over): void
    {
        $over === '' || ($this->unread[] = $over);
    }

    /**
     * @param  array<string, ?string>  $said
     * @return array<string, string> what is said of it
     */
    private static function details(array $said): array
    {
        return array_filter($said, fn (?string $each) => $each !== null && $each !== '');
    }
}
