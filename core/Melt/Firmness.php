<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Material\Row;

/** The rule of firmness, from "pours" to "hard": parts of beeswax in one part of the whole, and the words for bands of it. */
final readonly class Firmness
{
    /** @param  list<array{id: string, name: string, from: float, to: float}>  $bands in order, from 0 to 1 */
    private function __construct(
        public array $bands,
        private float $softensFromC,
        private float $softensPerC,
        private float $softensMost,
    ) {}

    public static function of(Row $rules): self
    {
        $softens = $rules->row('softens');

        return new self(
            array_map(
                fn (Row $row) => [
                    'id' => $row->text('id'),
                    'name' => $row->text('name'),
                    'from' => $row->number('from'),
                    'to' => $row->number('to'),
                ],
                array_values($rules->rows('bands')),
            ),
            $softens->number('from_c'),
            $softens->number('per_c'),
            $softens->number('most'),
        );
    }

    /** @return array{id: string, name: string, from: float, to: float} the band it stands in */
    public function band(float $firmness): array
    {
        foreach ($this->bands as $band) {
            if ($firmness < $band['to']) {
                return $band;
            }
        }

        return $this->bands[count($this->bands) - 1];
    }

    /**
     * The middle of a word's band.
     *
     * @throws MeltException when there is no such word
     */
    public function middle(string $word): float
    {
        $band = $this->named($word);

        return ($band['from'] + $band['to']) / 2;
    }

    /**
     * @return array{id: string, name: string, from: float, to: float}
     *
     * @throws MeltException
     */
    public function named(string $word): array
    {
        foreach ($this->bands as $band) {
            if ($band['id'] === $word) {
                return $band;
            }
        }
        throw MeltException::word($word, array_column($this->bands, 'id'));
    }

    /** So much softer it stands in a warm room or a pocket than in a cool one. */
    public function softer(float $celsius): float
    {
        return min($this->softensMost, max(0.0, ($celsius - $this->softensFromC) * $this->softensPerC));
    }
}
