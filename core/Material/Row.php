<?php

declare(strict_types=1);

namespace Kettle\Material;

/**
 * A row of a table in data/, read by type. A table is checked against its schema in the tests,
 * so a wrong type here is a fault of ours and a LogicException, not a cook's mistake.
 */
final readonly class Row
{
    /** @param  array<mixed>  $values */
    public function __construct(private array $values, private string $where) {}

    public function text(string $key): string
    {
        $value = $this->values[$key] ?? null;

        return is_string($value) ? $value : throw $this->wrong($key, 'text');
    }

    /**
     * @template T of string
     *
     * @param  list<T>  $of
     * @return T
     */
    public function oneOf(string $key, array $of): string
    {
        foreach ($of as $each) {
            if ($this->text($key) === $each) {
                return $each;
            }
        }
        throw $this->wrong($key, implode(' or ', $of));
    }

    public function number(string $key): float
    {
        $value = $this->values[$key] ?? null;

        return is_int($value) || is_float($value) ? (float) $value : throw $this->wrong($key, 'a number');
    }

    public function numberOrNull(string $key): ?float
    {
        return ($this->values[$key] ?? null) === null ? null : $this->number($key);
    }

    public function textOrNull(string $key): ?string
    {
        return ($this->values[$key] ?? null) === null ? null : $this->text($key);
    }

    /** A text one row further in, where there is one: as `row($key)->text($in)`, for what is read many times over. */
    public function textIn(string $key, string $in): ?string
    {
        $text = is_array($row = $this->values[$key] ?? null) ? $row[$in] ?? null : null;

        return is_string($text) ? $text : null;
    }

    public function flag(string $key): bool
    {
        $value = $this->values[$key] ?? null;

        return is_bool($value) ? $value : throw $this->wrong($key, 'true or false');
    }

    public function flagOrNull(string $key): ?bool
    {
        return ($this->values[$key] ?? null) === null ? null : $this->flag($key);
    }

    public function row(string $key): self
    {
        return $this->within($this->values[$key] ?? null, $key);
    }

    public function rowOrNull(string $key): ?self
    {
        return ($this->values[$key] ?? null) === null ? null : $this->row($key);
    }

    /** @return array<string, self> by key; a plain list is keyed "0", "1" and so on */
    public function rows(string $key): array
    {
        $rows = [];
        foreach ($this->list($key) as $name => $value) {
            $rows[(string) $name] = $this->within($value, "{$key}.{$name}");
        }

        return $rows;
    }

    /** One of the rows of a list. */
    public function rowAt(string $key, int|string $at): self
    {
        return $this->within($this->list($key)[$at] ?? null, "{$key}.{$at}");
    }

    /** @return array<string, int|string> where each row of a list stands in it, by a text of its own, without reading the rest of it */
    public function places(string $key, string $by): array
    {
        $places = [];
        foreach ($this->list($key) as $at => $value) {
            $text = is_array($value) ? $value[$by] ?? null : null;
            $places[is_string($text) ? $text : throw $this->wrong("{$key}.{$at}.{$by}", 'text')] = $at;
        }

        return $places;
    }

    /** @return list<string> */
    public function texts(string $key): array
    {
        return array_values(
            array_map(fn (mixed $value) => is_string($value) ? $value : throw $this->wrong($key, 'a list of texts'), $this->list($key)),
        );
    }

    /** @return array<string, float> */
    public function numbers(string $key): array
    {
        $numbers = [];
        foreach ($this->list($key) as $name => $value) {
            $numbers[(string) $name] = is_int($value) || is_float($value) ? (float) $value : throw $this->wrong($key, 'numbers');
        }

        return $numbers;
    }

    /** @return array<mixed> */
    private function list(string $key): array
    {
        $value = $this->values[$key] ?? null;

        return is_array($value) ? $value : throw $this->wrong($key, 'a list');
    }

    private function within(mixed $value, string $where): self
    {
        return is_array($value) ? new self($value, "{$this->where}.{$where}") : throw $this->wrong($where, 'a row');
    }

    private function wrong(string $key, string $wanted): \LogicException
    {
        return new \LogicException("{$this->where}: {$key} is not {$wanted}.");
    }
}
