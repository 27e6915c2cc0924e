<?php

declare(strict_types=1);

namespace Kettle\Material;

use Kettle\Reason\Wording;

/**
 * Oils in order for a purpose: each marked 0 to 1 for keeping, feel, state at the room's warmth,
 * allergens, smell, price and stock, and the marks weighed as the purpose asks. The weights are common
 * practice put into numbers; the order is advice, and the reasons are the point.
 */
final readonly class OilRanking
{
    /** Months, opened, that earn the whole mark for keeping. */
    /** Of an oil of a house's own of which not all was said, by what its score is lowered. */
    private const NOT_ALL_KNOWN = 0.4;

    private const KEEPS_WELL = 24.0;

    /** A price that earns no mark, as a multiple of the cheapest oil of the house. */
    private const DEAR = 8.0;

    public function __construct(private Cupboard $cupboard) {}

    /**
     * @param  array<string, array{ml: float, price: ?float}>  $stock mL there is and price of 100 mL, by carrier id
     * @return list<array{carrier: Carrier, score: float, marks: array<string, float>, reasons: list<string>,
     *     stock_ml: float, price: ?float}> best first; unfit ones left out
     */
    public function for(Purpose $purpose, float $roomC, array $stock = []): array
    {
        $prices = array_filter(array_map(fn (array $each) => $each['price'], $stock), fn (?float $price) => $price !== null && $price > 0);
        $cheapest = $prices === [] ? null : min($prices);
        $ranked = [];
        foreach ($this->cupboard->offered($this->cupboard->carriers()) as $carrier) {
            if ($purpose->foodOnly && ! $carrier->food->gradeExists) {
                continue;
            }
            $here = $stock[$carrier->id] ?? ['ml' => 0.0, 'price' => null];
            $marks = $this->marks($carrier, $purpose, $roomC, $here, $cheapest);
            $sum = $of = 0.0;
            foreach ($purpose->weights as $id => $weight) {
                // What is not known, as a price, neither helps nor harms.
                if (isset($marks[$id])) {
                    $sum += $weight * $marks[$id];
                    $of += $weight;
                }
            }
            $ranked[] = [
                'carrier' => $carrier,
                // What nobody knows of it is no merit: it stands after what is known.
                'score' => ($of > 0 ? $sum / $of : 0.0) * ($carrier->unknown === [] ? 1.0 : self::NOT_ALL_KNOWN),
                'marks' => $marks,
                'reasons' => $this->reasons($carrier, $purpose, $roomC, $here),
                'stock_ml' => $here['ml'],
                'price' => $here['price'],
            ];
        }
        usort($ranked, fn (array $a, array $b) => [$b['score'], $a['carrier']->name] <=> [$a['score'], $b['carrier']->name]);

        return $ranked;
    }

    /**
     * @param  array{ml: float, price: ?float}  $here
     * @return array<string, float>
     */
    private function marks(Carrier $carrier, Purpose $purpose, float $roomC, array $here, ?float $cheapest): array
    {
        $marks = [
            'keeping' => min(1.0, $carrier->months->opened / self::KEEPS_WELL),
            'feel' => 1 - abs($carrier->feel->richness - $purpose->feelWanted) / 4,
            'state' => $purpose->liquid && $carrier->setsBelowC > $roomC ? 0.0 : 1.0,
            'allergens' => $carrier->food->allergens === [] ? 1.0 : 0.0,
            'scent' => 1 - $carrier->feel->scent / 2,
            'stock' => $here['ml'] > 0 ? 1.0 : 0.0,
        ];
        if ($here['price'] !== null && $cheapest !== null) {
            $marks['price'] = max(0.0, 1 - log(max(1.0, $here['price'] / $cheapest)) / log(self::DEAR));
        }

        return $marks;
    }

    /**
     * @param  array{ml: float, price: ?float}  $here
     * @return list<string> in a cook's words
     */
    private function reasons(Carrier $carrier, Purpose $purpose, float $roomC, array $here): array
    {
        $months = Wording::number($carrier->months->opened);
        $reasons = [sprintf('Keeps %s months once opened.', $months)];
        $off = $carrier->feel->richness - $purpose->feelWanted;
        $reasons[] = match (true) {
            abs($off) <= 1 => sprintf('Feels right for %s.', $purpose->name),
            $off > 0 => sprintf('Richer than is liked for %s.', $purpose->name),
            default => sprintf('Drier than is liked for %s.', $purpose->name),
        };
        if ($carrier->setsBelowC > $roomC) {
            $reasons[] = sprintf('Solid at %d °C.', (int) round($roomC)).($purpose->liquid ? '' : ' No fault here.');
        }
        if ($carrier->food->allergens !== []) {
            $reasons[] = 'Allergen: '.implode(', ', $carrier->food->allergens).'.';
        }
        if ($carrier->feel->scent > 0) {
            $reasons[] = $carrier->feel->scent === 2 ? 'Smells strongly of itself.' : 'Smells a little.';
        }
        if ($carrier->unknown !== []) {
            $reasons[] = 'Not all of it is known here.';
        }
        if ($here['ml'] > 0) {
            $reasons[] = 'In Stores.';
        }

        return $reasons;
    }
}
