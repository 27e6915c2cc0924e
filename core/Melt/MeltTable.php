<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Material\Row;
use Kettle\Material\Tables;

/** What is made of an oil, and how the Melt reckons: data/products.json and data/melt.json. */
final class MeltTable
{
    public readonly Row $rules;

    /** @var array<string, Product> */
    private array $products = [];

    private ?Firmness $firmness = null;

    private function __construct(Tables $tables)
    {
        $this->rules = $tables->table('melt');
        foreach ($tables->table('products')->rows('rows') as $row) {
            $product = Product::fromRow($row);
            $this->products[$product->id] = $product;
        }
    }

    public static function of(Tables $tables): self
    {
        return $tables->made(self::class, fn () => new self($tables));
    }

    /** @return array<string, Product> by id */
    public function products(): array
    {
        return $this->products;
    }

    /** @throws MeltException */
    public function product(string $id): Product
    {
        return $this->products[$id] ?? throw MeltException::product($id);
    }

    public function firmness(): Firmness
    {
        return $this->firmness ??= Firmness::of($this->rules);
    }

    /** Hours before what was made is cold, firm and fit to be used. */
    public function setsH(Product $product): float
    {
        foreach ($this->rules->rows('sets') as $row) {
            if ($row->text('id') === $product->method) {
                return $row->number('hours');
            }
        }

        return 0.0;
    }

    /** A value of data/melt.json that stands alone. */
    public function value(string $key): float
    {
        return $this->rules->row($key)->number('value');
    }
}
