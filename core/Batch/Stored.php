<?php

declare(strict_types=1);

namespace Kettle\Batch;

use Kettle\Reason\Said;

/** Reads what was stored as JSON. What is missing, or of another kind, is what the reader says it is: older records lack some of it. */
final readonly class Stored
{
    /** @param  array<mixed>  $values */
    public function __construct(private array $values) {}

    public static function of(mixed $values): self
    {
        return new self(is_array($values) ? $values : []);
    }

    public function has(string $key): bool
    {
        return array_key_exists($key, $this->values);
    }

    public function text(string $key, string $else = ''): string
    {
        return $this->textOrNull($key) ?? $else;
    }

    public function textOrNull(string $key): ?string
    {
        return is_string($this->values[$key] ?? null) ? $this->values[$key] : null;
    }

    /** A sentence as it is kept; words alone are what stood before sentences were kept as data. */
    public function said(string $key): ?Said
    {
        return Said::read($this->values[$key] ?? null);
    }

    /**
     * @template T of string
     *
     * @param  list<T>  $of
     * @param  T  $else
     * @return T
     */
    public function oneOf(string $key, array $of, string $else): string
    {
        foreach ($of as $each) {
            if (($this->values[$key] ?? null) === $each) {
                return $each;
            }
        }

        return $else;
    }

    public function number(string $key, float $else = 0.0): float
    {
        return $this->numberOrNull($key) ?? $else;
    }

    public function numberOrNull(string $key): ?float
    {
        return is_numeric($this->values[$key] ?? null) ? (float) $this->values[$key] : null;
    }

    public function count(string $key, int $else = 0): int
    {
        return is_numeric($this->values[$key] ?? null) ? (int) $this->values[$key] : $else;
    }

    public function flag(string $key, bool $else = false): bool
    {
        return is_bool($this->values[$key] ?? null) ? $this->values[$key] : $else;
    }

    public function part(string $key): self
    {
        return self::of($this->values[$key] ?? null);
    }

    /** @return array<mixed> as it was stored */
    public function array(string $key): array
    {
        return is_array($this->values[$key] ?? null) ? $this->values[$key] : [];
    }

    /** @return list<self> */
    public function parts(string $key): array
    {
        return array_map(self::of(...), array_values(array_filter($this->array($key), 'is_array')));
    }

    /** @return list<string> */
    public function texts(string $key): array
    {
        return array_values(array_filter($this->array($key), 'is_string'));
    }

    /** @return list<float> */
    public function numbers(string $key): array
    {
        return array_map(floatval(...), array_values(array_filter($this->array($key), 'is_numeric')));
    }

    /** @return array<string, string> */
    public function words(string $key): array
    {
        return $this->part($key)->all();
    }

    /** @return array<string, string> all that is text */
    public function all(): array
    {
        $words = [];
        foreach ($this->values as $name => $word) {
            if (is_string($word)) {
                $words[(string) $name] = $word;
            }
        }

        return $words;
    }
}
