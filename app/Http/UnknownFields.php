<?php

namespace App\Http;

use Illuminate\Support\Arr;
use Kettle\Reason\UnknownField;

/** What is sent that nobody asked for, refused by name: a field passed over in silence is one that was meant. */
final class UnknownFields
{
    /**
     * @param  array<string, mixed>  $rules by field, as Laravel has them
     * @param  array<array-key, mixed>  $sent
     * @return list<array{field: string, reason: string, sentence: string}>
     */
    public static function in(array $rules, array $sent): array
    {
        $asked = [];
        foreach (array_keys($rules) as $field) {
            Arr::has($asked, $field) || Arr::set($asked, $field, []);
        }

        return self::beside($asked, $sent, '');
    }

    /**
     * @param  array<array-key, mixed>  $asked
     * @param  array<array-key, mixed>  $sent
     * @return list<array{field: string, reason: string, sentence: string}>
     */
    private static function beside(array $asked, array $sent, string $under): array
    {
        $faults = [];
        foreach ($sent as $field => $value) {
            $below = $asked[$field] ?? ($asked['*'] ?? null);
            if ($below === null) {
                $faults[] = [
                    'field' => mb_substr($under.$field, 0, 120),
                    'reason' => 'unknown_field',
                    'sentence' => UnknownField::sentence((string) $field, array_map(strval(...), array_keys($asked))),
                ];
            } elseif (is_array($value) && is_array($below) && $below !== []) {
                // A place whose fields have no rules is read by the core.
                array_push($faults, ...self::beside($below, $value, "{$under}{$field}."));
            }
        }

        return $faults;
    }
}
