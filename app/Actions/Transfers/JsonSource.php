<?php

namespace App\Actions\Transfers;

use App\Actions\Houses\ImportException;

/** A house as one JSON document, held to its schema as a whole. */
final readonly class JsonSource implements HouseSource
{
    /** @param  array<string, mixed>  $house */
    private function __construct(private array $house) {}

    /** @throws ImportException */
    public static function read(string $json, HouseSchema $schema): self
    {
        $document = json_decode($json, false, 64);
        if (! ($document instanceof \stdClass)) {
            throw ImportException::broken();
        }
        $schema->document($document);
        foreach (['batches', 'makings'] as $section) {
            /** @var list<\stdClass> $rows */
            $rows = $document->{$section} ?? [];
            foreach ($rows as $i => $row) {
                $schema->told($section, $row, "{$section} / {$i}");
            }
        }
        /** @var array<string, mixed> $house */
        $house = json_decode($json, true, 64);

        return new self($house);
    }

    public function head(): array
    {
        /** @var array{house: array<string, mixed>, people: list<array{name: string, email: string, role: string}>} $head */
        $head = $this->house;

        return $head;
    }

    public function rows(string $section): iterable
    {
        /** @var list<array<string, mixed>> $rows */
        $rows = $this->house[$section] ?? [];

        return $rows;
    }
}
