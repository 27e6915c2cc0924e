<?php

declare(strict_types=1);

namespace Kettle\Measure;

/**
 * Reads amounts as people write them: "1 1/2 cups", "1½ c", "3 tbsp + 2 tsp", "12 fl oz",
 * "0.5 L", "2 lb 3 oz", "140F", "4-6 weeks", "20 drops".
 *
 * One dialect for every field; what a cup means is the house's custom, and a bare number takes
 * the unit the field says.
 */
final readonly class AmountReader
{
    /** Drops in a millilitre where no dropper has been counted: common practice, no source. */
    public const DROPS_PER_ML = 20.0;

    private const DROPS = ['drop', 'drops', 'gtt'];

    private const NUMBER =
        '(?:\d+\s*(?:\s|-)\s*\d+\s*[\/⁄]\s*\d+|\d+\s*[\/⁄]\s*\d+|'.'\d*\.?\d+\s*[¼½¾⅓⅔⅛⅜⅝⅞⅕⅖⅗⅘⅙⅚]|[¼½¾⅓⅔⅛⅜⅝⅞⅕⅖⅗⅘⅙⅚]|\d+(?:\.\d+)?|\.\d+)';

    /** What is said of an amount that is not weighed to the gram, and leaves it the amount that it is. */
    public const ABOUT = 'about|approx(?:imately)?|ca|circa|roughly|around|nearly|almost|'.self::BY_LITTLE.'|a\s+good';

    private const BY_LITTLE = '(?:just|[a1]\s+(?:bit|little))\s+(?:over|under)';

    private const SOME = '\b(?:'.self::ABOUT.'|of)\b(?:\.(?=\s))?|\s(?:or\s+so|approx\.?)$';

    private const SIGNS = [
        '¼' => 1 / 4,
        '½' => 1 / 2,
        '¾' => 3 / 4,
        '⅓' => 1 / 3,
        '⅔' => 2 / 3,
        '⅛' => 1 / 8,
        '⅜' => 3 / 8,
        '⅝' => 5 / 8,
        '⅞' => 7 / 8,
        '⅕' => 1 / 5,
        '⅖' => 2 / 5,
        '⅗' => 3 / 5,
        '⅘' => 4 / 5,
        '⅙' => 1 / 6,
        '⅚' => 5 / 6,
    ];

    /** @param  (\Closure(string): ?Unit)|null  $own a house's own measures by a word; asked for only where no other is meant */
    public function __construct(
        private MeasureSystem $custom = MeasureSystem::Us,
        private float $dropsPerMl = self::DROPS_PER_ML,
        private ?\Closure $own = null,
        private bool $one = false,
    ) {}

    /** The same for what was weighed, measured or counted, which is one figure; a wish may be a range. */
    public function one(): self
    {
        return new self($this->custom, $this->dropsPerMl, $this->own, true);
    }

    /** Whether a word is a unit of measure in every house. */
    public static function knows(string $word): bool
    {
        return Unit::named($word, MeasureSystem::Us) !== null || in_array(mb_strtolower($word), self::DROPS, true);
    }

    /**
     * @param  string  $bareUnit the unit of a number written with none
     * @param  ?Density  $density of the named material, where a weight may stand for a volume or the other way round
     *
     * @throws AmountException when it cannot be read, mixes kinds, or is of the wrong kind
     */
    public function read(string $typed, Kind $wanted, string $bareUnit, ?Density $density = null): Amount
    {
        if (mb_strlen($typed) > 80) {
            throw AmountException::unreadable($typed, $wanted);
        }
        $text = $this->plain($typed);
        if ($text === '') {
            throw AmountException::unreadable($typed, $wanted);
        }
        // "1:30" and "1 h 30" are an hour and a half; the least after hours is minutes.
        if ($wanted === Kind::Time && preg_match('/^(\d{1,3})\s*(?::|h\s*)([0-5]\d)m?$/i', $text, $m) === 1) {
            $text = "{$m[1]} h {$m[2]} min";
        }
        // "6 x 50 mL" is so many of it, and "50 mL x 6".
        $text = preg_replace('/^(\d[^x×+&,]*[^x×+&,\s\d])\s*[x×]\s*(\d{1,3})$/iu', '$2 x $1', $text) ?? $text;
        $many =
            $wanted === Kind::Temperature ||
            preg_match('/^(\d{1,3})\s*[x×]\s*(?=\d)((?:(?!\b(?:and|plus|less|minus)\b)[^+,&])+)$/iu', $text, $m) !== 1
                ? null
                : (int) $m[1];
        $text = $many === null ? $text : $m[2];
        $negative = str_starts_with($text, '-') || str_starts_with($text, '−');
        if ($negative && $wanted !== Kind::Temperature) {
            throw AmountException::notAboveZero($typed);
        }
        $amount = $this->range($text, $typed, $wanted, $bareUnit) ?? $this->sum($text, $typed, $wanted, $bareUnit);
        if (! is_finite($amount->value)) {
            throw AmountException::unreadable($typed, $wanted);
        }
        if ($amount->kind !== $wanted) {
            if ($density === null) {
                throw AmountException::needsDensity($typed, $amount->kind, $wanted);
            }
            $amount = $amount->through($density, $wanted);
        }

        return $many === null ? $amount : $amount->times($many, $typed);
    }

    /**
     * Like read(), and within kitchen bounds in the kind's own unit.
     *
     * @throws AmountException also when not above zero or out of bounds
     */
    public function within(string $typed, Kind $wanted, string $bareUnit, float $least, float $most, ?Density $density = null): Amount
    {
        $amount = $this->read($typed, $wanted, $bareUnit, $density);
        if ($amount->low <= 0) {
            throw AmountException::notAboveZero($typed);
        }
        if ($amount->high > $most) {
            throw AmountException::tooMuch($typed, AmountWriter::plain($most, $wanted));
        }
        if ($amount->low < $least) {
            throw AmountException::tooLittle($typed, AmountWriter::plain($least, $wanted));
        }

        return $amount;
    }

    /**
     * A bare number as people write it: "2", "1 1/2", "⅓".
     *
     * @throws AmountException when it is none
     */
    public function number(string $typed): float
    {
        $text = $this->plain($typed);
        if (preg_match('/^'.self::NUMBER.'$/u', $text) !== 1) {
            throw new AmountException('unreadable', sprintf('“%s” is not a number. Write it like 2 or 1 1/2.', mb_substr($typed, 0, 40)));
        }

        return $this->value($text, $typed, Kind::Mass);
    }

    /**
     * A number that may have its unit beside it, "20 drops", "-2,5", "15 m"; null when it is none.
     *
     * @param  string  $unit pattern of what may stand behind it
     */
    public function figure(string $typed, string $unit): ?float
    {
        $plain = trim(preg_replace("/\\s*(?:{$unit})$/iu", '', trim($typed)) ?? $typed);
        $below = preg_match('/^[-−]\s*/u', $plain, $m) === 1 ? $m[0] : '';
        try {
            return ($below === '' ? 1 : -1) * $this->number(mb_substr($plain, mb_strlen($below)));
        } catch (AmountException) {
            return null;
        }
    }

    private function plain(string $typed): string
    {
        $text = Figures::ofAmount($typed);
        // With both signs in it a number can be read one way only.
        if (
            preg_match('/(?<![\d.,])(\d{1,3}(?:,\d{3})+)\.(\d+)(?![\d.,])|(?<![\d.,])(\d{1,3}(?:\.\d{3})+),(\d+)(?![\d.,])/', $text, $m) ===
            1
        ) {
            $plain = str_replace([',', '.'], '', $m[1].($m[3] ?? '')).'.'.$m[2].($m[4] ?? '');
            $text = str_replace($m[0], $plain, $text);
        }
        // No thousands begin with a nought: "0,915" is read one way.
        $text = preg_replace('/(?<![\d.,])0,(?=\d{3}(?!\d))/', '0.', $text) ?? $text;
        if (preg_match('/\d,\d{3}(?!\d)/', $text) === 1) {
            throw AmountException::ambiguousComma($typed);
        }
        // A point before three figures of which the last are noughts is a thousand's where the comma is the decimal's.
        if (preg_match('/(?<![\d.])[1-9]\.\d00(?=\s*(?:ml|g|grams?|millilit\p{L}*)\b)/iu', $text) === 1) {
            throw AmountException::ambiguousPoint($typed);
        }
        $text = preg_replace('/(\d),(\d)/', '$1.$2', $text) ?? '';
        // As thousands are parted in print; with a plain space there may be two numbers.
        $text = preg_replace('/(?<![\d.,])(\d{1,3})[\x{00A0}\x{2009}\x{202F}](?=\d{3}(?!\d))/u', '$1', $text) ?? $text;
        $text = str_replace(
            ['–', '—', '−', "\u{00A0}", "\u{202F}", '℃', '℉', 'cm³', 'cm3'],
            ['-', '-', '-', ' ', ' ', '°C', '°F', 'ml', 'ml'],
            $text,
        );
        $text = preg_replace('/'.self::SOME.'|~|≈/iu', ' ', $text) ?? '';

        return trim(preg_replace('/\s+/u', ' ', $text) ?? '');
    }

    private function range(string $text, string $typed, Kind $wanted, string $bareUnit): ?Amount
    {
        // "1-1/2" is one and a half, and no range from one to a half.
        if (preg_match('/^\d+\s*-\s*\d+\s*[\/⁄]\s*\d+\s*(?!\s*(?:-|to))\D*$/u', $text) === 1) {
            return null;
        }
        if (
            preg_match(
                '/^('.self::NUMBER.')\s*([\p{L}°.][\p{L}°. ]*?)?\s*(?:-|\bto\b)\s*('.self::NUMBER.')\s*([^\d]*)$/u',
                $text,
                $m,
            ) !== 1
        ) {
            return null;
        }
        if ($this->one) {
            throw AmountException::notOneFigure($typed);
        }
        // "60 g to 300" is no range: of what the second is nobody says.
        if (trim($m[2]) !== '' && trim($m[4]) === '') {
            return null;
        }
        $unit = $this->unit($m[4], $typed, $wanted, $bareUnit);
        // "10 g to 12 g" has it twice.
        $first = trim($m[2]) === '' ? $unit : $this->unit($m[2], $typed, $wanted, $bareUnit);
        if ($first->kind !== $unit->kind) {
            throw AmountException::kindsDoNotAdd($typed);
        }
        [$from, $to] = [$first->toBase($this->value($m[1], $typed, $wanted)), $unit->toBase($this->value($m[3], $typed, $wanted))];
        // "480-180" may be the one taken off the other; of hours and degrees nothing is.
        if ($from > $to && in_array($unit->kind, [Kind::Mass, Kind::Volume], true)) {
            throw AmountException::backwards($typed);
        }

        return Amount::range($unit->kind, $from, $to, $typed);
    }

    private function sum(string $text, string $typed, Kind $wanted, string $bareUnit): Amount
    {
        $rest = $text;
        $total = 0.0;
        $kind = null;
        $less = false;
        while ($rest !== '') {
            if (
                preg_match(
                    '/^(-?)('.
                        self::NUMBER.
                        ')\s*([^\d+¼½¾⅓⅔⅛⅜⅝⅞⅕⅖⅗⅘⅙⅚,&]*?)(?:\s*(?:[+,&]|\b(?:and|plus|less|minus)\b)\s*|(?=[\d¼½¾⅓⅔⅛⅜⅝⅞⅕⅖⅗⅘⅙⅚])|$)/iu',
                    $rest,
                    $m,
                ) !== 1
            ) {
                throw AmountException::unreadable($typed, $wanted);
            }
            $word = $m[3];
            // Only a number that stands alone may do without its unit.
            if (trim($word) === '' && ($kind !== null || mb_strlen($m[0]) < mb_strlen($rest))) {
                throw AmountException::unreadable($typed, $wanted);
            }
            $unit = $this->unit($word, $typed, $wanted, $bareUnit);
            if ($kind !== null && $kind !== $unit->kind) {
                throw AmountException::kindsDoNotAdd($typed);
            }
            if ($kind !== null && $unit->kind === Kind::Temperature) {
                throw AmountException::unreadable($typed, $wanted);
            }
            $kind = $unit->kind;
            $total += $unit->toBase(($m[1] === '-' || $less ? -1 : 1) * $this->value($m[2], $typed, $wanted));
            $rest = mb_substr($rest, mb_strlen($m[0]));
            $joined = preg_match('/(?:[+,&]|\b(?:and|plus|less|minus)\b)\s*$/iu', $m[0]) === 1;
            $less = preg_match('/\b(?:less|minus)\s*$/iu', $m[0]) === 1;
            if ($joined && $rest === '') {
                throw AmountException::unreadable($typed, $wanted);
            }
        }
        assert($kind instanceof Kind);

        return Amount::of($kind, $total, $typed);
    }

    private function unit(string $word, string $typed, Kind $wanted, string $bareUnit): Unit
    {
        $word = trim($word);
        if ($word === '') {
            return Unit::make($bareUnit, $this->custom);
        }
        // Degrees of which nobody says which are those of the field.
        if ($wanted === Kind::Temperature && in_array(mb_strtolower($word), ['°', 'º', 'deg', 'degree', 'degrees'], true)) {
            return Unit::make($bareUnit, $this->custom);
        }
        // "c" is a cup everywhere but on a thermometer.
        if ($wanted === Kind::Temperature && mb_strtolower($word) === 'c') {
            return Unit::make('°C');
        }
        if (in_array(mb_strtolower($word), self::DROPS, true)) {
            return Unit::make('mL')->scaled('drop', 1 / $this->dropsPerMl);
        }

        return Unit::named($word, $this->custom) ??
            (($this->own === null ? null : ($this->own)($word)) ?? throw AmountException::unreadable($typed, $wanted));
    }

    private function value(string $text, string $typed, Kind $wanted): float
    {
        $text = trim($text);
        $sign = mb_substr($text, -1);
        if (isset(self::SIGNS[$sign])) {
            $whole = trim(mb_substr($text, 0, -1));

            return (float) ($whole === '' ? 0 : $whole) + self::SIGNS[$sign];
        }
        if (preg_match('/^(?:(\d+)\s*[\s-]\s*)?(\d+)\s*[\/⁄]\s*(\d+)$/u', $text, $m) === 1) {
            if ((int) $m[3] === 0) {
                throw AmountException::unreadable($typed, $wanted);
            }

            // "1-1/2" is one and a half; "1-3/2" is nothing that anybody writes.
            if ($m[1] !== '' && (int) $m[2] >= (int) $m[3]) {
                throw AmountException::unreadable($typed, $wanted);
            }

            return (float) $m[1] + (float) $m[2] / (float) $m[3];
        }

        return (float) $text;
    }
}
