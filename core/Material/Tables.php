<?php

declare(strict_types=1);

namespace Kettle\Material;

/**
 * The table reader: the one place in the core that touches a file. Each table is read once.
 */
final class Tables
{
    private static ?self $shipped = null;

    /** @var array<string, Row> */
    private array $read = [];

    /** @var array<class-string, object> */
    private array $made = [];

    /** @param  (\Closure(string): ?array<mixed>)|null  $readBy a quicker way to a table's values; null for its JSON */
    public function __construct(private readonly string $folder, private readonly ?\Closure $readBy = null) {}

    /**
     * The tables that ship with the product: they do not change under who reads them, so they are read once.
     *
     * @param  (\Closure(string): ?array<mixed>)|null  $read
     */
    public static function shipped(?\Closure $read = null): self
    {
        $folder = dirname(__DIR__, 2).'/data';

        return $read === null ? (self::$shipped ??= new self($folder)) : new self($folder, $read);
    }

    /** @throws \LogicException when the table is missing or is not JSON */
    public function table(string $name): Row
    {
        return $this->read[$name] ??= $this->load($name);
    }

    /**
     * What is made of these tables once, for all who ask.
     *
     * @template T of object
     *
     * @param  class-string<T>  $class
     * @param  \Closure(): T  $make
     * @return T
     */
    public function made(string $class, \Closure $make): object
    {
        $made = $this->made[$class] ??= $make();
        assert($made instanceof $class);

        return $made;
    }

    private function load(string $name): Row
    {
        $values = $this->readBy === null ? $this->json($name) : ($this->readBy)($name);

        return is_array($values) ? new Row($values, $name) : throw new \LogicException("data/{$name}.json cannot be read.");
    }

    private function json(string $name): mixed
    {
        $text = @file_get_contents("{$this->folder}/{$name}.json");

        return $text === false ? null : json_decode($text, true);
    }
}
