<?php

declare(strict_types=1);

namespace Kettle\Measure;

/**
 * Herb to oil, one part to so many, and by what the parts are reckoned.
 */
final readonly class Ratio
{
    /** Leaner than this hardly anything is left of the herb; a spoonful of flowers in a cup of oil comes to about 1:50. */
    /** Parts of oil over which a dried herb is told as very little: common practice goes to 1:9. */
    public const LEAN = 14.0;

    public const LEANEST = 60.0;

    public const WEIGHT_TO_VOLUME = 'w/v';

    public const WEIGHT_TO_WEIGHT = 'w/w';

    public const VOLUME_TO_VOLUME = 'v/v';

    private function __construct(public float $parts, public string $by) {}

    /** One gram of herb to so many millilitres of oil, the trade's default. */
    public static function perGram(float $ml): self
    {
        return self::of($ml, self::WEIGHT_TO_VOLUME);
    }

    /** A ratio that came of a jar and was not asked for: any above zero. */
    public static function found(float $ml): self
    {
        return new self(max(0.01, $ml), self::WEIGHT_TO_VOLUME);
    }

    /** @throws RatioException when outside 1:1 to 1:60, or the convention is none of the three */
    public static function of(float $parts, string $by): self
    {
        if (! in_array($by, [self::WEIGHT_TO_VOLUME, self::WEIGHT_TO_WEIGHT, self::VOLUME_TO_VOLUME], true)) {
            throw RatioException::unknownConvention($by);
        }
        if ($parts < 1 || $parts > self::LEANEST) {
            throw RatioException::outOfRange($parts);
        }

        return new self($parts, $by);
    }

    /**
     * Reads "1:5", "1 to 7", "2:11", "1:5 w/w", "5".
     *
     * @throws RatioException when it cannot be read or is out of range
     */
    public static function read(string $typed): self
    {
        $pattern = '/^\s*(?:(\d+(?:\.\d+)?)\s*(?::|to)\s*)?(\d+(?:\.\d+)?)\s*(w\s*\/\s*v|w\s*\/\s*w|v\s*\/\s*v)?\s*$/i';
        if (mb_strlen($typed) > 40 || preg_match($pattern, $typed, $m) !== 1) {
            throw RatioException::unreadable($typed);
        }
        $herb = $m[1] === '' ? 1.0 : (float) $m[1];
        if ($herb <= 0) {
            throw RatioException::unreadable($typed);
        }
        $by = strtolower(str_replace(' ', '', $m[3] ?? '')) ?: self::WEIGHT_TO_VOLUME;

        return self::of((float) $m[2] / $herb, $by);
    }

    /** The same convention with other parts of oil. */
    public function parts(float $parts): self
    {
        return self::of($parts, $this->by);
    }

    /** Oil for each gram of herb, mL, in this convention. */
    public function mlPerGram(Density $oil, Density $looseHerb): float
    {
        return match ($this->by) {
            self::WEIGHT_TO_WEIGHT => $oil->volumeOf($this->parts),
            self::VOLUME_TO_VOLUME => $looseHerb->volumeOf(1.0) * $this->parts,
            default => $this->parts,
        };
    }

    public function text(): string
    {
        $parts = rtrim(rtrim(number_format($this->parts, 1, '.', ''), '0'), '.');

        return '1:'.$parts.($this->by === self::WEIGHT_TO_VOLUME ? '' : ' '.$this->by);
    }
}
