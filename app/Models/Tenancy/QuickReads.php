<?php

namespace App\Models\Tenancy;

use Illuminate\Support\Carbon;

/**
 * How each column of a model is read is found out once, where Eloquent asks nine questions at every read: a fifth of a page of
 * tasks. What a class of its own reads, or an accessor, is left to Eloquent.
 */
trait QuickReads
{
    private const MOMENT = '/^\d{4}-\d\d-\d\d( \d\d:\d\d:\d\d)?$/';

    /** @var array<class-string, array<string, string>> a plain column's cast, or what of it Eloquent reads */
    private static array $reads = [];

    /**
     * @param  string  $key
     */
    public function getAttribute($key): mixed
    {
        $read = self::$reads[static::class][$key] ??= $this->howRead($key);
        if ($read === 'eloquent' || ! array_key_exists($key, $this->attributes)) {
            // What a class has read stays as it was read; Eloquent would write all such columns out at every look.
            return $this->classCastCache[$key] ?? parent::getAttribute($key);
        }
        $value = $this->attributes[$key];

        return match (true) {
            $read === 'as it is', $value === null => $value,
            // What was set and is not as the database would write it is Eloquent's to understand.
            ! is_scalar($value) => parent::getAttribute($key),
            $read === 'integer' => (int) $value,
            $read === 'float' => (float) $value,
            $read === 'boolean' => (bool) $value,
            is_a($read, \BackedEnum::class, true) => $read::from(is_int($value) ? $value : (string) $value),
            preg_match(self::MOMENT, (string) $value) !== 1 => parent::getAttribute($key),
            $read === 'date' => new Carbon(substr((string) $value, 0, 10)),
            default => new Carbon((string) $value),
        };
    }

    private function howRead(string $key): string
    {
        $cast = $this->getCasts()[$key] ?? null;

        return match (true) {
            $this->hasAnyGetMutator($key), $cast === null && in_array($key, $this->getDates(), true) => 'eloquent',
            $cast === null => 'as it is',
            is_a($cast, \BackedEnum::class, true), in_array($cast, ['integer', 'float', 'boolean', 'date', 'datetime'], true) => $cast,
            default => 'eloquent',
        };
    }
}
