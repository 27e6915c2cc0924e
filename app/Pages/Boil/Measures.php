<?php

namespace App\Pages\Boil;

use App\House\KitchenFactory;
use Kettle\Measure\Kind;
use Kettle\Reason\RefusedException;

/** The measures of a pot as they were typed, as the core takes them. */
final readonly class Measures
{
    public function __construct(private KitchenFactory $kitchens) {}

    /**
     * @param  array{width?: string, height?: string, rate?: string, share?: string, hours_a_day?: string, end?: string}  $typed
     * @return array<string, mixed>
     *
     * @throws RefusedException
     */
    public function read(array $typed): array
    {
        $reader = $this->kitchens->plain()->measured();
        $read = fn (string $field, Kind $kind, string $unit): ?float => isset($typed[$field])
            ? RefusedException::at($field, fn () => $reader->read($typed[$field], $kind, $unit)->value)
            : null;
        [$width, $height] = [$read('width', Kind::Length, 'cm'), $read('height', Kind::Length, 'cm')];
        // "450 mL an hour": what it loses in an hour is an amount.
        $rate = isset($typed['rate'])
            ? RefusedException::at('rate', function () use ($reader, $typed): float {
                $ml = (string) preg_replace('/\s*(an|per|\/)\s*h(our)?$/i', '', $typed['rate']);

                return $reader->read($ml, Kind::Volume, 'mL')->value;
            })
            : null;
        $number = fn (string $field): ?float => isset($typed[$field])
            ? RefusedException::at($field, fn () => $reader->number((string) preg_replace('/\s*(%|h|hours?)$/i', '', trim($typed[$field]))))
            : null;

        return array_filter(
            [
                'pot' => $width === null && $height === null ? null : ['diameter_mm' => $width, 'height_mm' => $height],
                'ml_per_hour' => $rate,
                'glycerin_share' => ($share = $number('share')) === null ? null : $share / 100,
                'hours_a_day' => $number('hours_a_day'),
            ],
            fn (mixed $each) => $each !== null,
        );
    }
}
