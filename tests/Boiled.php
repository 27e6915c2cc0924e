<?php

declare(strict_types=1);

use Kettle\Ask\Questions;
use Kettle\Material\Tables;
use Kettle\Recipe\WishException;

/** @return array<string, mixed> */
function boiled(string $mode, array $asked): array
{
    return (new Questions(Tables::shipped()))->ask($mode, $asked, new DateTimeImmutable('2026-11-24T10:00:00Z'));
}

/** @return array<string, float> each figure's number, by id */
function boiledFigures(string $mode, array $asked): array
{
    return array_map(fn (array $figure): float => (float) $figure['value'], boiled($mode, $asked)['figures']);
}

/** @return list<string> */
function boiledFaults(string $mode, array $asked): array
{
    try {
        boiled($mode, $asked);

        return [];
    } catch (WishException $refused) {
        return array_map(fn (array $fault) => "{$fault['field']}: {$fault['reason']}", $refused->faults);
    }
}

/** @return list<string> */
function boiledNotes(string $mode, array $asked): array
{
    return array_column(boiled($mode, $asked)['notes'], 'id');
}
