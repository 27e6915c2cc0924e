<?php

declare(strict_types=1);

namespace Kettle\Stores;

use Kettle\Material\Cupboard;
use Kettle\Material\EssentialOil;
use Kettle\Material\Names;

/** What goes by a name among what a lot can be of: by any of its names, with or without accents, in the singular or the plural. */
final class LotNames
{
    /** @var array<string, array<string|int, list<string>>> names by id, its own first, by kind */
    private array $names = [];

    /** @var array<string, array<string, string>> ids by the plain name, by kind */
    private array $plain = [];

    /** @param  array<string, string>  $sizes names of the house's jars and bottles by id */
    public function __construct(private readonly Cupboard $cupboard, private readonly array $sizes = []) {}

    /** @return array{string, string}|null id and name; null where nothing goes by it */
    public function named(LotKind $kind, string $typed): ?array
    {
        $names = $this->of($kind);
        $id = isset($names[$typed]) ? $typed : $this->plainly($kind)[Names::plain($typed)] ?? null;

        return $id === null ? null : [$id, $names[$id][0]];
    }

    /** @return list<string> what may be meant by a name that nothing goes by, nearest first */
    public function meant(LotKind $kind, string $typed): array
    {
        $names = $this->of($kind);

        return array_map(fn (string|int $id) => $names[$id][0], array_keys(Names::nearest($typed, $names)));
    }

    /** @return array<string, string> */
    private function plainly(LotKind $kind): array
    {
        if (! isset($this->plain[$kind->value])) {
            $plain = [];
            // What a thing is called goes before what another is called too; of two that share it, the one listed first.
            foreach ([true, false] as $own) {
                foreach ($this->of($kind) as $id => $names) {
                    foreach ($own ? [$names[0]] : array_slice($names, 1) as $name) {
                        $plain[Names::plain($name)] ??= (string) $id;
                    }
                }
            }
            unset($plain['']);
            $this->plain[$kind->value] = $plain;
        }

        return $this->plain[$kind->value];
    }

    /** @return array<string|int, list<string>> */
    private function of(LotKind $kind): array
    {
        $oil = fn (EssentialOil $oil) => [$oil->name, $oil->names->inci, ...$oil->names->also];

        return $this->names[$kind->value] ??= match ($kind) {
            LotKind::Herb => array_map(fn ($herb) => [$herb->name, $herb->latin, ...$herb->also], $this->cupboard->herbs()),
            LotKind::Carrier => array_map(
                fn ($carrier) => [$carrier->name, $carrier->names->inci, ...$carrier->names->also],
                $this->cupboard->carriers(),
            ),
            LotKind::Wax => array_map(fn ($wax) => [$wax->name, $wax->inci], $this->cupboard->waxes()),
            LotKind::Scent => array_map($oil, array_filter($this->cupboard->essentialOils(), fn ($each) => ! $each->solid)),
            // What is weighed: of the essential oils, what is solid.
            LotKind::Addition => [
                ...array_map(fn ($addition) => [$addition->name], $this->cupboard->additions()),
                ...array_map($oil, array_filter($this->cupboard->essentialOils(), fn ($each) => $each->solid)),
            ],
            LotKind::Jar, LotKind::Bottle => array_map(fn (string $name) => [$name], $this->sizes),
            LotKind::Tin => [],
        };
    }
}
