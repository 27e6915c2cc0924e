<?php

namespace App\Actions\Houses;

use App\Models\BottleSize;
use App\Models\Jar;
use Kettle\Vessel\JarException;

/**
 * Takes in the jars and bottles of a house's file, but those that are here already.
 *
 * @phpstan-import-type SizeRow from ImportHouse
 */
final readonly class ImportVessels
{
    private const JAR = ['called', 'brim_ml', 'height_mm', 'kind', 'marks'];

    /**
     * @param  iterable<SizeRow>  $rows
     * @return int how many are new
     *
     * @throws ImportException where measures that are sound each are of no jar together
     */
    public function jars(iterable $rows): int
    {
        $rows = is_array($rows) ? array_values($rows) : iterator_to_array($rows, false);
        foreach ($rows as $row) {
            try {
                (new Jar(['uid' => '', ...array_intersect_key($row, array_flip(self::JAR))]))->core();
            } catch (JarException $refused) {
                throw ImportException::notOurs('the jars', $refused->sentence);
            }
        }

        return $this->sizes(Jar::class, $rows, self::JAR);
    }

    /**
     * @param  iterable<SizeRow>  $rows
     * @return int how many are new
     */
    public function bottles(iterable $rows): int
    {
        return $this->sizes(BottleSize::class, $rows, ['called', 'capacity_ml']);
    }

    /**
     * @param  class-string<Jar>|class-string<BottleSize>  $model
     * @param  iterable<SizeRow>  $rows
     * @param  list<string>  $fields
     */
    private function sizes(string $model, iterable $rows, array $fields): int
    {
        $here = $model::withTrashed()->get()->keyBy('uid');
        // The common sizes every house starts with are the same by name and measure, not by id.
        $alike = $here->keyBy(fn ($size) => $this->likeness($size->only($fields)));
        $added = 0;
        foreach ($rows as $row) {
            if (
                $here->has($row['id']) ||
                (! $row['retired'] &&
                    $alike->has($this->likeness(array_intersect_key($row + array_fill_keys($fields, null), array_flip($fields)))))
            ) {
                continue;
            }
            $size = new $model(['uid' => $row['id'], ...array_intersect_key($row, array_flip($fields))]);
            $size->save();
            if ($row['retired']) {
                $size->delete();
            }
            $added++;
        }

        return $added;
    }

    /** @param  array<mixed>  $fields */
    private function likeness(array $fields): string
    {
        ksort($fields);

        return implode(
            '|',
            array_map(
                fn (mixed $value) => match (true) {
                    is_numeric($value) => number_format((float) $value, 2, '.', ''),
                    is_string($value) => $value,
                    $value === null => '',
                    default => json_encode($value),
                },
                $fields,
            ),
        );
    }
}
