<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Addition;
use Kettle\Material\Cupboard;
use Kettle\Material\Wax;

/** What goes into a product, by any of its names in the tables: the longest that a text holds. */
final readonly class ProductNames
{
    public function __construct(private Cupboard $cupboard) {}

    /** @return ?string id of the essential oil that goes by this name */
    public function scent(string $plain): ?string
    {
        $names = [];
        foreach ($this->cupboard->essentialOils() as $oil) {
            $names[$oil->id] = [$oil->name, ...$oil->names->also];
        }

        return self::named($plain, $names);
    }

    /** A wax, a butter, or an additive. */
    public function wax(string $plain): ?Wax
    {
        $names = [];
        foreach ($this->cupboard->waxes() as $wax) {
            // Coconut oil goes in as an oil.
            if ($this->cupboard->carrierOrNull($wax->id) === null || $wax->id !== 'coconut') {
                $names[$wax->id] = [$wax->name, explode(',', $wax->name)[0], str_replace('-', ' ', $wax->id), ...$wax->also];
            }
        }
        $id = self::named($plain, $names);

        return $id === null ? null : $this->cupboard->wax($id);
    }

    /** Whether a wax is meant, and which is not said. */
    public static function isAnyWax(string $plain): bool
    {
        return preg_match('/^(a\s+|some\s+)?(grated\s+|melted\s+)?wax(\s+(pellets|pastilles|beads))?$/i', $plain) === 1;
    }

    public function addition(string $plain): ?Addition
    {
        $names = [];
        foreach ($this->cupboard->additions() as $addition) {
            $names[$addition->id] = [$addition->name, ...$addition->names->also];
        }
        $id = self::named($plain, $names);

        return $id === null ? null : $this->cupboard->addition($id);
    }

    /**
     * The longest of the names that a text holds.
     *
     * @param  array<string, list<string>>  $names by id
     */
    private static function named(string $plain, array $names): ?string
    {
        $best = ['', 0];
        foreach ($names as $id => $each) {
            foreach ($each as $name) {
                $name = mb_strtolower($name);
                if (mb_strlen($name) > $best[1] && preg_match('/\b'.preg_quote($name, '/').'s?\b/u', $plain) === 1) {
                    $best = [$id, mb_strlen($name)];
                }
            }
        }

        return $best[0] === '' ? null : $best[0];
    }
}
