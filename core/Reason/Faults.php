<?php

declare(strict_types=1);

namespace Kettle\Reason;

/** Faults found while something is read, so that all can be told, and mended, at once. */
final class Faults
{
    /** @var list<array{field: string, reason: string, sentence: string}> */
    private array $found = [];

    /**
     * Reads something; a refusal is laid to the field, unless it names a field of its own.
     *
     * @template T
     *
     * @param  \Closure(): T  $read
     * @return T|null null when it was refused
     */
    public function trying(string $field, \Closure $read): mixed
    {
        try {
            return $read();
        } catch (RefusedException $refused) {
            $this->add($refused->field === '' ? $refused->about($field) : $refused);

            return null;
        }
    }

    /**
     * Reads one of a list; a refusal is laid to its field under the place in it.
     *
     * @template T
     *
     * @param  \Closure(): T  $read
     * @return T|null null when it was refused
     */
    public function tryingIn(string $place, \Closure $read): mixed
    {
        try {
            return $read();
        } catch (RefusedException $refused) {
            $this->add($refused->under($place));

            return null;
        }
    }

    public function add(RefusedException ...$refused): void
    {
        foreach ($refused as $each) {
            $this->found[] = $each->toArray();
        }
    }

    /** @return list<array{field: string, reason: string, sentence: string}> */
    public function all(): array
    {
        return $this->found;
    }
}
