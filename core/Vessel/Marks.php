<?php

declare(strict_types=1);

namespace Kettle\Vessel;

use Kettle\Measure\AmountReader;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Reason\RefusedException;

/**
 * How high so much stands in a jar that is no cylinder: measured once with a jug and a ruler. Between two marks it is one;
 * source: geometry.
 */
final readonly class Marks
{
    public const MOST = 12;

    /** Nobody reads a jug or a ruler closer: between two marks the jar is no wider than this many times its mean, nor narrower. */
    private const WIDEST = 6.0;

    /** @param  list<array{ml: float, mm: float}>  $marks rising, within the jar, without its bottom and its brim */
    private function __construct(public array $marks) {}

    public static function none(): self
    {
        return new self([]);
    }

    /**
     * "100 mL at 32 mm, 300 mL at 80 mm".
     *
     * @throws RefusedException when it cannot be read
     */
    public static function read(string $typed, AmountReader $reader): self
    {
        $marks = [];
        foreach (preg_split('/\s*[;,\n]\s*/u', trim($typed), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $piece) {
            $sides = preg_split('/\s*(?:\bat\b|=|:|@)\s*/iu', $piece) ?: [];
            if (count($sides) !== 2) {
                throw JarException::marksUnread($piece);
            }
            $marks[] = [
                'ml' => $reader->read($sides[0], Kind::Volume, 'mL')->value,
                'mm' => $reader->read($sides[1], Kind::Length, 'mm')->value,
            ];
        }

        return new self($marks);
    }

    /** @param  list<array{ml: float, mm: float}>  $marks as they are kept */
    public static function kept(array $marks): self
    {
        return new self($marks);
    }

    /** @throws JarException when they are not of a jar that holds so much and is so high */
    public function within(float $brimMl, float $heightMm): void
    {
        if (count($this->marks) > self::MOST) {
            throw JarException::marksMany(self::MOST);
        }
        $mean = $brimMl / $heightMm;
        $before = ['ml' => 0.0, 'mm' => 0.0];
        foreach ([...$this->marks, ['ml' => $brimMl, 'mm' => $heightMm]] as $mark) {
            $ml = $mark['ml'] - $before['ml'];
            $mm = $mark['mm'] - $before['mm'];
            if ($ml <= 0 || $mm <= 0 || $ml / $mm > self::WIDEST * $mean || $ml / $mm < $mean / self::WIDEST) {
                throw JarException::marksCross(
                    AmountWriter::plain($mark['ml'], Kind::Volume),
                    AmountWriter::plain($mark['mm'], Kind::Length),
                );
            }
            $before = $mark;
        }
    }

    /** "100 mL at 32 mm, 300 mL at 80 mm"; empty where there is none. */
    public function text(): string
    {
        return implode(
            ', ',
            array_map(
                fn (array $mark) => AmountWriter::plain($mark['ml'], Kind::Volume).' at '.AmountWriter::plain($mark['mm'], Kind::Length),
                $this->marks,
            ),
        );
    }
}
