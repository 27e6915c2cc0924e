<?php

declare(strict_types=1);

namespace Kettle\Material;

/** The herbs, forms and carriers the tables know, found by id. */
final class Cupboard
{
    /** @var array<string, HerbForm>|null */
    private ?array $forms = null;

    /** @var array<string, Herb>|null */
    private ?array $herbs = null;

    /** @var array<string, Carrier>|null */
    private ?array $carriers = null;

    public function __construct(private readonly Tables $tables)
    {
    }

    /** @return array<string, HerbForm> */
    public function forms(): array
    {
        return $this->forms ??= $this->index('forms', HerbForm::fromRow(...));
    }

    /** @return array<string, Herb> */
    public function herbs(): array
    {
        return $this->herbs ??= $this->index('herbs', Herb::fromRow(...));
    }

    /** @return array<string, Carrier> */
    public function carriers(): array
    {
        return $this->carriers ??= $this->index('carriers', Carrier::fromRow(...));
    }

    /** @throws MaterialRefused */
    public function form(string $id): HerbForm
    {
        return $this->forms()[$id] ?? throw MaterialRefused::unknown('herb form', $id);
    }

    /** @throws MaterialRefused */
    public function herb(string $id): Herb
    {
        return $this->herbs()[$id] ?? throw MaterialRefused::unknown('herb', $id);
    }

    /** @throws MaterialRefused */
    public function carrier(string $id): Carrier
    {
        return $this->carriers()[$id] ?? throw MaterialRefused::unknown('oil', $id);
    }

    /**
     * @template T of object
     *
     * @param  \Closure(Row): T  $make
     * @return array<string, T>
     */
    private function index(string $table, \Closure $make): array
    {
        $index = [];
        foreach ($this->tables->table($table)->rows('rows') as $row) {
            $index[$row->text('id')] = $make($row);
        }

        return $index;
    }
}
