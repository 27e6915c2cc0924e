<?php

namespace App\Actions\Transfers;

/** A house that comes in, from one document or from a zip. What it gives out keeps to docs/formats. */
interface HouseSource
{
    /** @return array{house: array<string, mixed>, people: list<array{name: string, email: string, role: string}>} */
    public function head(): array;

    /**
     * @return iterable<array<string, mixed>> of one section, each held to its schema; none where it has none
     *
     * @throws \App\Actions\Houses\ImportException where a row is not what it should be
     */
    public function rows(string $section): iterable;
}
