<?php

declare(strict_types=1);

namespace Kettle\Material;

/**
 * The table reader: the one place in the core that touches a file. Each table is read once.
 */
final class Tables
{
    /** @var array<string, Row> */
    private array $read = [];

    public function __construct(private readonly string $folder) {}

    /** The tables that ship with the product. */
    public static function shipped(): self
    {
        return new self(dirname(__DIR__, 2).'/data');
    }

    /** @throws \LogicException when the table is missing or is not JSON */
    public function table(string $name): Row
    {
        return $this->read[$name] ??= $this->load($name);
    }

    private function load(string $name): Row
    {
        $text = @file_get_contents("{$this->folder}/{$name}.json");
        $values = $text === false ? null : json_decode($text, true);

        return is_array($values) ? new Row($values, $name) : throw new \LogicException("data/{$name}.json cannot be read.");
    }
}
