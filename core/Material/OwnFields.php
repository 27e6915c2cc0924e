<?php

declare(strict_types=1);

namespace Kettle\Material;

use Kettle\Measure\AmountException;
use Kettle\Measure\AmountReader;
use Kettle\Reason\Faults;
use Kettle\Reason\RefusedException;

/** The fields of one thing of a house's own, read by type; each fault is kept with its field. */
final readonly class OwnFields
{
    /** A kitchen's things are called so: letters of any writing, figures, and what stands between them. */
    private const NAME = '/^[\p{L}\p{M}\p{N} ’\'\-–(),.;:&\/×]+$/uD';

    /** @param  array<mixed>  $values */
    public function __construct(private array $values, private Faults $faults, private AmountReader $amounts = new AmountReader()) {}

    /** @return list<array{field: string, reason: string, sentence: string}> */
    public function faults(): array
    {
        return $this->faults->all();
    }

    public function refuse(string $field, RefusedException $refused): void
    {
        $this->faults->add($refused->about($field));
    }

    public function raw(string $field): mixed
    {
        return $this->values[$field] ?? null;
    }

    /**
     * A thing of the tables that this one is kin to, or like: by its id.
     *
     * @template T of object
     *
     * @param  \Closure(string): ?T  $find
     * @return array{string, ?T}
     */
    public function ofTheAlmanac(string $field, string $what, \Closure $find): array
    {
        $id = $this->text($field, 60);
        $found = $id === '' || Own::is($id) ? null : $find($id);
        if ($id !== '' && $found === null) {
            $this->refuse($field, MaterialException::unknown("{$what} of the Almanac", $id));
        }

        return [$id, $found];
    }

    /** @param  list<string>  $known */
    public function only(array $known): void
    {
        foreach (array_keys($this->values) as $field) {
            if (! in_array($field, $known, true)) {
                $this->refuse(mb_substr((string) $field, 0, 40), MaterialException::ownField((string) $field));
            }
        }
    }

    /** As it was written; empty where it was not. */
    public function text(string $field, int $most): string
    {
        $value = $this->values[$field] ?? '';
        $text = is_string($value) ? trim($value) : null;
        if ($text === null || mb_strlen($text) > $most) {
            $this->refuse($field, $text === null ? MaterialException::ownText() : MaterialException::ownLong($most));

            return '';
        }

        return $text;
    }

    /** A name of anything: letters of any writing, at least one, and nothing that a label could not show. */
    public function name(string $field, int $most, bool $wanted): string
    {
        $text = preg_replace('/\s+/u', ' ', $this->text($field, $most)) ?? '';
        if ($text === '') {
            $wanted && ($this->values[$field] ?? '') === '' && $this->refuse($field, MaterialException::ownNameless());

            return '';
        }
        if (preg_match(self::NAME, $text) !== 1 || preg_match('/\p{L}/u', $text) !== 1) {
            $this->refuse($field, MaterialException::ownLetters());

            return '';
        }

        return $text;
    }

    /**
     * @return ($orNull is true ? ?list<string> : list<string>) null where nobody has said
     */
    public function names(string $field, int $many, int $most, bool $orNull = false): ?array
    {
        $given = $this->values[$field] ?? null;
        if ($given === null || $given === '') {
            return $orNull ? null : [];
        }
        $given = is_string($given) ? preg_split('/[;,\n](?![^(]*\))/u', $given) : $given;
        if (! is_array($given) || count($given) > $many) {
            $this->refuse($field, is_array($given) ? MaterialException::ownMany($many) : MaterialException::ownList());

            return [];
        }
        $names = [];
        foreach ($given as $each) {
            $one = new self([$field => $each], $this->faults);
            $names[] = $one->name($field, $most, false);
        }

        return array_values(array_unique(array_filter($names, fn (string $name) => $name !== '')));
    }

    /**
     * What people are allergic to in it. What is kept is taken as it is; what is typed must say what is in it.
     *
     * @return ?list<string> null where nobody has said, or nobody knows
     */
    public function allergens(string $field): ?array
    {
        $given = $this->values[$field] ?? null;
        $words = is_array($given) && array_filter($given, is_string(...)) === $given ? $given : null;
        if ($words === null && (! is_string($given) || $given === '')) {
            return $this->names($field, 12, 60, true);
        }
        try {
            $named = is_string($given) ? Allergens::typed($given) : Allergens::named($words ?? []);
        } catch (MaterialException $refused) {
            if (is_string($given)) {
                $this->refuse($field, $refused);

                return null;
            }
            $named = $words;
        }

        return $named === null ? null : (new self([$field => $named], $this->faults))->names($field, 12, 60);
    }

    /**
     * @param  list<string>  $of
     * @return ?string null where it was not said and nothing stands for it, which is a fault then
     */
    public function oneOf(string $field, array $of, ?string $default): ?string
    {
        $text = $this->text($field, 60);
        if ($text === '' && $default !== null) {
            return $default;
        }
        if (in_array($text, $of, true)) {
            return $text;
        }
        $this->refuse($field, $text === '' ? MaterialException::ownChoose() : MaterialException::ownChoice($text));

        return $default;
    }

    /**
     * @param  list<string>  $of
     * @return ?list<string> null where nobody has said; an empty list says that there is none
     */
    public function listOf(string $field, array $of): ?array
    {
        $given = $this->values[$field] ?? null;
        if ($given === null) {
            return null;
        }
        if (! is_array($given)) {
            $this->refuse($field, MaterialException::ownList());

            return null;
        }
        $known = [];
        foreach ($given as $each) {
            if (is_string($each) && in_array($each, $of, true)) {
                $known[] = $each;
            } else {
                $this->refuse($field, MaterialException::ownChoice(is_string($each) ? $each : ''));
            }
        }

        return array_values(array_unique($known));
    }

    /** A number, or one as it was typed: with point or comma, and with its unit or without. */
    public function number(string $field, float $least, float $most, Figure $of): ?float
    {
        $value = $this->values[$field] ?? null;
        if ($value === null || (is_string($value) && trim($value) === '')) {
            return null;
        }
        try {
            $number = is_string($value) ? $of->read($value, $this->amounts) : (is_int($value) || is_float($value) ? (float) $value : null);
        } catch (MaterialException|AmountException $refused) {
            $this->refuse($field, $refused);

            return null;
        }
        if ($number === null || ! is_finite($number) || $number < $least || $number > $most) {
            $this->refuse($field, MaterialException::ownNumber($least, $most, $of));

            return null;
        }

        return $number;
    }

    /** Whether something was said of it, whatever it was. */
    public function has(string $field): bool
    {
        return ! in_array($this->values[$field] ?? null, [null, ''], true);
    }

    public function flag(string $field): bool
    {
        $value = $this->values[$field] ?? false;
        is_bool($value) || $this->refuse($field, MaterialException::ownText());

        return $value === true;
    }
}
