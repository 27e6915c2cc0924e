<?php

/* Rows that are copied to make a house large. */

use Illuminate\Support\Facades\DB;

/**
 * Columns of a table that the database makes of the others, and lets nobody write.
 *
 * @return list<string>
 */
function madeColumns(string $table): array
{
    /** @var list<string> $made */
    $made = DB::table('information_schema.columns')
        ->where('table_schema', DB::getDatabaseName())
        ->where('table_name', $table)
        ->whereNotNull('generation_expression')
        ->pluck('column_name')
        ->all();

    return $made;
}

/** @return array<string, mixed> a row without what the database makes of its other columns */
function rowToCopy(string $table, int $id): array
{
    /** @var array<string, mixed> $row */
    $row = (array) DB::table($table)->where('id', $id)->first();

    return array_diff_key($row, array_flip(madeColumns($table)));
}
