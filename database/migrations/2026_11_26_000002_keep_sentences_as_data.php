<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Kettle\Reason\Said;
use Kettle\Recipe\PlanDocument;

/**
 * Sentences are kept as codes and what goes into them, and said when they are shown. What was said before stands as it
 * stood. Logbooks, checks of lots and versions of recipes are only ever added to: their older lines stay as they were
 * written, and are read so. Can be run again where it was cut off: what is carried over already is left alone.
 */
return new class extends Migration
{
    public function up(): void
    {
        if (! Schema::hasColumn('batches', 'herbs')) {
            Schema::table('batches', function (Blueprint $table): void {
                $table->json('herbs')->nullable()->after('code');
                $table->json('oils')->nullable()->after('herbs');
            });
        }
        Schema::table('lot_checks', fn (Blueprint $table) => $table->text('says')->nullable()->change());
        Schema::table('recipe_versions', fn (Blueprint $table) => $table->text('says')->nullable()->change());
        Schema::table('diary_moves', fn (Blueprint $table) => $table->text('why')->nullable()->change());
        $this->each('batches', $this->batch(...));
        $this->each('stove_events', $this->stop(...));
        $this->each('diary_moves', fn (stdClass $row) => ['why' => $this->said(is_string($row->why) ? $row->why : null)]);
        Schema::table('batches', function (Blueprint $table): void {
            $table->json('herbs')->nullable(false)->change();
            $table->json('oils')->nullable(false)->change();
            $there = fn (string $column): bool => Schema::hasColumn('batches', $column);
            $table->dropColumn(array_values(array_filter(['name', 'herb_name', 'oils_name'], $there)));
        });
    }

    public function down(): void
    {
        // What is kept as data is not made English again.
    }

    /** @param  Closure(stdClass): array<string, mixed>  $change columns to write */
    private function each(string $table, Closure $change): void
    {
        DB::table($table)
            ->orderBy('id')
            ->chunkById(500, function ($rows) use ($table, $change): void {
                DB::transaction(function () use ($rows, $table, $change): void {
                    foreach ($rows as $row) {
                        $columns = $change($row);
                        $columns === [] || DB::table($table)->where('id', $row->id)->update($columns);
                    }
                });
            });
    }

    /** @return array<string, mixed> */
    private function batch(stdClass $row): array
    {
        if ($row->herbs !== null) {
            return [];
        }
        $plan = PlanDocument::kept($this->decoded($row->plan));
        $shelf = $this->decoded($row->shelf);
        $diary = $row->diary === null ? null : $this->decoded($row->diary);
        if ($diary !== null) {
            $diary['says'] = Said::read($diary['says'] ?? null)?->toArray();
        }
        $herbs = is_array($plan['herbs'] ?? null) && $plan['herbs'] !== [] ? $plan['herbs'] : [$plan['herb'] ?? []];
        $shelf['method'] = is_array($plan['method'] ?? null) ? $plan['method']['id'] ?? '' : '';
        $shelf['seen'] = ($shelf['seen'] ?? '') === '' ? '' : 'stood-out';

        return [
            'herbs' => $this->json(['all' => $this->names($herbs, 'herb', $row->herb_name)]),
            'oils' => $this->json(['all' => $this->names(is_array($plan['oils'] ?? null) ? $plan['oils'] : [], 'oil', $row->oils_name)]),
            'plan' => $this->json($plan),
            'shelf' => $this->json($shelf),
            'diary' => $diary === null ? null : $this->json($diary),
        ];
    }

    /**
     * @param  array<mixed>  $parts of the plan
     * @return list<mixed> each by its id, or as somebody called it; all as they were called where one has no name
     */
    private function names(array $parts, string $kind, mixed $called): array
    {
        $names = array_map(
            fn (array $part) => ($part['id'] ?? '') !== '' ? [$kind => $part['id']] : $part['name'] ?? '',
            array_values(array_filter($parts, 'is_array')),
        );

        return $names === [] || in_array('', $names, true) ? [$called] : $names;
    }

    /** @return array<string, mixed> */
    private function stop(stdClass $row): array
    {
        $data = $this->decoded($row->data);

        return is_string($data['stop'] ?? null)
            ? ['data' => $this->json(['stop' => Said::asItStood($data['stop'])->toArray()] + $data)]
            : [];
    }

    private function said(?string $words): ?string
    {
        return $words === null || $words === '' || Said::isKept(json_decode($words, true))
            ? ($words === ''
                ? null
                : $words)
            : $this->json(Said::asItStood($words)->toArray());
    }

    /** @return array<mixed> */
    private function decoded(mixed $json): array
    {
        $value = is_string($json) ? json_decode($json, true) : null;

        return is_array($value) ? $value : [];
    }

    private function json(mixed $value): string
    {
        return json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
    }
};
