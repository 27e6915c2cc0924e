<?php

declare(strict_types=1);

namespace Kettle\Stores;

use Kettle\Measure\AmountException;
use Kettle\Measure\AmountReader;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Density;
use Kettle\Measure\Kind;
use Kettle\Measure\PartOf;

/** What is left of a lot, as somebody counts it and says it: "300 g", "half of it", "nothing". */
final readonly class Counting
{
    private const NOTHING = '/^(?:0+(?:[.,]0+)?\s*\p{L}*|nothing|none|empty|finished|(?:all\s+)?(?:gone|used(?:\s+up)?))(?:\s+left)?$/iu';

    /** Said around a part: "about half a bag left". */
    private const AROUND = [
        '/^(?:about|around|roughly|approx\.?|ca\.?|~)\s*/iu' => '',
        '/\s+(?:is\s+|are\s+)?(?:left|remaining|full)$/iu' => '',
        '/^(half|(?:(?:an?|one|two|three)\s+)?(?:third|quarter)s?)\s+(?:of\s+)?(?:an?|the)\s+\p{L}+$/iu' => '$1',
        '/^(?:full|untouched|unopened)$/iu' => 'all',
    ];

    private const MOST_PIECES = 10_000;

    /** In g or mL. */
    private const MOST = 200_000.0;

    /** So many times what came in is a slip of the unit or of a nought, and no well-filled packet. Our own bound. */
    private const TIMES_GOT = 2.0;

    /**
     * @param  ?Kind  $measure what it is measured by; null for pieces
     * @param  ?Density  $density where it is known
     * @param  Stock  $stock what came in, and what there should be before the count, in g, mL or pieces
     */
    public function __construct(private AmountReader $amounts, private ?Kind $measure, private ?Density $density, private Stock $stock) {}

    /**
     * @return float in g, mL or pieces
     *
     * @throws AmountException|LotException when it cannot be read, is far more than came in, or may be a part of two things
     */
    public function read(string $typed): float
    {
        $said = trim($typed);
        if (preg_match(self::NOTHING, $said) === 1) {
            return 0.0;
        }
        $share = PartOf::share(preg_replace(array_keys(self::AROUND), array_values(self::AROUND), $said) ?? $said);
        $left = match (true) {
            $share !== null => $this->part($share, $typed),
            $this->measure === null => $this->pieces($said),
            default => $this->amounts->one()->within($said, $this->measure, $this->measure->value, 0.01, self::MOST, $this->density)
                ->value,
        };

        return $left <= $this->stock->got * self::TIMES_GOT
            ? $left
            : throw LotException::moreThanCame($typed, $this->text($this->stock->got));
    }

    /** Of a lot nobody took from, a part is of what came in; of another it may be of that, or of what should be there. */
    private function part(float $share, string $typed): float
    {
        [$got, $left] = [$this->stock->got, $this->stock->left];
        if (abs($got - $left) > 0.01) {
            throw LotException::partOfWhich(
                $typed,
                $this->text($got),
                $this->text($got * $share),
                $this->text($left),
                $this->text($left * $share),
            );
        }

        return $this->measure === null ? floor($got * $share) : $got * $share;
    }

    private function pieces(string $said): float
    {
        return preg_match('/^(\d{1,5})(?:\s*(?:pieces?|pcs?|pc|jars?|bottles?|tins?))?$/iuD', $said, $m) === 1 &&
            (int) $m[1] <= self::MOST_PIECES
            ? (float) $m[1]
            : throw LotException::count($said);
    }

    private function text(float $amount): string
    {
        return $this->measure === null ? (string) floor($amount) : AmountWriter::plain($amount, $this->measure);
    }
}
