<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Counts;
use Kettle\Material\Cupboard;
use Kettle\Material\Names;
use Kettle\Measure\Kind;
use Kettle\Measure\UnitWords;
use Kettle\Recipe\Kitchen;

/**
 * Lots as people write them on a lid, one to a line: "260 g calendula, dried, walled garden, 27 July, 8.50". Each piece
 * is told with what it was taken for, and none is dropped: what nobody understands is kept as the note.
 */
final readonly class LotLines
{
    public const MOST = 60;

    /** "Honey 1 lb 4 oz" is one amount. */
    private const POUNDS_BEHIND = '/^(.*?\p{L})\s+(\d[\d.,\/]*\s*(?:lbs?|pounds?)\s+\d[\d.\/]*\s*(?:oz|ounces?))$/iu';

    /** A day that could not be read, and how large each of several is. */
    private const NO_PLACE =
        '/\beach$|^(?:\d+|half\s+an?|an?)\s+(?:\p{L}+\s+)?'.
        LotPieces::IN_A.
        '$|\d\s+(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)|\d[.\/-]\d|^(?:'.
        LotPieces::BEST_BEFORE.
        '|lot|batch|dried|opened|open|unopened|sealed|made|new|old|for|not|never|no|essential|solid|liquid|infused|organic|'.
        'smells?|smelled|about|(?:one|two|three|\d+)\s+(?:is\s+|are\s+)?(?:opened|open|full|empty|used|left)|'.
        LotPieces::OF_ITS_NAME.
        '|golden|pure|deodori[sz]ed|pellets|pastilles)\b|'.
        '\b(?:years?|months?|weeks?|left|harvest|crop)\b/iu';

    private RecipeWords $words;

    private SaidDay $days;

    private LotPieces $pieces;

    private LotVessels $vessels;

    private LotMaterial $material;

    private OfEach $ofEach;

    private AmountTwice $twice;

    private SaidPieces $said;

    private LotLeft $left;

    public function __construct(private Cupboard $cupboard, private Kitchen $kitchen)
    {
        $this->words = new RecipeWords($cupboard, $kitchen);
        $this->days = new SaidDay($kitchen->today());
        $this->pieces = new LotPieces($this->words);
        $this->vessels = new LotVessels($this->words, $this->kitchen);
        $this->material = new LotMaterial($cupboard, $this->words);
        $this->ofEach = new OfEach($cupboard);
        $this->twice = new AmountTwice($this->words);
        $this->said = new SaidPieces($cupboard, $this->words);
        $this->left = new LotLeft($this->words, $kitchen);
    }

    /**
     * @return list<array{line: string, lot: array<string, string>, parts: list<array{as: string, text: string, guess: bool}>}>
     *     fields as Stores\LotReader takes them
     */
    public function read(string $text): array
    {
        $lines = array_values(array_filter(array_map('trim', preg_split('/\R/u', $text) ?: []), fn (string $line) => $line !== ''));

        $each = array_merge([], ...array_map($this->each(...), array_slice($lines, 0, self::MOST)));

        return array_map($this->line(...), array_slice($each, 0, self::MOST));
    }

    /**
     * "Calendula 50 g and yarrow 30 g" are two lots, where each is a thing that is known with an amount of its own.
     *
     * @return list<string>
     */
    private function each(string $line): array
    {
        $lots = explode("\n", $this->ofEach->apart($line, "\n", true));
        if (count($lots) > 1) {
            return $lots;
        }
        $before = SaidPieces::eachBefore($line);
        $pieces =
            count($before) > 1 ? $before : (preg_split('/\s*(?:[,;](?!\d)|\s[&+]\s|\band\b)\s*/iu', $line, -1, PREG_SPLIT_NO_EMPTY) ?: []);
        if (count($pieces) < 2) {
            return [$line];
        }
        foreach ($pieces as $piece) {
            [$typed, $of] = $this->said->measured($piece);
            if ($typed === '' || ($this->material->of($of)[1] === null && $this->words->otherPart($of) === null)) {
                return [$line];
            }
        }

        return $pieces;
    }

    /** @return array{line: string, lot: array<string, string>, parts: list<array{as: string, text: string, guess: bool}>} */
    private function line(string $line): array
    {
        $lot = $parts = [];
        $put = function (string $field, string $value, string $text, bool $guess = false) use (&$lot, &$parts): void {
            // One note does not put out another, and none is told twice.
            if ($field === 'note' && in_array($value, explode('; ', $lot['note'] ?? ''), true)) {
                return;
            }
            $lot[$field] = $field === 'note' && isset($lot['note']) ? $lot['note'].'; '.$value : $value;
            $parts[] = ['as' => $field, 'text' => $text, 'guess' => $guess];
        };
        $pieces = $this->pieces->of(
            $this->byIngredient($this->twice->once(Names::withoutPoints(UnitWords::plain(LotPieces::plain($line))))),
        );
        $rest = [];
        foreach ($pieces as $at => $piece) {
            if ($this->known($piece, $lot, $put)) {
                continue;
            }
            // "1,500 g" is two amounts: Stores asks which.
            if (! isset($lot['amount']) && array_key_first($this->words->amounts->asked($piece)) === $piece) {
                $put('amount', self::withoutNoughts($piece), $piece, true);

                continue;
            }
            // The thing itself and how much of it, wherever on the line; then what is left is where it came from.
            if (! isset($lot['kind']) && $this->thing($piece, $at === 0, $put)) {
                continue;
            }
            $rest[] = $piece;
        }
        if (! isset($lot['kind']) && $rest !== []) {
            $called = array_shift($rest);
            $put('kind', 'herb', $called, true);
            $put('called', mb_substr($called, 0, 80), $called, true);
        }
        foreach ($rest as $piece) {
            if ($this->left->in($piece, $lot, $put)) {
                continue;
            }
            $where = preg_replace('/^(?:from|at|in)\s+(?:the\s+)?/iu', '', $piece) ?? $piece;
            // What is no words is no place, nor is a day that could be two, or is none, nor what is in packets of some size.
            $isPlace =
                preg_match('/\p{L}{3}/u', $piece) === 1 &&
                preg_match(self::NO_PLACE, $piece) !== 1 &&
                ! PlantPart::isSaidOf($piece) &&
                ! $this->isCounted($piece);
            if (! isset($lot['got_where']) && $isPlace) {
                $put('got_where', mb_substr($where, 0, 160), $piece, $where === $piece);
            } else {
                $put('note', $piece, $piece, true);
            }
        }

        return ['line' => $line, 'lot' => $lot, 'parts' => $parts];
    }

    /** "Helianthus annuus (sunflower) seed oil" is one name, as labels have it, with the common one in the midst. */
    private function byIngredient(string $line): string
    {
        $name = '/^(\p{L}[\p{L}\s]*?)\s*\(\s*\p{L}[^()\d]*\)\s*((?:\p{L}+\s+)?(?:oil|butter|wax))\b/iu';
        $oil = preg_match($name, $line, $m) === 1 ? $this->kitchen->cupboard()->carrierNamed("{$m[1]} {$m[2]}") : null;

        return $oil === null ? $line : preg_replace($name, $oil->name, $line) ?? $line;
    }

    /**
     * A piece that says what it is: a state, a day, a price, how it was got.
     *
     * @param  array<string, string>  $lot
     * @param  \Closure(string, string, string, bool=): void  $put
     */
    private function known(string $piece, array $lot, \Closure $put): bool
    {
        $low = mb_strtolower($piece);
        if (preg_match('/^(dried|dry|wilted|fresh)$/u', $low, $m) === 1) {
            $put('state', $m[1] === 'dry' ? 'dried' : $m[1], $piece);

            return true;
        }
        if (preg_match('/^(?:fresh[\s-]+)?frozen(?:[\s-]+fresh)?$/u', $low) === 1) {
            // Frozen, it has all its water.
            $put('state', 'fresh', $piece);
            $put('note', $piece, $piece, true);

            return true;
        }
        if (preg_match('/^(food(?:[\s-]?grade)?|for eating)$/u', $low) === 1) {
            $put('food_grade', 'yes', $piece);

            return true;
        }
        if (preg_match('/^home[\s-]?grown$/u', $low) === 1) {
            $put('got_how', 'gathered', $piece);

            return true;
        }
        if (preg_match('/^(bought|'.LotPieces::GATHERED.'|grown)\b\s*(.*)$/u', $low, $m) === 1) {
            $put('got_how', $m[1] === 'bought' ? 'bought' : 'gathered', $piece);
            // "Grown by us" is at no place.
            $after = trim(preg_replace('/^\s*by\s+(?:us|me|myself|ourselves)\b/iu', '', mb_substr($piece, mb_strlen($m[1]))) ?? '');
            $day = $after === '' ? null : $this->days->read($after, false);
            if ($day !== null) {
                $put('got_on', $day, $after, preg_match('/\d/', $after) !== 1);
            } elseif ($after !== '' && (preg_match(self::NO_PLACE, $after) === 1 || preg_match('/\p{L}{2}/u', $after) !== 1)) {
                // A year alone is no place.
                $put('note', $after, $after, true);
            } elseif ($after !== '') {
                $put('got_where', preg_replace('/^(?:from|at|in)\s+(?:the\s+)?/iu', '', $after) ?? $after, $after);
            }

            return true;
        }
        // The day it was dried on says how it is.
        if (
            preg_match('/^(dried|wilted)\s+(?:on\s+)?('.SaidDay::DATE.')$/iu', $low, $m) === 1 &&
            $this->days->read($m[2], false) !== null
        ) {
            $put('state', $m[1], $piece);
            $put('note', $piece, $piece, true);

            return true;
        }
        foreach (['best_before' => LotPieces::BEST_BEFORE, 'opened_on' => 'opened'] as $field => $words) {
            if (preg_match("/^(?:{$words})\\b[.:\\s]+(.+)$/u", $low, $m) === 1) {
                $day = $this->days->read($m[1], $field === 'best_before');
                // Of a month its first day is a guess; that it keeps to its end is how it is printed.
                $isGuess = $field === 'opened_on' && preg_match('/\d/', $m[1]) !== 1;
                // "BB Mar 28" may be the 28th, or the month of that year: the earlier of the two.
                $ofYear = $field === 'best_before' ? $this->days->monthOfYear($m[1]) : null;
                $day === null || $put($field, $ofYear === null ? $day : min($day, $ofYear), $piece, $isGuess || $ofYear !== null);

                return $day !== null;
            }
        }
        $day = $this->days->read($low, false);
        if ($day !== null) {
            // Nothing was got on a day to come.
            $toCome = $day > $this->kitchen->today()->format('Y-m-d');
            $day = $toCome ? $this->days->read($low, true) ?? $day : $day;
            $put($toCome || isset($lot['got_on']) ? 'best_before' : 'got_on', $day, $piece, preg_match('/\d{4}/', $low) !== 1);

            return true;
        }
        if (
            ! isset($lot['price']) &&
            preg_match(
                '/^(?:(?:at|for|cost|price)\s+)?(?:\p{Sc}\s*)(\d{1,6}(?:[.,]\d{1,2})?)$|'.
                    '^(\d{1,6}[.,]\d{2})(?:\s*\p{Sc})?$|^(\d{1,6})\s*\p{Sc}$|'.
                    // "12 GBP", "EUR 8.50".
                    '^(?:[A-Z]{3}\s+)(\d{1,6}(?:[.,]\d{1,2})?)$|^(\d{1,6}(?:[.,]\d{1,2})?)\s+[A-Z]{3}$/u',
                $piece,
                $m,
            ) === 1
        ) {
            // Of other money nobody knows here what it is worth.
            if ($this->kitchen->otherMoneyIn($piece) !== null) {
                $put('note', $piece, $piece, true);

                return true;
            }
            $put('price', str_replace(',', '.', implode('', array_slice($m, 1))), $piece, preg_match('/\p{Sc}|\p{Lu}{3}/u', $piece) !== 1);

            return true;
        }
        // The amount alone, after the name: "calendula, 260 g".
        if (isset($lot['kind']) && ! isset($lot['amount'])) {
            [$amount, $typed, $after] = $this->words->amounts->amount($piece);
            if ($amount !== null && preg_match('/^(?:'.LotPieces::IN_A.')?$/iu', $after) === 1) {
                $put('amount', $typed, $piece);

                return true;
            }
        }
        $form = $this->formNamed($low);
        if ($form !== null && isset($lot['kind'])) {
            $put('form', $form, $piece);

            return true;
        }

        return false;
    }

    /**
     * How much of what: "260 g dried calendula", "1 L olive oil", "24 x 30 mL tins".
     *
     * @param  \Closure(string, string, string, bool=): void  $put
     */
    private function thing(string $piece, bool $first, \Closure $put): bool
    {
        if ($this->vessels->in($piece, $put)) {
            return true;
        }
        // "Lavender 10 mL essential oil" is so much of it.
        $piece = MadeOf::inOne($piece);
        $whole = $piece;
        [$amount, $typed, $rest] = $this->words->amounts->amount($piece);
        $rest = $amount === null ? $piece : $rest;
        $piece = trim(preg_replace('/\s+/u', ' ', preg_replace('/\b(?:dried|dry|wilted|fresh)$/iu', '', $piece) ?? $piece) ?? $piece);
        if (
            $amount === null &&
            (preg_match(self::POUNDS_BEHIND, $piece, $m) === 1 ||
                preg_match(
                    '/^(.*?\p{L})\s+((?:\d{1,3}\s*[x×]\s*)?[\d½¼¾⅓⅔][\d.,\/½¼¾⅓⅔]*'.
                        '(?:\s*(?:-|to)\s*\d[\d.,]*)?\s*\p{L}+(?:\s\p{L}{1,3})?)$/u',
                    $piece,
                    $m,
                ) === 1)
        ) {
            $behind = $this->words->amounts->reading(trim($m[2]));
            [$amount, $typed, $rest] = $behind === null ? [$amount, $typed, $rest] : [$behind, trim($m[2]), $m[1]];
        }
        $asked = $amount === null ? array_key_first($this->words->amounts->asked($piece)) : null;
        if ($asked !== null) {
            $put('amount', self::withoutNoughts($asked), $asked, true);
            $rest = trim(str_replace($asked, ' ', $piece));
        }
        if ($amount?->kind === Kind::Time || ($amount === null && ! $first)) {
            return false;
        }
        $bare = trim(preg_replace('/\b(dried|dry|wilted|fresh(?:ly)?|organic|food[\s-]?grade)\b/iu', ' ', $rest) ?? $rest);
        $bare = trim(preg_replace('/\s+/u', ' ', $bare) ?? $bare);
        if ($bare === '') {
            return false;
        }
        $ml = OilLine::isPoured($typed) ? $amount?->value : null;
        [$kind, $id, $name] = $this->material->of($bare, $ml);
        $put('kind', $kind, $bare, $id === null);
        if ($id !== null) {
            $put('material', $id, $bare, ! in_array(mb_strtolower($bare), [mb_strtolower($name), mb_strtolower($name).'s'], true));
        } else {
            $put('called', mb_substr($bare, 0, 80), $bare, true);
        }
        $amount === null || $put('amount', $typed, $typed);
        // A figure that nothing was made of is not lost with the words about it, nor is half a jar of something.
        $lost = '/^.*\b'.LotPieces::IN_A.'(?=\s+of\b)|\d.*$/iu';
        $over = $id !== null && $name !== $bare && preg_match($lost, $bare, $m) === 1 ? $m[0] : null;
        $over === null || $put('note', $over, $over, true);
        // Another part of the plant, of which this one stands for it.
        $other = $kind === 'herb' && $id !== null ? $this->words->otherPart($bare) : null;
        $ofPlant = $kind === 'addition' && $id !== null && mb_strtolower($bare) !== mb_strtolower($name) && MadeOf::is($bare);
        if ($other !== null || $ofPlant) {
            $put('note', $bare, $bare, true);
        }
        $state = $this->words->state($whole);
        if ($kind === 'herb' && $state !== null && preg_match('/\b(dried|dry|wilted|fresh)/iu', $whole) === 1) {
            $put('state', $state, $state);
        }
        $form = $kind === 'herb' && preg_match('/\b(?:'.RecipeWords::POWDERED.')\b/iu', $rest) === 1 ? 'powder' : null;
        $form === null || $put('form', $form, $form);
        preg_match('/\bfood[\s-]?grade\b/iu', $rest) === 1 && $put('food_grade', 'yes', 'food grade');

        return true;
    }

    /** "12.500 g" as it is taken, so that it is seen: twelve and a half. */
    private static function withoutNoughts(string $typed): string
    {
        return preg_replace('/(?<=\d\d\.\d)00(?=\D)|(?<=\d\d)\.000(?=\D)/', '', $typed) ?? $typed;
    }

    private function isCounted(string $piece): bool
    {
        return $this->words->amounts->count($piece) !== null && (new Counts($this->cupboard->tables()))->isCounted($piece);
    }

    private function formNamed(string $low): ?string
    {
        foreach ($this->cupboard->forms() as $form) {
            if (in_array($low, [mb_strtolower($form->plain), mb_strtolower($form->name)], true)) {
                return $form->id;
            }
        }

        return in_array($low, ['powder', 'powdered', 'ground'], true) ? 'powder' : null;
    }
}
