<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Measure\AmountException;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Figures;
use Kettle\Measure\Kind;
use Kettle\Measure\UnitWords;
use Kettle\Recipe\Kitchen;

/** What a recipe of a product says of the tins it is poured into: "12 tins of 15 mL", "pour into 2 oz tins". */
final readonly class ProductTins
{
    /** What a millilitre of oil and wax weighs, g, where nothing more is known: common practice, no source. */
    public const G_PER_ML = 0.92;

    private const VESSELS = '(?:tins?|jars?|pots?|tubes?|bottles?|containers?)';

    private const SIZE = '\d[\d.\/]*\s*(?:'.UnitWords::METRIC_VOLUME.'|'.UnitWords::FLUID_OUNCES.'|'.UnitWords::OUNCES.')';

    /** @param  ?int  $count where it is said */
    private function __construct(public float $ml, public ?int $count, public string $said) {}

    public static function in(string $text, Kitchen $kitchen): ?self
    {
        $text = self::withoutDash($text);
        $many = '(?:\b(\d{1,2}|an?|one|two|three|four|five|six|seven|eight|nine|ten|twelve)\s+(?:[x×]\s*)?)?';
        $kinds = '(?:(?:small|metal|glass|clean|dry|lip[\s-]balm|dark|amber)\s+)*';
        $patterns = [
            "/{$many}(".self::SIZE.")\\s+{$kinds}".self::VESSELS.'\b/iu',
            "/{$many}{$kinds}".self::VESSELS.'\s+(?:of|at|holding)\s+(?:about\s+)?('.self::SIZE.')(?!\p{L})/iu',
        ];
        // "1 x 10 mL bottle of lavender oil" goes in.
        $goesIn = '/^\W*'.$many.'(?:'.self::SIZE.')\s+'.$kinds.self::VESSELS.'\s+(?:of\s+)?\p{L}{3}.*$/imu';
        $text = preg_replace($goesIn, ' ', $text) ?? $text;
        foreach ($patterns as $pattern) {
            if (preg_match($pattern, $text, $m) !== 1) {
                continue;
            }
            // The ounces of a tin are of what it holds.
            $size = preg_replace('/(?<=\d)\s*'.UnitWords::OUNCES.'$/iu', ' fl oz', $m[2]) ?? $m[2];
            try {
                $ml = round($kitchen->reader()->read($size, Kind::Volume, 'mL')->value);
            } catch (AmountException) {
                continue;
            }
            $count = (int) (Figures::WORDS[mb_strtolower($m[1])] ?? $m[1]);

            // How large a tin may be is said where it is filled.
            return new self($ml, $count > 1 ? $count : null, trim($m[0]));
        }

        return null;
    }

    /** "2-oz tins" are of 2 oz. */
    private static function withoutDash(string $text): string
    {
        return preg_replace('/(?<=\d)-(?=(?:oz|ounce|ml)\b)/iu', ' ', $text) ?? $text;
    }

    /** Whether a line says nothing else. */
    public function isAllOf(string $line): bool
    {
        $bare = self::withoutDash($line);
        $fills = '/^\W*(?:pour|fills?|spoon|scoop|decant|store|keep|makes?)\b/iu';
        if (str_contains($bare, $this->said) && preg_match($fills, $bare) === 1) {
            return true;
        }

        return preg_match(
            '/^\W*(?:(?:melt|pour|fill|spoon|makes?|for|enough|and|it|in|into|to|about|up|the)\W+)*\W*(?:each\W*)?$/iu',
            str_replace($this->said, ' ', $bare),
        ) === 1;
    }

    /** What fills all of them weighs so much, g; null where it is not said how many there are. */
    public function grams(): ?int
    {
        return $this->count === null ? null : (int) round($this->count * $this->ml * self::G_PER_ML);
    }

    /**
     * As a product's wish has them: where every amount is measured, as many are filled as there is for.
     *
     * @return list<array{ml: float, count?: int}>
     */
    public function wish(bool $isMeasured): array
    {
        return [['ml' => $this->ml] + ($this->count === null || $isMeasured ? [] : ['count' => $this->count])];
    }

    /** What is told of it, where it is not as it says. */
    public function told(bool $isMeasured): ?string
    {
        return $this->count === null || $isMeasured
            ? sprintf('“%s” is taken as tins of %s, as many as there is for.', $this->said, AmountWriter::plain($this->ml, Kind::Volume))
            : null;
    }
}
