<?php

declare(strict_types=1);

namespace Kettle\Ask;

use Kettle\Reason\RefusedException;
use Kettle\Recipe\Fields;
use Kettle\Recipe\WishException;
use Kettle\Trace\Graph;
use Kettle\Trace\Person;
use Kettle\Trace\Recall;
use Kettle\Trace\TraceException;

/** What touches what, as documents in and out. */
final readonly class TraceQuestions
{
    /** People have ids of their own, so that somebody may be called as a bottle is. */
    private const PERSON = 'person: ';

    /**
     * @param  array<mixed>  $document `asks` of "trace" in docs/formats/reckon.schema.json: lots, pots, batches, bottles, products,
     *     tins, and which of them is followed
     * @return array<string, mixed>
     *
     * @throws RefusedException
     */
    public function trace(array $document): array
    {
        $graph = new Graph();
        foreach (
            [
                'lots' => 'lot',
                'pots' => 'pot',
                'batches' => 'batch',
                'bottles' => 'bottle',
                'products' => 'product',
                'tins' => 'tin',
            ] as $list => $kind
        ) {
            foreach (self::rows($document, $list) as $i => $row) {
                self::at("{$list}.{$i}.id", fn () => $graph->thing($kind, self::id($row)));
            }
        }
        $state = $holds = $names = [];
        foreach (self::rows($document, 'pots') as $i => $row) {
            self::join($graph, $row, 'from', "pots.{$i}", ['lot', 'pot']);
        }
        foreach (self::rows($document, 'batches') as $i => $row) {
            self::join($graph, $row, 'lots', "batches.{$i}", ['lot']);
            self::join($graph, $row, 'pots', "batches.{$i}", ['pot']);
            self::join($graph, $row, 'in_oil', "batches.{$i}", ['batch', 'bottle']);
        }
        foreach (self::rows($document, 'products') as $i => $row) {
            self::join($graph, $row, 'from', "products.{$i}");
        }
        foreach (['bottles' => 'batch', 'tins' => 'product'] as $list => $of) {
            foreach (self::rows($document, $list) as $i => $row) {
                $id = self::id($row);
                $from = Fields::text($row, $of);
                if ($from !== null) {
                    self::at("{$list}.{$i}.{$of}", fn () => $graph->joins($from, $id));
                }
                self::join($graph, $row, 'lots', "{$list}.{$i}");
                $state[$id] = Fields::text($row, 'state') ?? 'in';
                $to = Fields::text($row, 'to');
                if ($to !== null) {
                    // One person is one thing, by the name that was written first.
                    $to = $names[Person::key($to)] ??= $to;
                    $holds[$id] = $to;
                    $graph->thing('person', self::PERSON.$to);
                    $graph->joins($id, self::PERSON.$to);
                }
            }
        }
        $of = Fields::text($document, 'of') ?? '';
        $person = Fields::text($document, 'of_person');
        $start = $person === null ? $of : self::PERSON.($names[Person::key($person)] ?? $person);

        return self::at($person === null ? 'of' : 'of_person', fn (): array => self::answer($graph, $start, $state, $holds));
    }

    /**
     * @param  array<string, string>  $state
     * @param  array<string, string>  $holds
     * @return array<string, mixed>
     */
    private static function answer(Graph $graph, string $start, array $state, array $holds): array
    {
        $forward = $graph->forward($start);
        $back = $graph->back($start);
        $drawn = array_fill_keys([...$back, $start, ...$forward], true);
        $arrows = [];
        foreach (array_keys($drawn) as $id) {
            foreach ($graph->next((string) $id) as $into) {
                if (isset($drawn[$into])) {
                    $arrows[] = ['from' => self::plain((string) $id), 'into' => self::plain($into)];
                }
            }
        }
        $recall = Recall::of($graph, $start, $state, $holds);

        return [
            'of' => self::plain($start),
            'kind' => $graph->kind($start),
            'back' => self::told($back, $graph),
            'forward' => self::told($forward, $graph),
            'arrows' => $arrows,
            'recall' => $recall->each,
            'people' => $recall->people,
        ];
    }

    /**
     * @param  list<string>  $ids
     * @return list<array{id: string, kind: string}>
     */
    private static function told(array $ids, Graph $graph): array
    {
        return array_map(fn (string $id) => ['id' => self::plain($id), 'kind' => $graph->kind($id)], $ids);
    }

    private static function plain(string $id): string
    {
        return str_starts_with($id, self::PERSON) ? substr($id, strlen(self::PERSON)) : $id;
    }

    /**
     * @param  array<mixed>  $row
     * @param  list<string>  $kinds those it can be of
     */
    private static function join(Graph $graph, array $row, string $key, string $where, array $kinds = Graph::KINDS): void
    {
        foreach (is_array($row[$key] ?? null) ? array_values($row[$key]) : [] as $i => $from) {
            $from = is_string($from) ? $from : '';
            self::at("{$where}.{$key}.{$i}", function () use ($graph, $from, $row, $kinds): void {
                $kind = $graph->kind($from);
                if (! in_array($kind, $kinds, true)) {
                    throw TraceException::backwards($from, $kind, self::id($row), $graph->kind(self::id($row)));
                }
                $graph->joins($from, self::id($row));
            });
        }
    }

    /**
     * @param  array<mixed>  $document
     * @return list<array<mixed>>
     */
    private static function rows(array $document, string $list): array
    {
        return array_map(
            fn (mixed $row) => is_array($row) ? $row : [],
            is_array($document[$list] ?? null) ? array_values($document[$list]) : [],
        );
    }

    /** @param  array<mixed>  $row */
    private static function id(array $row): string
    {
        return is_string($row['id'] ?? null) ? $row['id'] : '';
    }

    /**
     * @template T
     *
     * @param  \Closure(): T  $do
     * @return T
     */
    private static function at(string $field, \Closure $do): mixed
    {
        try {
            return $do();
        } catch (TraceException $refused) {
            throw WishException::from($refused->about($field));
        }
    }
}
