<?php

/* Rows that are copied to make a house large. */

use Illuminate\Support\Facades\DB;

/**
 * A row without what the database makes of its other columns.
 *
 * @return array<string, mixed>
 */
function rowToCopy(string $table, int $id): array
{
    /** @var list<string> $made */
    $made = DB::table('information_schema.columns')
        ->where('table_schema', DB::getDatabaseName())
        ->where('table_name', $table)
        ->whereNotNull('generation_expression')
        ->pluck('column_name')
        ->all();
    /** @var array<string, mixed> $row */
    $row = (array) DB::table($table)->where('id', $id)->first();

    return array_diff_key($row, array_flip($made));
}
