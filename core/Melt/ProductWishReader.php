<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Material\Heed;
use Kettle\Material\MaterialException;
use Kettle\Material\State;
use Kettle\Measure\Amount;
use Kettle\Measure\AmountException;
use Kettle\Measure\Kind;
use Kettle\Reason\Faults;
use Kettle\Recipe\Fields;
use Kettle\Recipe\HerbsReader;
use Kettle\Recipe\WishedDays;
use Kettle\Recipe\WishException;

/** Reads a product's wish from a document (docs/formats/reckon.schema.json, "melt"), and says all that is wrong with it at once. */
final readonly class ProductWishReader
{
    public function __construct(private MeltTable $table, private House $house) {}

    /**
     * @param  array<mixed>  $document
     *
     * @throws WishException with every fault found
     */
    public function read(array $document): ProductWish
    {
        $faults = new Faults();
        $product = $faults->trying('product', fn () => $this->table->product(Fields::text($document, 'product') ?? 'salve'));
        if ($product === null) {
            throw self::all($faults);
        }
        $heeds = $faults->trying('heed', fn () => $this->house->kitchen->cupboard()->heedsOf($document['heed'] ?? [])) ?? [];
        $parts = new PartsReader($this->house, $faults, $heeds);
        $oils = $parts->oils($document, $product);
        $waxes = $parts->waxes($document);
        $butters = $parts->butters($document, $product);
        $others = $parts->others($document, $product);
        $scents = $parts->scents($document);
        $total = isset($document['total']) ? $faults->trying('total', fn () => $this->total($document)) : null;
        $tins = $this->tins($document, $product, $faults);
        $leaf = is_array($document['leaf'] ?? null) ? $this->leaf($document['leaf'], $product, $faults) : null;
        $bears = $document['bears_c'] ?? null;
        $readyBy = $faults->trying('ready_by', fn () => WishedDays::day($document, 'ready_by', $this->house->kitchen->today()));
        [$firmness, $word] = $faults->trying('firmness', fn () => $this->firmness($document)) ?? [null, null];
        $said = $firmness !== null;
        if ($faults->all() !== [] || $oils === []) {
            throw self::all($faults);
        }
        $byAmount = $oils[0]->grams !== null;
        if ($waxes === [] && ($said || $product->firmness !== null)) {
            if ($product->wax === null) {
                $faults->add(MeltException::noFirmness($product->name));
            } else {
                $waxes = [Going::parts($parts->usualWax($product->wax))];
            }
        }
        $waxByAmount = ($waxes[0] ?? null)?->grams !== null;
        self::sides($faults, $product, $said, $byAmount, $waxByAmount, $total !== null, $waxes);
        self::fit($faults, $product, $parts, [
            'oils' => $oils,
            'waxes' => $waxes,
            'butters' => $butters,
            'others' => $others,
            'essential_oils' => $scents,
        ]);
        if ($faults->all() !== []) {
            throw self::all($faults);
        }
        $how = $byAmount || $total !== null || $waxByAmount;
        $sayHowMuch = $tins !== [] && array_filter($tins, fn (Tin $tin) => $tin->count === null) === [];
        if ($tins === []) {
            $tins = [new Tin($product->usualMl, $how ? null : $product->usualCount, $product->fill)];
        }
        // Wax and how much else there is say how firm it gets.
        $follows = $waxByAmount && ($byAmount || $total !== null || $sayHowMuch);
        $bearsC = is_int($bears) || is_float($bears) ? (float) $bears : 20.0;

        return new ProductWish(
            $product,
            $oils,
            $waxes,
            $butters,
            $others,
            $scents,
            $follows || $waxes === [] ? null : $this->wanted($product, $firmness, $word, $bearsC),
            $word,
            $said,
            $bearsC,
            $total !== null && $total->kind === Kind::Mass ? $total->value : null,
            $total !== null && $total->kind === Kind::Volume ? $total->value : null,
            $tins,
            self::people($document, $heeds),
            $leaf,
            $readyBy,
            array_map(strval(...), array_keys(array_filter($document, fn (mixed $each) => $each !== null && $each !== []))),
            $heeds,
        );
    }

    /** By a word: what this house has found it to mean, and more where it must bear a warm room. A number is taken as it is. */
    private function wanted(Product $product, ?float $firmness, ?string $word, float $bearsC): ?float
    {
        $rule = $this->table->firmness();
        if ($word === null && $firmness !== null) {
            return $firmness;
        }
        $seen = FirmnessSeen::here($product, $word, $this->house, $rule);

        return $seen === null ? null : min(1.0, $seen->mean + $rule->softer($bearsC));
    }

    /** @param  array<mixed>  $document */
    private function total(array $document): Amount
    {
        $typed = Fields::text($document, 'total') ?? '';
        $reader = $this->house->kitchen->reader();
        try {
            return $reader->within($typed, Kind::Mass, 'g', 1.0, Solving::MOST_G);
        } catch (AmountException $refused) {
            try {
                return $reader->within($typed, Kind::Volume, 'mL', 1.0, Solving::MOST_G);
            } catch (AmountException) {
                throw $refused;
            }
        }
    }

    /**
     * Fresh where it is not said otherwise.
     *
     * @param  array<mixed>  $fields
     */
    private function leaf(array $fields, Product $product, Faults $faults): ?Leaf
    {
        if (! $product->has(Product::TAKES_LEAF)) {
            $faults->add(MeltException::noLeaf($product->name));

            return null;
        }
        $found = new Faults();
        $fields = array_filter($fields, fn (mixed $each) => $each !== null) + ['state' => State::Fresh->value];
        $read = (new HerbsReader($this->house->kitchen->cupboard(), $this->house->kitchen))->read(['herb' => $fields], $found);
        foreach ($found->all() as $fault) {
            $faults->add(
                new MeltException($fault['reason'], $fault['sentence'], (string) preg_replace('/^herb/', 'leaf', $fault['field'])),
            );
        }

        return $read === null
            ? null
            : $faults->tryingIn('leaf', fn () => Leaf::of($read['mix'], $read['total'], $this->house, $this->table));
    }

    /**
     * @param  array<mixed>  $document
     * @return list<Tin>
     */
    private function tins(array $document, Product $product, Faults $faults): array
    {
        $tins = [];
        foreach (is_array($document['tins'] ?? null) ? array_values($document['tins']) : [] as $i => $each) {
            $tin = $faults->tryingIn("tins.{$i}", function () use ($each, $product): Tin {
                $fields = is_array($each) ? $each : [];
                $ml = $fields['ml'] ?? null;
                if ((! is_int($ml) && ! is_float($ml)) || $ml < Tin::LEAST_ML || $ml > Tin::MOST_ML) {
                    throw MeltException::sizes()->about('ml');
                }
                $count = $fields['count'] ?? null;
                $fill = $fields['fill_percent'] ?? null;

                return new Tin(
                    (float) $ml,
                    is_int($count) ? $count : null,
                    is_int($fill) || is_float($fill) ? $fill / 100 : $product->fill,
                );
            });
            if ($tin !== null) {
                $tins[] = $tin;
            }
        }

        return $tins;
    }

    /**
     * @param  array<mixed>  $document
     * @return array{?float, ?string} as a number, and the word it was said with
     */
    private function firmness(array $document): array
    {
        $said = $document['firmness'] ?? null;
        if (is_string($said) && is_numeric(trim($said))) {
            $said = (float) $said;
        }
        if (is_int($said) || is_float($said)) {
            return $said >= 0 && $said <= 1
                ? [(float) $said, null]
                : throw new MeltException('out_of_range', 'How firm it is goes from 0, which pours, to 1, which is beeswax.', 'firmness');
        }
        if (is_string($said) && trim($said) !== '') {
            return [$this->table->firmness()->middle(trim($said)), trim($said)];
        }

        return [null, null];
    }

    /** @param  list<Going>  $waxes */
    private static function sides(Faults $faults, Product $product, bool $firmness, bool $oils, bool $wax, bool $total, array $waxes): void
    {
        $some = array_filter($waxes, fn (Going $each) => $each->grams !== null);
        if ($some !== [] && count($some) < count($waxes)) {
            $faults->add(MeltException::mixedSides('waxes', 'waxes'));
        }
        if ($total && $oils && $product->rest === 'oil') {
            $faults->add(MeltException::both('the total', 'the oil', 'total'));
        }
        if ($firmness && $wax && ($oils || $total)) {
            $faults->add(
                new MeltException(
                    'said_twice',
                    'The wax and what else there is say how firm it gets. Leave out how firm, or how much wax.',
                    'firmness',
                ),
            );
        }
        if (! $firmness && $product->firmness === null && $waxes !== [] && ! $wax) {
            $faults->add(new MeltException('missing', 'Say how much wax, or how firm it is to be.', 'waxes.0.amount'));
        }
    }

    /**
     * What may not go together, whatever the amounts.
     *
     * @param  array<string, list<Going>>  $groups by field
     */
    private static function fit(Faults $faults, Product $product, PartsReader $parts, array $groups): void
    {
        $kitchen = $product->has(Product::KITCHEN);
        foreach ($groups as $field => $group) {
            foreach ($group as $i => $going) {
                $part = $going->part;
                if ($kitchen && ! $part->food) {
                    $faults->add(MeltException::notFood($parts->name($part), $product->name)->about("{$field}.{$i}"));
                }
                if ($part->kind === PartKind::Water && ! $product->has(Product::WATER)) {
                    $faults->add(MeltException::noWater($product->name)->about("{$field}.{$i}"));
                }
            }
        }
        $is = fn (PartKind $kind): bool => array_filter($groups['others'], fn (Going $each) => $each->part->kind === $kind) !== [];
        if ($product->has(Product::WATER) && ! $is(PartKind::Preservative)) {
            $faults->add(MeltException::noPreservative());
        }
        if ($product->has(Product::WATER) && ! $is(PartKind::Emulsifier)) {
            $faults->add(new MeltException('no_emulsifier', 'Without an emulsifier water and oil part again. Put one in.', 'others'));
        }
    }

    /**
     * @param  array<mixed>  $document
     * @param  list<Heed>  $heeds of which some are people too, whose limits for scents hold as well
     * @return list<string>
     */
    private static function people(array $document, array $heeds): array
    {
        $for = $document['for'] ?? [];
        $people = array_filter(is_array($for) ? $for : [$for], fn (mixed $each) => is_string($each) && $each !== '');
        $also = array_filter(array_map(fn (Heed $heed) => $heed->person, $heeds), fn (string $person) => $person !== '');

        return array_values(array_unique([...$people, ...$also]));
    }

    private static function all(Faults $faults): WishException
    {
        $all = $faults->all();

        return $all === [] ? WishException::from(MaterialException::noOil()->about('oils')) : WishException::faults($all);
    }
}
