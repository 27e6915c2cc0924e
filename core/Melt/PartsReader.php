<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Material\Addition;
use Kettle\Material\Cupboard;
use Kettle\Material\Heed;
use Kettle\Material\MaterialException;
use Kettle\Material\Wax;
use Kettle\Measure\Amount;
use Kettle\Measure\Density;
use Kettle\Measure\Kind;
use Kettle\Reason\Faults;
use Kettle\Reason\RefusedException;
use Kettle\Recipe\Fields;
use Kettle\Recipe\WishException;
use Kettle\Time\Dates;

/** Reads what goes into a product: each of its lists, every part known, every amount in g. Faults are gathered, not thrown. */
final readonly class PartsReader
{
    public const MOST_DROPS = 2_000;

    private const LEAST_G = 0.01;

    private Cupboard $cupboard;

    /** @param  list<Heed>  $heeds what the product's own parts give way to */
    public function __construct(private House $house, private Faults $faults, private array $heeds = [])
    {
        $this->cupboard = $house->kitchen->cupboard();
    }

    /**
     * @param  array<mixed>  $document
     * @return list<Going>
     */
    public function waxes(array $document): array
    {
        return $this->group($document, 'waxes', $this->wax(...));
    }

    /**
     * Those that were said, or the product's own where nothing was.
     *
     * @param  array<mixed>  $document
     * @return list<Going>
     */
    public function butters(array $document, Product $product): array
    {
        return array_key_exists('butters', $document)
            ? $this->group($document, 'butters', $this->butter(...))
            : array_map(fn (array $usual) => Going::share($this->usualWax($usual['id']), $usual['share']), $product->butters);
    }

    /** The product's own oil; where that is barred, the best for its use that is not. */
    private function usualOil(Product $product): Part
    {
        $usual = Part::ofOil($this->cupboard->carrier($product->carrier), $this->cupboard);
        if (! $this->isBarred($usual)) {
            return $usual;
        }
        foreach ($this->house->kitchen->ranked($product->has(Product::KITCHEN) ? 'kitchen' : 'skin') as $ranked) {
            $other = Part::ofOil($ranked['carrier'], $this->cupboard);
            $doubted = array_filter($this->heeds, fn (Heed $heed) => $heed->doubtsOil($ranked['carrier']));
            if ($other->fusion === null && $doubted === [] && ! $this->isBarred($other)) {
                return $other;
            }
        }

        return $usual;
    }

    /** A wax or butter of the product's own; where that is barred, the first of its kind that is not. */
    public function usualWax(string $id): Part
    {
        $wax = $this->cupboard->wax($id);
        foreach ([$wax, ...array_values($this->cupboard->offered($this->cupboard->waxes()))] as $other) {
            $part = Part::ofWax($other);
            if ($other->kind === $wax->kind && $other->hardness !== null && ! $this->isBarred($part)) {
                return $part;
            }
        }

        return Part::ofWax($wax);
    }

    private function isBarred(Part $part): bool
    {
        return array_filter($this->heeds, fn (Heed $heed) => $heed->barsPart($part->allergens, $part->food)) !== [];
    }

    /**
     * @param  array<mixed>  $document
     * @return list<Going>
     */
    public function scents(array $document): array
    {
        return $this->group($document, 'essential_oils', $this->scent(...));
    }

    /**
     * @param  array<mixed>  $document
     * @return list<Going>
     */
    public function oils(array $document, Product $product): array
    {
        if (! array_key_exists('oils', $document)) {
            return [Going::parts($this->usualOil($product))];
        }
        $oils = $this->group($document, 'oils', $this->oil(...));
        if ($oils === [] && $this->faults->all() === []) {
            $this->faults->add(MaterialException::noOil()->about('oils'));
        }
        $byAmount = array_filter($oils, fn (Going $each) => $each->grams !== null);
        if ($byAmount !== [] && count($byAmount) < count($oils)) {
            $this->faults->add(MeltException::mixedSides('oils', 'oils'));
        }

        return $oils;
    }

    /**
     * @param  array<mixed>  $document
     * @param  \Closure(array<mixed>, int): ?Going  $read given its place in the list
     * @return list<Going>
     */
    private function group(array $document, string $key, \Closure $read): array
    {
        $group = $seen = [];
        foreach (is_array($document[$key] ?? null) ? array_values($document[$key]) : [] as $i => $each) {
            $going = $this->faults->tryingIn("{$key}.{$i}", fn () => $read(is_array($each) ? $each : ['id' => $each], $i));
            if ($going === null) {
                continue;
            }
            if (isset($seen[$going->part->key()])) {
                $this->faults->add(MeltException::twice($this->name($going->part))->about("{$key}.{$i}"));
            }
            $seen[$going->part->key()] = true;
            $group[] = $going;
        }

        return $group;
    }

    /** @param  array<mixed>  $fields */
    private function oil(array $fields, int $i): Going
    {
        $part = $this->oilPart($fields, $i);
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

    /**
     * An oil that is not begun yet: what it is comes of its own wish.
     *
     * @param  array<mixed>  $wish of the oil
     * @param  array<mixed>  $fields beside it
     */
    private function toInfuse(array $wish, array $fields, int $i): Part
    {
        foreach (['id', 'batch'] as $other) {
            if (isset($fields[$other])) {
                throw MeltException::both('the oil that is there', 'one to be infused', 'infuse');
            }
        }
        try {
            $oil = ToInfuse::of($wish, $this->house);
        } catch (WishException $refused) {
            throw MeltException::oilSaysNo($refused, 'infuse');
        }

        return Part::ofInfused($oil->infused($i), $this->cupboard);
    }

    /** @param  array<mixed>  $fields */
    private function oilPart(array $fields, int $i): Part
    {
        if (is_array($fields['infuse'] ?? null)) {
            return $this->toInfuse($fields['infuse'], $fields, $i);
        }
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
        $carrier = $this->cupboard->carrierOrNull($id) ?? ($this->cupboard->carrierNamed($id) ?? throw MaterialException::oilUnknown($id));

        return Part::ofOil($carrier, $this->cupboard);
    }

    /** @param  array<mixed>  $fields */
    private function wax(array $fields): Going
    {
        $wax = $this->waxCalled($fields);
        $part = Part::ofWax($wax);
        if (isset($fields['amount'])) {
            $amount = $this->amount($fields, Kind::Mass, 'g', $wax->pellets ?? Density::gramsPerMl($wax->gramsPerMl));

            return Going::amount($part, $amount->value, $amount->typed, $amount->throughDensity);
        }
        $parts = $fields['parts'] ?? 1.0;

        return Going::parts($part, is_int($parts) || is_float($parts) ? (float) $parts : 1.0);
    }

    /** @param  array<mixed>  $fields by id, or as somebody calls it */
    private function waxCalled(array $fields): Wax
    {
        $id = Fields::text($fields, 'id') ?? '';

        return $this->cupboard->waxOrNull($id) ?? ($this->cupboard->waxNamed($id) ?? $this->cupboard->wax($id));
    }

    /** @param  array<mixed>  $fields */
    private function butter(array $fields): ?Going
    {
        $wax = $this->waxCalled($fields);

        return $this->shareOrAmount($fields, Part::ofWax($wax), Density::gramsPerMl($wax->gramsPerMl), null, false);
    }

    /** @param  array<mixed>  $fields */
    private function other(array $fields): ?Going
    {
        if (isset($fields['boil'])) {
            return $this->boiled($fields);
        }
        $id = Fields::text($fields, 'id') ?? '';
        $wax = $this->cupboard->waxOrNull($id);
        $wax ??= isset($this->cupboard->additions()[$id]) ? null : $this->cupboard->waxNamed($id);
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
    private function boiled(array $fields): ?Going
    {
        if (isset($fields['id'])) {
            throw MeltException::both('one that was boiled here', 'one by its name', 'boil');
        }
        $id = Fields::text($fields, 'boil') ?? '';
        $boiled = $this->house->boiled[$id] ?? throw MeltException::boil($id)->about('boil');
        if ($boiled->stands !== Boiled::SOUND) {
            throw MeltException::notThere($boiled->called, $boiled->stands === Boiled::NOT_YET)->about('boil');
        }
        if ($boiled->bestBefore !== null && $boiled->bestBefore < $this->house->kitchen->today()) {
            throw MeltException::past($boiled->called, Dates::say($boiled->bestBefore, 'day'))->about('boil');
        }
        $addition = $this->cupboard->addition($boiled->as);

        return $this->shareOrAmount($fields, Part::ofBoiled($boiled, $addition), $addition->density, null);
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
        $id = Fields::text($fields, 'id') ?? '';
        $oil = $this->cupboard->scentOrNull($id) ?? ($this->cupboard->scentNamed($id) ?? $this->cupboard->essentialOil($id));
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
    public function others(array $document, Product $product): array
    {
        $water = isset($document['water'])
            ? $this->group(
                ['water' => is_array($document['water']) ? [$document['water']] : [['id' => $document['water']]]],
                'water',
                $this->other(...),
            )
            : [];
        $others = [...$this->group($document, 'others', $this->other(...)), ...$water];
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

        return RefusedException::at(
            'amount',
            fn () => $this->house->kitchen->reader()->within($typed, $kind, $unit, self::LEAST_G, Solving::MOST_G, $density),
        );
    }

    public function name(Part $part): string
    {
        return $part->infused->called ??
            ($part->boiled->called ?? ($part->scent->name ?? ($part->carrier->name ?? $this->house->kitchen->words()->thing($part->said))));
    }
}
