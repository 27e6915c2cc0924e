<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Material\MaterialException;

/** Fields of a document as somebody sent it: of any type, until it is read as what is wanted. */
final class Fields
{
    /**
     * @param  array<mixed>  $from
     *
     * @throws MaterialException when it is neither text, number nor nothing
     */
    public static function text(array $from, string $key): ?string
    {
        $value = $from[$key] ?? null;
        if (is_int($value) || is_float($value)) {
            return (string) $value;
        }
        if ($value !== null && ! is_string($value)) {
            throw new MaterialException('unreadable', sprintf('“%s” must be written as text.', $key));
        }

        return $value === null || trim($value) === '' ? null : trim($value);
    }

    /**
     * @param  list<string>  $keys
     * @return array<string, mixed> those that are there and not blank
     */
    public static function only(mixed $from, array $keys): array
    {
        $tidied = [];
        foreach ($keys as $key) {
            $value = is_array($from) ? $from[$key] ?? null : null;
            if ($value !== null && $value !== '' && ! is_array($value)) {
                $tidied[$key] = is_int($value) || is_float($value) ? (string) $value : $value;
            }
        }

        return $tidied;
    }
}
