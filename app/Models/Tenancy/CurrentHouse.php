<?php

namespace App\Models\Tenancy;

use App\Models\House;

/**
 * The house this request, command or job is in. Every query on what belongs to a house is scoped by
 * it, and fails loudly when no house has been entered.
 */
final class CurrentHouse
{
    private ?House $house = null;

    private ?Role $role = null;

    public function enter(House $house, Role $role): void
    {
        $this->house = $house;
        $this->role = $role;
    }

    public function leave(): void
    {
        $this->house = null;
        $this->role = null;
    }

    public function house(): House
    {
        return $this->house ?? throw new \LogicException('No house has been entered.');
    }

    public function entered(): bool
    {
        return $this->house !== null;
    }

    public function role(): Role
    {
        return $this->role ?? throw new \LogicException('No house has been entered.');
    }

    /**
     * Does something inside a house, and comes back out.
     *
     * @template T
     *
     * @param  \Closure(): T  $do
     * @return T
     */
    public function within(House $house, \Closure $do): mixed
    {
        [$before, $role] = [$this->house, $this->role];
        $this->enter($house, Role::Keeper);
        try {
            return $do();
        } finally {
            [$this->house, $this->role] = [$before, $role];
        }
    }
}
