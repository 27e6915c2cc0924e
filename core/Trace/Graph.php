<?php

declare(strict_types=1);

namespace Kettle\Trace;

/**
 * What went into what: lots into pots that are boiled down and into batches, pots into batches, batches into bottles,
 * bottles, pots and lots into products, products into tins, tins and bottles to people. What was left of a product may
 * be melted into another, an oil go on herb once more, and one pot be poured into another. Followed both ways, each
 * thing once however many ways lead to it.
 */
final class Graph
{
    /** The kinds of things, from the plant to the person. */
    public const KINDS = ['lot', 'pot', 'batch', 'bottle', 'product', 'tin', 'person'];

    private const ORDER = ['lot' => 0, 'pot' => 1, 'batch' => 2, 'bottle' => 3, 'product' => 4, 'tin' => 5, 'person' => 6];

    /** @var array<string, list<string>> what each went into */
    private array $into = [];

    /** @var array<string, list<string>> what each was made of */
    private array $from = [];

    /** Whether anything goes from a later kind to an earlier one: only then can it come back on itself. */
    private bool $turns = false;

    /** @var array<string, int> place of its kind in KINDS, by id */
    private array $orders = [];

    /**
     * @param  string  $kind of KINDS
     *
     * @throws TraceException when it is known as something else already
     */
    public function thing(string $kind, string $id): void
    {
        $order = self::ORDER[$kind] ?? throw TraceException::kind($kind);
        $known = $this->orders[$id] ??= $order;
        if ($known !== $order) {
            throw TraceException::twice($id, self::KINDS[$known], $kind);
        }
    }

    /**
     * One thing went into another.
     *
     * @throws TraceException when one of them is not known, or it would go back on itself
     */
    public function joins(string $what, string $into): void
    {
        $one = $this->orders[$what] ?? throw TraceException::unknown($what);
        $other = $this->orders[$into] ?? throw TraceException::unknown($into);
        // Every arrow goes from the plant towards the person; only what was left of a product may be melted into another,
        // an oil put on herb once more, and a decoction or a cleansed oil poured into another pot.
        $back = $one >= $other;
        if (($back && ! self::mayGoOn($one, $other)) || (($back || $this->turns) && $this->comesOf($what, $into))) {
            throw TraceException::backwards($what, self::KINDS[$one], $into, self::KINDS[$other]);
        }
        $this->turns = $this->turns || $back;
        $this->into[$what][] = $into;
        $this->from[$into][] = $what;
    }

    /** A product or a pot into another, or an oil, bottled or not, on fresh herb. */
    private static function mayGoOn(int $one, int $other): bool
    {
        $again = match ($other) {
            self::ORDER['product'] => [self::ORDER['product']],
            self::ORDER['pot'] => [self::ORDER['pot']],
            self::ORDER['batch'] => [self::ORDER['batch'], self::ORDER['bottle']],
            default => [],
        };

        return in_array($one, $again, true);
    }

    /** Whether a thing is another, or was made of it: then it cannot go into it. */
    private function comesOf(string $what, string $other): bool
    {
        return in_array($what, [$other, ...$this->forward($other)], true);
    }

    /** @throws TraceException */
    public function kind(string $id): string
    {
        return self::KINDS[$this->orders[$id] ?? throw TraceException::unknown($id)];
    }

    /**
     * All it went into, and all that did: forward to whoever holds it.
     *
     * @return list<string> nearest kinds first; not itself
     *
     * @throws TraceException
     */
    public function forward(string ...$from): array
    {
        return $this->follow($this->into, array_values($from));
    }

    /**
     * All it was made of, back to the plant.
     *
     * @return list<string>
     *
     * @throws TraceException
     */
    public function back(string ...$from): array
    {
        return $this->follow($this->from, array_values($from));
    }

    /** @return list<string> what it went into at once */
    public function next(string $id): array
    {
        return array_values(array_unique($this->into[$id] ?? []));
    }

    /** @return list<string> what it was made of at once */
    public function before(string $id): array
    {
        return array_values(array_unique($this->from[$id] ?? []));
    }

    /**
     * @param  array<string, list<string>>  $along
     * @param  list<string>  $from
     * @return list<string>
     */
    private function follow(array $along, array $from): array
    {
        foreach ($from as $id) {
            $this->kind($id);
        }
        $seen = array_fill_keys($from, true);
        $found = [];
        $edge = $from;
        while ($edge !== []) {
            $next = [];
            foreach ($edge as $id) {
                foreach ($along[$id] ?? [] as $to) {
                    if (! isset($seen[$to])) {
                        $seen[$to] = true;
                        $next[] = $to;
                        $found[] = $to;
                    }
                }
            }
            $edge = $next;
        }

        return $found;
    }
}
