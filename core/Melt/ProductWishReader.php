<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Material\Addition;
use Kettle\Material\Cupboard;
use Kettle\Material\MaterialException;
use Kettle\Measure\Amount;
use Kettle\Measure\AmountException;
use Kettle\Measure\Density;
use Kettle\Measure\Kind;
use Kettle\Reason\Faults;
use Kettle\Reason\RefusedException;
use Kettle\Recipe\Fields;
use Kettle\Recipe\WishException;
use Kettle\Time\Dates;

/** Reads a product's wish from a document (docs/formats/reckon.schema.json, "melt"), and says all that is wrong with it at once. */
final readonly class ProductWishReader
{
    public const MOST_DROPS = 2_000;

    private const MOST_G = 20_000.0;

    private const LEAST_G = 0.01;

    private Cupboard $cupboard;

    public function __construct(private MeltTable $table, private House $house)
    {
        $this->cupboard = $house->kitchen->cupboard();
    }

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
        $oils = $this->oils($document, $product, $faults);
        $waxes = $this->group($document, 'waxes', $faults, $this->wax(...));
        $butters = array_key_exists('butters', $document)
            ? $this->group($document, 'butters', $faults, $this->butter(...))
            : array_map(
                fn (array $usual) => Going::share(Part::ofWax($this->cupboard->wax($usual['id'])), $usual['share']),
                $product->butters,
            );
        $others = $this->others($document, $product, $faults);
        $scents = $this->group($document, 'essential_oils', $faults, $this->scent(...));
        $total = isset($document['total']) ? $faults->trying('total', fn () => $this->total($document)) : null;
        $tins = $this->tins($document, $product, $faults);
        $bears = $document['bears_c'] ?? null;
        [$firmness, $word] = $faults->trying('firmness', fn () => $this->firmness($document, $product)) ?? [null, null];
        $said = $firmness !== null;
        if ($faults->all() !== [] || $oils === []) {
            throw self::all($faults);
        }
        $byAmount = $oils[0]->grams !== null;
        if ($waxes === [] && ($said || $product->firmness !== null)) {
            if ($product->wax === null) {
                $faults->add(MeltException::noFirmness($product->name));
            } else {
                $waxes = [Going::parts(Part::ofWax($this->cupboard->wax($product->wax)))];
            }
        }
        $waxByAmount = ($waxes[0] ?? null)?->grams !== null;
        self::sides($faults, $product, $said, $byAmount, $waxByAmount, $total !== null, $waxes);
        $this->fit($faults, $product, [
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
            self::people($document),
            array_map(strval(...), array_keys(array_filter($document, fn (mixed $each) => $each !== null && $each !== []))),
        );
    }

    /** By a word: what this house has found it to mean, and more where it must bear a warm room. A number is taken as it is. */
    private function wanted(Product $product, ?float $firmness, ?string $word, float $bearsC): ?float
    {
        $rule = $this->table->firmness();
        if ($word === null && $firmness !== null) {
            return $firmness;
        }
        $seen = $this->seen($product, $word);

        return $seen === null ? null : min(1.0, $seen->mean + $rule->softer($bearsC));
    }

    /** What this house's own pots say of the word, or of the product's own firmness; null where wax does not decide it. */
    public function seen(Product $product, ?string $word): ?FirmnessSeen
    {
        $rule = $this->table->firmness();
        $band = $word !== null ? $rule->named($word) : ($product->firmness === null ? null : $rule->band($product->firmness));
        if ($band === null) {
            return null;
        }
        $middle = $word === null ? (float) $product->firmness : $rule->middle($word);
        $isOf = fn (Verdict $each): bool => $rule->band($each->firmness)['id'] === $band['id'];
        $here = array_values(array_filter($this->house->verdicts, $isOf));

        return FirmnessSeen::of($middle, $band['to'] - $band['from'], $here, $rule);
    }

    /**
     * @param  array<mixed>  $document
     * @return list<Going>
     */
    private function oils(array $document, Product $product, Faults $faults): array
    {
        if (! array_key_exists('oils', $document)) {
            return [Going::parts(Part::ofOil($this->cupboard->carrier($product->carrier), $this->cupboard))];
        }
        $oils = $this->group($document, 'oils', $faults, $this->oil(...));
        if ($oils === [] && $faults->all() === []) {
            $faults->add(MaterialException::noOil()->about('oils'));
        }
        $byAmount = array_filter($oils, fn (Going $each) => $each->grams !== null);
        if ($byAmount !== [] && count($byAmount) < count($oils)) {
            $faults->add(MeltException::mixedSides('oils', 'oils'));
        }

        return $oils;
    }

    /**
     * @param  array<mixed>  $document
     * @param  \Closure(array<mixed>): ?Going  $read
     * @return list<Going>
     */
    private function group(array $document, string $key, Faults $faults, \Closure $read): array
    {
        $group = $seen = [];
        foreach (is_array($document[$key] ?? null) ? array_values($document[$key]) : [] as $i => $each) {
            $going = self::at($faults, "{$key}.{$i}", fn () => $read(is_array($each) ? $each : ['id' => $each]));
            if ($going === null) {
                continue;
            }
            if (isset($seen[$going->part->key()])) {
                $faults->add(MeltException::twice($this->name($going->part))->about("{$key}.{$i}"));
            }
            $seen[$going->part->key()] = true;
            $group[] = $going;
        }

        return $group;
    }

    /** @param  array<mixed>  $fields */
    private function oil(array $fields): Going
    {
        $part = $this->oilPart($fields);
        if (isset($fields['amount'])) {
            $density = Density::gramsPerMl($part->gramsPerMl);
            $amount = $this->amount($fields, Kind::Volume, 'mL', $density);

            return Going::amount($part, $density->massOf($amount->value), $amount->typed);
        }
        $parts = $fields['parts'] ?? 1.0;
        $parts = is_string($parts) ? $this->house->kitchen->reader()->number($parts) : $parts;
        if ((! is_int($parts) && ! is_float($parts)) || $parts <= 0 || $parts > 20_000) {
            throw MaterialException::badParts($this->name($part));
        }

        return Going::parts($part, (float) $parts);
    }

    /** @param  array<mixed>  $fields */
    private function oilPart(array $fields): Part
    {
        $batch = Fields::text($fields, 'batch');
        if ($batch !== null) {
            $infused = $this->house->infused[$batch] ?? throw MeltException::batch($batch)->about('batch');
            if ($infused->is === Infused::DISCARDED) {
                throw MeltException::discarded($infused->called)->about('batch');
            }
            if ($infused->bestBefore !== null && $infused->bestBefore < $this->house->kitchen->today()) {
                throw MeltException::past($infused->called, Dates::say($infused->bestBefore, 'day'))->about('batch');
            }

            return Part::ofInfused($infused, $this->cupboard);
        }
        $id = Fields::text($fields, 'id') ?? (Fields::text($fields, 'name') ?? '');
        $carrier = $this->cupboard->carriers()[$id] ?? ($this->cupboard->carrierNamed($id) ?? throw MaterialException::oilUnknown($id));

        return Part::ofOil($carrier, $this->cupboard);
    }

    /** @param  array<mixed>  $fields */
    private function wax(array $fields): Going
    {
        $wax = $this->cupboard->wax(Fields::text($fields, 'id') ?? '');
        $part = Part::ofWax($wax);
        if (isset($fields['amount'])) {
            $amount = $this->amount($fields, Kind::Mass, 'g', $wax->pellets ?? Density::gramsPerMl($wax->gramsPerMl));

            return Going::amount($part, $amount->value, $amount->typed, $amount->throughDensity);
        }
        $parts = $fields['parts'] ?? 1.0;

        return Going::parts($part, is_int($parts) || is_float($parts) ? (float) $parts : 1.0);
    }

    /** @param  array<mixed>  $fields */
    private function butter(array $fields): ?Going
    {
        $wax = $this->cupboard->wax(Fields::text($fields, 'id') ?? '');

        return $this->shareOrAmount($fields, Part::ofWax($wax), Density::gramsPerMl($wax->gramsPerMl), null, false);
    }

    /** @param  array<mixed>  $fields */
    private function other(array $fields): ?Going
    {
        $id = Fields::text($fields, 'id') ?? '';
        $wax = $this->cupboard->waxes()[$id] ?? null;
        if ($wax !== null) {
            return $this->shareOrAmount($fields, Part::ofWax($wax), $wax->pellets ?? Density::gramsPerMl($wax->gramsPerMl), null);
        }
        $addition = $this->cupboard->addition($id);

        return $this->shareOrAmount(
            $fields,
            Part::ofAddition($addition),
            $addition->bulk ?? $addition->density,
            $addition->usualPercent === null ? null : $addition->usualPercent / 100,
        );
    }

    /** @param  array<mixed>  $fields */
    private function shareOrAmount(array $fields, Part $part, Density $bulk, ?float $usual, bool $loose = true): ?Going
    {
        if (isset($fields['amount'])) {
            $amount = $this->amount($fields, Kind::Mass, 'g', $bulk);

            return Going::amount($part, $amount->value, $amount->typed, $loose && $amount->throughDensity);
        }
        $percent = $fields['percent'] ?? null;
        $share = is_int($percent) || is_float($percent) ? $percent / 100 : $fields['share'] ?? $usual;
        if (! is_int($share) && ! is_float($share)) {
            // Water is as much of it as is left.
            return $part->kind === PartKind::Water
                ? Going::parts($part)
                : throw new MeltException(
                    'missing',
                    sprintf('Say how much %s: a share of the whole, or an amount.', $this->name($part)),
                    'share',
                );
        }

        return $share > 0 ? Going::share($part, (float) $share) : null;
    }

    /** @param  array<mixed>  $fields */
    private function scent(array $fields): ?Going
    {
        $oil = $this->cupboard->essentialOil(Fields::text($fields, 'id') ?? '');
        $part = Part::ofScent($oil);
        $drops = $fields['drops'] ?? null;
        if (is_int($drops) || is_float($drops)) {
            if ($drops > self::MOST_DROPS) {
                throw MeltException::tooManyDrops(self::MOST_DROPS)->about('drops');
            }

            return $drops > 0
                ? Going::amount($part, $drops * $oil->dropG($this->house->kitchen->dropsPerMl), sprintf('%g drops', $drops))
                : null;
        }
        if (isset($fields['amount'])) {
            $amount = $this->amount($fields, Kind::Mass, 'g', $oil->density);

            return Going::amount($part, $amount->value, $amount->typed);
        }
        $percent = $fields['percent'] ?? null;
        if (! is_int($percent) && ! is_float($percent)) {
            throw new MeltException('missing', sprintf('Say how much %s: in drops or in per cent.', $oil->name), 'percent');
        }

        return $percent > 0 ? Going::share($part, $percent / 100) : null;
    }

    /**
     * What was said goes in, and what the product always has where nothing of the kind was said.
     *
     * @param  array<mixed>  $document
     * @return list<Going>
     */
    private function others(array $document, Product $product, Faults $faults): array
    {
        $water = isset($document['water'])
            ? $this->group(
                ['water' => is_array($document['water']) ? [$document['water']] : [['id' => $document['water']]]],
                'water',
                $faults,
                $this->other(...),
            )
            : [];
        $others = [...$this->group($document, 'others', $faults, $this->other(...)), ...$water];
        $named = array_map(
            fn (mixed $each) => is_array($each) ? $each['id'] ?? '' : $each,
            is_array($document['others'] ?? null) ? $document['others'] : [],
        );
        $dry = [PartKind::Grain, PartKind::Powder, PartKind::SpentHerb];
        $there = array_map(fn (Going $each) => $each->part->kind->value, $others);
        $isOf = fn (PartKind ...$kinds): bool => array_intersect($there, array_map(fn (PartKind $kind) => $kind->value, $kinds)) !== [];
        foreach ($product->others as $usual) {
            $part = Part::ofAddition($this->cupboard->addition($usual['id']));
            $kinds = in_array($part->kind, $dry, true) ? $dry : [$part->kind];
            if (! $isOf(...$kinds) && ! in_array($usual['id'], $named, true)) {
                $others[] = Going::share($part, $usual['share']);
            }
        }
        if ($product->rest === Product::WATER && ! $isOf(PartKind::Water)) {
            $others[] = Going::parts(Part::ofAddition($this->cupboard->addition(Addition::WATER)));
        }

        return $others;
    }

    /** @param  array<mixed>  $fields */
    private function amount(array $fields, Kind $kind, string $unit, Density $density): Amount
    {
        $typed = Fields::text($fields, 'amount') ?? '';
        try {
            return $this->house->kitchen->reader()->within($typed, $kind, $unit, self::LEAST_G, self::MOST_G, $density);
        } catch (AmountException $refused) {
            throw $refused->about('amount');
        }
    }

    /** @param  array<mixed>  $document */
    private function total(array $document): Amount
    {
        $typed = Fields::text($document, 'total') ?? '';
        $reader = $this->house->kitchen->reader();
        try {
            return $reader->within($typed, Kind::Mass, 'g', 1.0, self::MOST_G);
        } catch (AmountException $refused) {
            try {
                return $reader->within($typed, Kind::Volume, 'mL', 1.0, self::MOST_G);
            } catch (AmountException) {
                throw $refused;
            }
        }
    }

    /**
     * @param  array<mixed>  $document
     * @return list<Tin>
     */
    private function tins(array $document, Product $product, Faults $faults): array
    {
        $tins = [];
        foreach (is_array($document['tins'] ?? null) ? array_values($document['tins']) : [] as $i => $each) {
            $tin = self::at($faults, "tins.{$i}", function () use ($each, $product): Tin {
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
    private function firmness(array $document, Product $product): array
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
    private function fit(Faults $faults, Product $product, array $groups): void
    {
        $kitchen = $product->has(Product::KITCHEN);
        foreach ($groups as $field => $group) {
            foreach ($group as $i => $going) {
                $part = $going->part;
                if ($kitchen && ! $part->food) {
                    $faults->add(MeltException::notFood($this->name($part), $product->name)->about("{$field}.{$i}"));
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
     * @return list<string>
     */
    private static function people(array $document): array
    {
        $for = $document['for'] ?? [];

        return array_values(array_filter(is_array($for) ? $for : [$for], fn (mixed $each) => is_string($each) && $each !== ''));
    }

    /**
     * Reads one of a list; what is wrong is laid to the field under its place in it.
     *
     * @template T
     *
     * @param  \Closure(): T  $read
     * @return T|null
     */
    private static function at(Faults $faults, string $place, \Closure $read): mixed
    {
        try {
            return $read();
        } catch (RefusedException $refused) {
            $faults->add($refused->about($refused->field === '' ? $place : "{$place}.{$refused->field}"));

            return null;
        }
    }

    private function name(Part $part): string
    {
        return $part->infused->called ??
            ($part->scent->name ?? ($part->carrier->name ?? $this->house->kitchen->words()->thing($part->said)));
    }

    private static function all(Faults $faults): WishException
    {
        $all = $faults->all();

        return $all === [] ? WishException::from(MaterialException::noOil()->about('oils')) : WishException::faults($all);
    }
}
