<?php

declare(strict_types=1);

namespace Kettle\Material;

/**
 * The things of one table by their ids, each made when it is first asked for: of sixty plants, a wish is of two.
 *
 * @template T of object
 */
final class Index
{
    /** @var array<string, int|string>|null where each stands in the table */
    private ?array $at = null;

    /** @var array<string, T> */
    private array $made = [];

    /** @param  \Closure(Row): T  $make */
    public function __construct(private readonly Row $table, private readonly \Closure $make) {}

    /** @return T|null */
    public function find(string $id): ?object
    {
        $this->at ??= $this->table->places('rows', 'id');

        return isset($this->at[$id]) ? $this->made($id, $this->at[$id]) : null;
    }

    /** @return array<string, T> in the table's order */
    public function all(): array
    {
        $all = [];
        foreach ($this->at ??= $this->table->places('rows', 'id') as $id => $at) {
            $all[$id] = $this->made($id, $at);
        }

        return $all;
    }

    /** @return T */
    private function made(string $id, int|string $at): object
    {
        return $this->made[$id] ??= ($this->make)($this->table->rowAt('rows', $at));
    }
}
