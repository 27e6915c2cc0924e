<?php

declare(strict_types=1);

namespace Kettle\Ask;

use Kettle\Decoction\BoilingPot;
use Kettle\Decoction\Decocted;
use Kettle\Decoction\DecoctionException;
use Kettle\Decoction\Hardness;
use Kettle\Decoction\LongOil;
use Kettle\Decoction\Rate;
use Kettle\Material\HerbMix;
use Kettle\Material\HerbPart;
use Kettle\Material\Tables;
use Kettle\Measure\AmountException;
use Kettle\Measure\Kind;
use Kettle\Reason\Faults;
use Kettle\Reason\RefusedException;
use Kettle\Reason\Said;
use Kettle\Recipe\Fields;
use Kettle\Recipe\HerbsReader;
use Kettle\Recipe\Kitchen;

/**
 * Reads what the questions of boiling down are asked with, and says what is to be heeded.
 *
 * @phpstan-type Told array{id: string, rank: string, says: string, must_read?: bool}
 */
final readonly class BoilFields
{
    public function __construct(private Tables $tables, private Kitchen $kitchen) {}

    /**
     * @param  array<mixed>  $document
     * @return array{mix: HerbMix, total: ?float}|null the herbs, and what they weigh where it is said
     *
     * @throws RefusedException
     */
    public function mix(array $document): ?array
    {
        $herbs = ['herbs' => $document['herbs'] ?? []];
        if ($herbs['herbs'] === []) {
            return null;
        }
        $faults = new Faults();
        $read = (new HerbsReader($this->kitchen->cupboard(), $this->kitchen))->read($herbs, $faults);
        $first = $faults->all()[0] ?? null;
        if ($read === null || $first !== null) {
            throw $first === null
                ? DecoctionException::noHerb()
                : new DecoctionException($first['reason'], $first['sentence'], $first['field']);
        }

        return ['mix' => $read['mix'], 'total' => $read['total']?->value];
    }

    /**
     * @param  array<mixed>  $document
     * @param  array{mix: HerbMix, total: ?float}|null  $mix
     *
     * @throws DecoctionException
     */
    public function hardness(array $document, ?array $mix): Hardness
    {
        $said = Fields::text($document, 'hardness');
        if ($said !== null) {
            return Hardness::named($said, $this->tables);
        }
        if ($mix === null) {
            throw DecoctionException::noHerb();
        }

        return Hardness::hardest($this->hardnesses($mix['mix']));
    }

    /**
     * @return non-empty-list<Hardness>
     *
     * @throws DecoctionException
     */
    public function hardnesses(HerbMix $mix): array
    {
        return array_map(fn (HerbPart $part) => Hardness::ofForm($part->form->id, $part->form->name, $this->tables), $mix->parts);
    }

    /**
     * @return array{id: string, name: string, froths: bool, food: bool, allergens: list<string>}
     *
     * @throws DecoctionException
     */
    public function liquid(string $id): array
    {
        $known = [];
        foreach ($this->tables->table('decoction')->rows('liquids') as $row) {
            $known[] = $row->text('id');
            if ($row->text('id') === $id) {
                return [
                    'id' => $id,
                    'name' => $row->text('name'),
                    'froths' => $row->flag('froths'),
                    'food' => $row->flag('food'),
                    'allergens' => $row->texts('allergens'),
                ];
            }
        }
        throw DecoctionException::liquid($id, $known);
    }

    /**
     * @param  array<mixed>  $document
     *
     * @throws DecoctionException
     */
    public function pot(array $document): ?BoilingPot
    {
        $pot = $document['pot'] ?? null;

        if (! is_array($pot)) {
            return null;
        }
        $inside = fn (string $field): float => $this->number($pot, $field) ?? throw DecoctionException::potPart($field);

        return BoilingPot::measured($inside('diameter_mm'), $inside('height_mm'));
    }

    /**
     * As it was said, else of the pot's width, else the usual.
     *
     * @param  array<mixed>  $document
     *
     * @throws DecoctionException
     */
    public function rate(array $document, ?BoilingPot $pot, bool $underOil): Rate
    {
        $said = $this->number($document, 'ml_per_hour');
        if ($said !== null) {
            return Rate::said($said);
        }
        if ($pot === null) {
            return Rate::usual($this->tables);
        }
        $at = $this->tables->table('decoction');
        [$low, $high] = $underOil
            ? [$at->row('long_oil')->number('low_c'), $at->row('long_oil')->number('high_c')]
            : [$at->row('decoct_c')->number('low'), $at->row('decoct_c')->number('high')];

        return Rate::ofPot($pot, $low, $high, $this->kitchen->roomC, $underOil, $this->tables);
    }

    /**
     * @param  array<mixed>  $document
     *
     * @throws RefusedException
     */
    public function decocted(array $document, Hardness $hardness, ?float $weighedG): Decocted
    {
        $want = $this->amount($document, 'want', Kind::Volume);
        $water = $this->amount($document, 'water', Kind::Volume);
        $herb = $this->amount($document, 'herb', Kind::Mass) ?? $weighedG;
        $given = count(array_filter([$want, $water, $herb], fn (?float $each) => $each !== null));
        $holds = $given === 0 ? $this->holdsMl($document) : null;
        if ($given !== 1 && $holds === null) {
            throw DecoctionException::oneAmount('how much decoction, how much water, or how much herb; or none, and how large the pot is');
        }

        return match (true) {
            $holds !== null => Decocted::ofWater(
                $hardness,
                ($holds / Decocted::ofWater($hardness, 1000.0)->goesInMl($this->tables)) * 1000,
            ),
            $want !== null => Decocted::wanted($hardness, $want),
            $water !== null => Decocted::ofWater($hardness, $water),
            default => Decocted::ofHerb($hardness, (float) $herb),
        };
    }

    /**
     * @param  array<mixed>  $document
     *
     * @throws RefusedException
     */
    public function longOil(array $document): LongOil
    {
        $given = array_filter(
            [
                'oil' => $this->amount($document, 'oil', Kind::Volume),
                'paste' => $this->amount($document, 'paste', Kind::Mass),
                'liquid' => $this->amount($document, 'decoction', Kind::Volume),
            ],
            fn (?float $amount) => $amount !== null,
        );
        $holds = $given === [] ? $this->holdsMl($document) : null;
        if ($holds !== null) {
            return LongOil::of('oil', ($holds / LongOil::of('oil', 1000.0, $this->tables)->goesInMl()) * 1000, $this->tables);
        }
        if (count($given) !== 1) {
            throw DecoctionException::oneAmount('how much oil, how much paste, or how much decoction; or none, and how large the pot is');
        }
        $known = array_key_first($given);

        return LongOil::of($known, $given[$known], $this->tables);
    }

    /**
     * What goes into the pot there is, where no amount is said: it holds so many times as much.
     *
     * @param  array<mixed>  $document
     *
     * @throws DecoctionException
     */
    private function holdsMl(array $document): ?float
    {
        $pot = $this->pot($document);

        return $pot === null ? null : $pot->brimMl() / $this->tables->table('decoction')->row('pot')->number('least_times');
    }

    /**
     * @param  array<mixed>  $document
     *
     * @throws RefusedException
     */
    public function amount(array $document, string $field, Kind $kind): ?float
    {
        $typed = Fields::text($document, $field);

        try {
            return $typed === null ? null : $this->kitchen->reader()->read($typed, $kind, $kind === Kind::Mass ? 'g' : 'mL')->value;
        } catch (AmountException $refused) {
            throw $refused->about($field);
        }
    }

    /** @param  array<mixed>  $document */
    public function number(array $document, string $field): ?float
    {
        $value = $document[$field] ?? null;

        return is_numeric($value) ? (float) $value : null;
    }

    /**
     * @param  'stop'|'care'|'note'  $rank
     * @param  array<string, mixed>  $with
     * @return Told
     */
    public function note(string $id, string $rank, array $with = []): array
    {
        return ['id' => $id, 'rank' => $rank, 'says' => $this->kitchen->words()->of(Said::of("note.{$id}", $with))];
    }
}
