<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Material\Tables;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Reason\Listing;
use Kettle\Reason\Note;
use Kettle\Reason\RefusedException;
use Kettle\Reason\Way;
use Kettle\Recipe\WishException;
use Kettle\Time\Dates;

/** The way in to the Melt: reads a product's wish and plans it. The application and `kettle reckon` both come this way. */
final readonly class Melting
{
    private MeltTable $table;

    public function __construct(private Tables $tables)
    {
        $this->table = MeltTable::of($tables);
    }

    /**
     * A plan, or a refusal, of which every way out leads out: each was tried.
     *
     * @param  array<mixed>  $document
     *
     * @throws WishException when it cannot be made; with every fault found
     */
    public function plan(array $document, House $house): ProductPlan
    {
        try {
            $plan = $this->tried($document, $house);
        } catch (WishException $refused) {
            $remedies = new ProductRemedies($this->table, $house);
            $faults = array_map(
                fn (array $fault) => $fault + ['ways' => array_map(fn (Way $way) => $way->toArray(), $remedies->of($document, $fault))],
                $refused->faults,
            );
            $kept = WishException::faults($faults)->tried(
                /** @param  array<string, mixed>  $change */ fn (array $change): bool => $this->leadsOut($document, $change, $house),
            )->faults;
            throw WishException::faults(array_map(self::fewWays(...), $kept))->saying($this->sentence($document, $refused, $house));
        }

        return $plan->withNotes(
            array_map(
                fn (Note $note): Note => $note->withWays(
                    array_values(array_filter($note->ways, fn (Way $way) => $this->leadsOut($document, $way->change, $house, $note->id))),
                ),
                $plan->notes,
            ),
        );
    }

    /**
     * The sentence of a wish that cannot be made, as far as it can be read: what is at fault stands in it as it was written,
     * and is never said to be something else.
     *
     * @param  array<mixed>  $document
     * @return list<array{slot: ?string, text: string, chosen: bool}>|null
     */
    private function sentence(array $document, WishException $refused, House $house): ?array
    {
        $at = array_map(fn (array $fault) => explode('.', $fault['field'])[0], $refused->faults);
        foreach ([$document, array_diff_key($document, array_flip($at))] as $wish) {
            try {
                $read = (new ProductWishReader($this->table, $house))->read($wish);
            } catch (WishException) {
                continue;
            }

            return array_map(
                fn (array $piece) => [
                    'text' => (in_array($piece['slot'], $at, true) ? self::asWritten($document[$piece['slot']] ?? null, $house) : null) ??
                        $house->kitchen->words()->of($piece['text']),
                ] + $piece,
                ProductSentence::of($read, null, $this->table),
            );
        }

        return null;
    }

    /** The names of a list of parts, known or not; null where one of them has none. */
    private static function asWritten(mixed $parts, House $house): ?string
    {
        $names = [];
        foreach (is_array($parts) ? $parts : [] as $part) {
            $id = is_array($part) ? $part['id'] ?? null : $part;
            if (! is_string($id)) {
                return null;
            }
            $cupboard = $house->kitchen->cupboard();
            $known = $cupboard->carrierOrNull($id) ?? ($cupboard->waxOrNull($id) ?? $cupboard->scentOrNull($id));
            $names[] = $known->name ?? mb_substr($id, 0, 40);
        }

        return $names === [] ? null : Listing::of($names);
    }

    /**
     * The nearest three are enough.
     *
     * @param  array{field: string, reason: string, sentence: string, ways?: list<array{id: string, says: string,
     *     change: array<string, mixed>}>}  $fault
     * @return array{field: string, reason: string, sentence: string, ways?: list<array{id: string, says: string,
     *     change: array<string, mixed>}>}
     */
    private static function fewWays(array $fault): array
    {
        return isset($fault['ways']) ? ['ways' => array_slice($fault['ways'], 0, 3)] + $fault : $fault;
    }

    /**
     * @param  array<mixed>  $document
     * @param  array<mixed>  $change
     * @param  string  $complaint id of the note that must be gone
     */
    private function leadsOut(array $document, array $change, House $house, string $complaint = ''): bool
    {
        try {
            /** @var array<string, mixed> $change */
            $plan = $this->tried(Way::taken($document, $change), $house);
        } catch (WishException) {
            return false;
        }

        return array_filter($plan->notes, fn (Note $note) => $note->id === $complaint) === [];
    }

    /**
     * @param  array<mixed>  $document
     *
     * @throws WishException
     */
    private function tried(array $document, House $house): ProductPlan
    {
        $wish = (new ProductWishReader($this->table, $house))->read($document);
        try {
            return $this->planned($wish, $house);
        } catch (RefusedException $refused) {
            throw WishException::from($refused);
        }
    }

    /** @throws RefusedException */
    private function planned(ProductWish $wish, House $house): ProductPlan
    {
        $seen = FirmnessSeen::here($wish->product, $wish->word, $house, $this->table->firmness());
        $loss = $house->lossShare ?? $this->table->rules->row('loss')->number('share');
        $pot = Solving::of($wish, $loss);
        self::againstBottles($pot);
        $scents = Scents::of($pot, $wish, $this->table);
        $sieved = $pot->totalMl - ($wish->leaf->heldMl ?? 0.0);
        if ($sieved <= $pot->totalMl / 10) {
            throw MeltException::leafTakesAll();
        }
        $poured = $sieved * (1 - $loss) * ($wish->product->whipped[1] ?? 1.0);
        $tins = TinFilling::of($poured, $wish->tins, in_array('tins', $wish->chosen, true));
        $figures = new ProductFigures($wish, $pot, $scents, $tins, $this->table, $house, $loss);
        $notes = new ProductNotes($this->tables);
        if ($wish->leaf !== null && $figures->warmth() === null) {
            throw MeltException::nothingToMelt();
        }
        $steps = new ProductSteps($wish, $pot, $house, $figures->warmth());
        $days = ProductDays::of($wish, $pot, $steps->minutes() + 60 * ($wish->leaf?->usualH() ?? 0.0), $house, $this->table);
        self::againstDays($pot, $days);
        $keeping = ProductKeeping::of($pot, $wish, $house, $this->tables, $days);

        return new ProductPlan(
            $wish,
            $pot,
            $scents,
            $tins,
            $keeping,
            [
                ...$figures->all($seen, $steps->minutes()),
                ...$wish->leaf === null ? [] : ['held_volume' => $wish->leaf->figure()],
                'best_before' => $keeping->figure(),
                ...$days?->figures() ?? [],
            ],
            ProductSentence::of($wish, $pot, $this->table),
            $notes->of($wish, $pot, $scents, $tins, $keeping, $house, $days),
            $steps->all(),
            $this->moves($wish, $pot),
            $seen,
            $notes->labels($wish, $pot, $scents, $keeping),
            $days,
            $figures->warmth(),
        );
    }

    /**
     * What is good today may be over on the day it is made.
     *
     * @throws MeltException
     */
    private static function againstDays(Composition $pot, ?ProductDays $days): void
    {
        if ($days === null) {
            return;
        }
        foreach ($pot->weighed as $each) {
            $until = $each->part->toCome() ? null : $each->part->ownDay();
            if ($until !== null && $until->format('Y-m-d') < $days->makeAt->format('Y-m-d')) {
                throw MeltException::overBy(
                    $each->part->infused->called ?? ($each->part->boiled->called ?? ''),
                    Dates::say($until, 'day'),
                    Dates::say($days->makeAt, 'day'),
                );
            }
        }
    }

    /**
     * No more is taken from a bottle or a pot than is in it.
     *
     * @throws MeltException
     */
    private static function againstBottles(Composition $pot): void
    {
        foreach ($pot->weighed as $each) {
            $boiled = $each->part->boiled;
            if ($boiled?->leftG !== null && $each->grams > $boiled->leftG * 1.005) {
                throw MeltException::notSoMuch(
                    $boiled->called,
                    AmountWriter::plain($boiled->leftG, Kind::Mass),
                    AmountWriter::plain($each->grams, Kind::Mass),
                )->about('others');
            }
            $infused = $each->part->infused;
            // A jug is read to about half a per cent.
            if ($infused?->leftMl !== null && $each->ml() > $infused->leftMl * 1.005) {
                throw MeltException::notSoMuch(
                    $infused->called,
                    AmountWriter::plain($infused->leftMl, Kind::Volume),
                    AmountWriter::plain($each->ml(), Kind::Volume),
                )->about('oils');
            }
        }
    }

    /**
     * A twentieth of the whole more of each wax and butter, and of the oil.
     *
     * @return list<array{id: string, firmness: float, grams: float}>
     */
    private function moves(ProductWish $wish, Composition $pot): array
    {
        $some = $pot->totalG / 20;
        $moves = [];
        foreach ($pot->of(PartKind::Wax, PartKind::Butter, PartKind::Oil) as $each) {
            $moves[] = ['id' => $each->part->key(), 'firmness' => $pot->with($each->part, $some)->firmness, 'grams' => $some];
        }

        return $wish->waxes === [] ? [] : $moves;
    }
}
