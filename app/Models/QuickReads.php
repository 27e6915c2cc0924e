<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Casts\Attribute;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/**
 * How each column of a model is read, what it casts and which of its traits begin something is found out once, where Eloquent
 * asks anew at every read: a fifth of a page of tasks. An accessor that is not kept once it was told is left to Eloquent.
 */
trait QuickReads
{
    private const MOMENT = '/^\d{4}-\d\d-\d\d( \d\d:\d\d:\d\d)?$/';

    private const PLAIN = ['integer', 'float', 'boolean', 'array', 'date', 'datetime'];

    /** @var array<class-string, array<string, string>> a plain column's cast, or who reads it */
    private static array $reads = [];

    /** @var array<class-string, array<string, string>> */
    private static array $castsOf = [];

    /**
     * @param  string  $key
     */
    public function getAttribute($key): mixed
    {
        $read = self::$reads[static::class][$key] ??= $this->howRead($key);
        if ($read === 'accessor') {
            // As it was told. Eloquent would write out all that its classes have read before it tells it.
            return $this->attributeCastCache[$key] ??= ($this->keptAccessor($key) ?? throw new \LogicException($key))(
                null,
                $this->attributes,
            );
        }
        if ($read === 'eloquent' || ! array_key_exists($key, $this->attributes)) {
            return parent::getAttribute($key);
        }
        $value = $this->attributes[$key];
        if ($read === 'class') {
            return $this->classCastCache[$key] ?? $this->getClassCastableAttributeValue($key, $value);
        }
        if ($read === 'as it is' || $value === null) {
            return $value;
        }
        // What was set and is not as the database would write it is Eloquent's to understand.
        if (! is_scalar($value) || (($read === 'date' || $read === 'datetime') && preg_match(self::MOMENT, (string) $value) !== 1)) {
            return parent::getAttribute($key);
        }

        return match ($read) {
            'integer' => (int) $value,
            'float' => (float) $value,
            'boolean' => (bool) $value,
            'array' => $this->fromJson((string) $value),
            'date' => new Carbon(substr((string) $value, 0, 10)),
            'datetime' => new Carbon((string) $value),
            default => self::ofEnum($read, $value),
        };
    }

    private static function ofEnum(string $enum, bool|float|int|string $value): \BackedEnum
    {
        assert(is_a($enum, \BackedEnum::class, true));

        return $enum::from(is_int($value) ? $value : (string) $value);
    }

    private function howRead(string $key): string
    {
        $cast = $this->getCasts()[$key] ?? null;
        $name = str_replace('_', '', ucwords($key, '_'));
        if (method_exists($this, $name) || method_exists($this, "get{$name}Attribute")) {
            return $this->keptAccessor($key) === null ? 'eloquent' : 'accessor';
        }

        return match (true) {
            $cast === null && in_array($key, $this->getDates(), true) => 'eloquent',
            $cast === null => 'as it is',
            is_a($cast, \BackedEnum::class, true), in_array($cast, self::PLAIN, true) => $cast,
            $this->isClassCastable($key) => 'class',
            default => 'eloquent',
        };
    }

    /**
     * Eloquent takes whatever returns an Attribute for an accessor, so this returns what is in it.
     *
     * @return (callable(mixed, array<string, mixed>): mixed)|null what tells an accessor that is kept once it was told
     */
    private function keptAccessor(string $key): ?callable
    {
        $made = $this->hasAttributeGetMutator($key) ? $this->{Str::camel($key)}() : null;

        return $made instanceof Attribute && $made->withCaching ? $made->get : null;
    }

    /**
     * What a model casts does not change.
     *
     * @return array<string, string>
     */
    public function getCasts(): array
    {
        return self::$castsOf[static::class] ??= parent::getCasts();
    }

    /**
     * By the names of their methods, as Laravel's own convention has it. Its attributes on methods, which nobody uses here,
     * cost it a reflection of every method of every model at every request: a fifteenth of a page.
     */
    protected static function bootTraits(): void
    {
        static::$traitInitializers[static::class] = [];
        foreach (class_uses_recursive(static::class) as $trait) {
            $name = class_basename($trait);
            if (method_exists(static::class, "boot{$name}")) {
                static::{"boot{$name}"}();
            }
            if (method_exists(static::class, "initialize{$name}")) {
                static::$traitInitializers[static::class][] = "initialize{$name}";
            }
        }
    }
}
