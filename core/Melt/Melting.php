<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Caution\Cautions;
use Kettle\Material\Tables;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Reason\RefusedException;
use Kettle\Recipe\WishException;

/** The way in to the Melt: reads a product's wish and plans it. The application and `kettle reckon` both come this way. */
final readonly class Melting
{
    private MeltTable $table;

    public function __construct(private Tables $tables)
    {
        $this->table = MeltTable::of($tables);
    }

    /**
     * @param  array<mixed>  $document
     *
     * @throws WishException when it cannot be made; with every fault found
     */
    public function plan(array $document, House $house): ProductPlan
    {
        $reader = new ProductWishReader($this->table, $house);
        $wish = $reader->read($document);
        try {
            return $this->planned($wish, $house, $reader->seen($wish->product, $wish->word));
        } catch (RefusedException $refused) {
            throw WishException::from($refused);
        }
    }

    /** @throws RefusedException */
    private function planned(ProductWish $wish, House $house, ?FirmnessSeen $seen): ProductPlan
    {
        $loss = $house->lossShare ?? $this->table->rules->row('loss')->number('share');
        $pot = Solving::of($wish, $loss);
        self::againstBottles($pot);
        $scents = Scents::of($pot, $wish, $this->table);
        $poured = $pot->totalMl * (1 - $loss) * ($wish->product->whipped[1] ?? 1.0);
        $tins = TinFilling::of($poured, $wish->tins, in_array('tins', $wish->chosen, true));
        $keeping = ProductKeeping::of($pot, $wish, $house, $this->tables);
        $figures = new ProductFigures($wish, $pot, $scents, $tins, $this->table, $house, $loss);
        $steps = new ProductSteps($wish, $pot, $this->table, $house, $figures->warmth());

        return new ProductPlan(
            $wish,
            $pot,
            $scents,
            $tins,
            $keeping,
            [...$figures->all($seen, $steps->minutes()), 'best_before' => $keeping->figure()],
            ProductSentence::of($wish, $pot, $this->table),
            (new ProductNotes($this->tables))->of($wish, $pot, $scents, $tins, $keeping, $house),
            $steps->all(),
            $this->moves($wish, $pot),
            $seen,
        );
    }

    /**
     * No more is taken from a bottle than is in it.
     *
     * @throws MeltException
     */
    private static function againstBottles(Composition $pot): void
    {
        foreach ($pot->weighed as $each) {
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

    /** @return list<array{id: string, firmness: float, grams: float}> a twentieth of the whole more of each wax and butter, and of the oil */
    private function moves(ProductWish $wish, Composition $pot): array
    {
        $some = $pot->totalG / 20;
        $moves = [];
        foreach ($pot->of(PartKind::Wax, PartKind::Butter, PartKind::Oil) as $each) {
            $moves[] = ['id' => $each->part->key(), 'firmness' => $pot->with($each->part, $some)->firmness, 'grams' => $some];
        }

        return $wish->waxes === [] ? [] : $moves;
    }

    public function table(): MeltTable
    {
        return $this->table;
    }

    public function cautions(): Cautions
    {
        return Cautions::of($this->tables);
    }
}
