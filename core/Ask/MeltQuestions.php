<?php

declare(strict_types=1);

namespace Kettle\Ask;

use Kettle\Material\Blend;
use Kettle\Material\Herb;
use Kettle\Material\State;
use Kettle\Material\Tables;
use Kettle\Measure\Kind;
use Kettle\Melt\Boiled;
use Kettle\Melt\House;
use Kettle\Melt\Infused;
use Kettle\Melt\MeltException;
use Kettle\Melt\Melting;
use Kettle\Melt\MeltTable;
use Kettle\Melt\Mend;
use Kettle\Melt\ProductDocument;
use Kettle\Melt\Verdict;
use Kettle\Reason\RefusedException;
use Kettle\Recipe\Fields;
use Kettle\Recipe\Kitchen;
use Kettle\Recipe\Planning;
use Kettle\Recipe\WishException;
use Kettle\Time\Day;

/** The questions of the Melt as documents in and out, for `kettle reckon` and the application. */
final readonly class MeltQuestions
{
    private MeltTable $table;

    public function __construct(private Planning $planning, private Tables $tables, private Kitchen $kitchen)
    {
        $this->table = MeltTable::of($tables);
    }

    /**
     * A product planned: what to weigh, how firm it gets, what comes of it, what to watch for.
     *
     * @param  array<mixed>  $document `asks` of "melt" in docs/formats/reckon.schema.json
     * @return array<string, mixed>
     *
     * @throws WishException with every fault found
     */
    public function melt(array $document): array
    {
        $loss = $document['loss_share'] ?? null;
        $rate = $document['hour_rate'] ?? null;
        $house = new House(
            $this->kitchen,
            $this->infused($document),
            self::verdicts($document),
            is_int($loss) || is_float($loss) ? (float) $loss : null,
            is_int($rate) || is_float($rate) ? (float) $rate : null,
            boiled: $this->boiled($document),
        );

        return (new ProductDocument($this->planning, $this->kitchen, $this->table))->of(
            (new Melting($this->tables))->plan($document, $house),
        );
    }

    /**
     * Too soft or too hard, and what mends it.
     *
     * @param  array<mixed>  $document mass, share, to (or verdict and by), with, room_ml, spoon
     * @return array{figures: array<string, mixed>, from: string, to: string, firmness: float}
     *
     * @throws RefusedException
     */
    public function mend(array $document): array
    {
        $mass = $this->mass($document, 'mass') - (isset($document['spoon']) ? $this->mass($document, 'spoon') : 0.0);
        $from = $this->firmness($document, 'share');
        $to = $this->wanted($document, $from);
        $room = $document['room_ml'] ?? null;
        $mend = Mend::of(
            $mass,
            $from,
            $to,
            RefusedException::at('with', fn () => $this->planning->cupboard()->wax(Fields::text($document, 'with') ?? 'beeswax')),
            is_int($room) || is_float($room) ? (float) $room : $this->room($document),
        );

        return [
            'figures' => $this->planning->figures($mend->figures(), $this->kitchen),
            'from' => $this->table->firmness()->band($from)['id'],
            'to' => $this->table->firmness()->band($to)['id'],
            'firmness' => $to,
        ];
    }

    /**
     * mL left in the jar, as somebody writes it; null where it was not said.
     *
     * @param  array<mixed>  $document
     */
    private function room(array $document): ?float
    {
        $typed = Fields::text($document, 'room');

        return $typed === null
            ? null
            : RefusedException::at('room', fn () => $this->kitchen->measured()->read($typed, Kind::Volume, 'mL')->value);
    }

    /** @param  array<mixed>  $document */
    private function mass(array $document, string $key): float
    {
        $typed = Fields::text($document, $key) ?? '';

        return RefusedException::at($key, fn () => $this->kitchen->measured()->read($typed, Kind::Mass, 'g')->value);
    }

    /**
     * How firm it is to be: as it was said, or so far from what it is as the spoon has shown.
     *
     * @param  array<mixed>  $document
     */
    private function wanted(array $document, float $from): float
    {
        $verdict = Fields::text($document, 'verdict');
        if ($verdict === null || isset($document['to'])) {
            return $this->firmness($document, 'to');
        }

        return (new Verdict($from, $verdict, Fields::text($document, 'by') ?? 'plainly'))->points($this->table->firmness());
    }

    /** @param  array<mixed>  $document a word or a number */
    private function firmness(array $document, string $key): float
    {
        $said = $document[$key] ?? null;
        if (is_string($said) && ! is_numeric($said)) {
            return RefusedException::at($key, fn () => $this->table->firmness()->middle($said));
        }

        return is_numeric($said)
            ? (float) $said
            : throw new MeltException('missing', 'Say how firm it is, and how firm it is to be.', $key);
    }

    /**
     * @param  array<mixed>  $document
     * @return array<string, Infused> by id
     */
    private function infused(array $document): array
    {
        $infused = [];
        foreach (is_array($document['batches'] ?? null) ? array_values($document['batches']) : [] as $i => $batch) {
            $fields = is_array($batch) ? $batch : [];
            try {
                $read = $this->batch($fields);
            } catch (RefusedException $refused) {
                throw WishException::from($refused->under("batches.{$i}"));
            }
            $infused[$read->id] = $read;
        }

        return $infused;
    }

    /**
     * @param  array<mixed>  $document
     * @return array<string, Boiled> by id
     */
    private function boiled(array $document): array
    {
        $boiled = [];
        foreach (is_array($document['boils'] ?? null) ? array_values($document['boils']) : [] as $i => $boil) {
            $fields = is_array($boil) ? $boil : [];
            $id = Fields::text($fields, 'id') ?? '';
            try {
                $boiled[$id] = new Boiled(
                    $id,
                    Fields::text($fields, 'called') ?? $id,
                    Fields::text($fields, 'as') ?? '',
                    Fields::text($fields, 'code') ?? '',
                    $this->herbs($fields),
                    is_numeric($fields['left_g'] ?? null) ? (float) $fields['left_g'] : null,
                    $this->until($fields),
                    ($fields['food_grade'] ?? false) === true,
                );
            } catch (RefusedException $refused) {
                throw WishException::from($refused->under("boils.{$i}"));
            }
        }

        return $boiled;
    }

    /**
     * @param  array<mixed>  $fields
     * @return list<array{plant: Herb, state: State}>
     */
    private function herbs(array $fields): array
    {
        $herbs = [];
        foreach (is_array($fields['herbs'] ?? null) ? $fields['herbs'] : [] as $herb) {
            $herb = is_array($herb) ? $herb : ['id' => $herb];
            $herbs[] = [
                'plant' => $this->planning->cupboard()->herb(Fields::text($herb, 'id') ?? ''),
                'state' => State::tryFrom(Fields::text($herb, 'state') ?? '') ?? State::Dried,
            ];
        }

        return $herbs;
    }

    /**
     * @param  array<mixed>  $fields
     *
     * @throws MeltException
     */
    private function until(array $fields): ?\DateTimeImmutable
    {
        $until = Fields::text($fields, 'best_before');

        return $until === null
            ? null
            : Day::read($until, $this->kitchen->today()->getTimezone()) ??
                    throw new MeltException('unreadable', 'Write the day like 2027-11-01.', 'best_before');
    }

    /** @param  array<mixed>  $fields */
    private function batch(array $fields): Infused
    {
        $cupboard = $this->planning->cupboard();
        $oils = [];
        foreach (is_array($fields['oils'] ?? null) ? $fields['oils'] : [] as $oil) {
            $oil = is_array($oil) ? $oil : ['id' => $oil];
            $parts = $oil['parts'] ?? 1.0;
            $oils[] = [
                'carrier' => $cupboard->carrier(Fields::text($oil, 'id') ?? ''),
                'parts' => is_numeric($parts) ? (float) $parts : 1.0,
            ];
        }
        $blend = Blend::of($oils);
        $id = Fields::text($fields, 'id') ?? '';
        $number = fn (string $key): ?float => is_int($fields[$key] ?? null) || is_float($fields[$key] ?? null)
            ? (float) $fields[$key]
            : null;

        return new Infused(
            $id,
            Fields::text($fields, 'called') ?? $id,
            $blend,
            Fields::text($fields, 'code') ?? '',
            $this->herbs($fields),
            $number('left_ml'),
            $this->until($fields),
            $number('cost_per_ml'),
            array_values(array_filter(is_array($fields['allergens'] ?? null) ? $fields['allergens'] : [], is_string(...))),
            ($fields['food_grade'] ?? false) === true,
            ($fields['cold_only'] ?? false) === true,
            ($fields['discarded'] ?? false) === true ? Infused::DISCARDED : Infused::SOUND,
            from: $this->from($fields),
        );
    }

    /**
     * @param  array<mixed>  $fields
     *
     * @throws MeltException
     */
    private function from(array $fields): ?\DateTimeImmutable
    {
        $typed = Fields::text($fields, 'from');
        if ($typed === null) {
            return null;
        }
        $zone = $this->kitchen->now->getTimezone();
        $moment = \DateTimeImmutable::createFromFormat(DATE_RFC3339, $typed, $zone);
        if ($moment === false) {
            throw new MeltException('unreadable', 'Write the moment like 2027-11-01T10:00:00+00:00.', 'from');
        }

        return $moment > $this->kitchen->now ? $moment->setTimezone($zone) : null;
    }

    /**
     * @param  array<mixed>  $document
     * @return list<Verdict>
     */
    private static function verdicts(array $document): array
    {
        $verdicts = [];
        foreach (is_array($document['verdicts'] ?? null) ? array_values($document['verdicts']) : [] as $each) {
            $each = is_array($each) ? $each : [];
            $room = $each['room_c'] ?? null;
            $firmness = $each['firmness'] ?? 0.0;
            $verdicts[] = new Verdict(
                is_int($firmness) || is_float($firmness) ? (float) $firmness : 0.0,
                Fields::text($each, 'verdict') ?? Verdict::RIGHT,
                Fields::text($each, 'by') ?? 'plainly',
                is_int($room) || is_float($room) ? (float) $room : null,
            );
        }

        return $verdicts;
    }
}
