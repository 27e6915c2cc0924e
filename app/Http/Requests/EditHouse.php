<?php

namespace App\Http\Requests;

use Kettle\Diary\Burners;
use Kettle\Measure\AmountReader;
use Kettle\Measure\Coordinate;
use Kettle\Measure\Money;

/** A house's settings, with the version that was edited. */
final class EditHouse extends Form
{
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer'],
            'name' => ['required', 'string', 'max:80'],
            'time_zone' => ['required', 'string', 'timezone'],
            'measures' => ['required', 'string', 'in:us,metric,australian,imperial'],
            'wake' => ['required', 'string', 'max:20'],
            'bed' => ['required', 'string', 'max:20'],
            'drops_per_ml' => ['required', 'numeric', 'between:5,60'],
            'currency' => ['sometimes', 'nullable', 'string', 'max:3'],
            'hour_rate' => ['sometimes', 'nullable', 'numeric', 'between:0,10000'],
            'burners' => ['sometimes', 'nullable', 'integer', 'between:1,'.Burners::MOST],
            'room_c' => ['sometimes', 'numeric', 'between:0,40'],
            'room' => ['sometimes', 'string', 'max:20'],
            'latitude' => ['sometimes', 'nullable', 'numeric', 'between:-90,90', 'required_with:longitude'],
            'longitude' => ['sometimes', 'nullable', 'numeric', 'between:-180,180', 'required_with:latitude'],
            'height_m' => ['sometimes', 'integer', 'between:-400,5000'],
            'facing' => ['sometimes', 'integer', 'between:0,359'],
            'home' => ['sometimes', 'nullable', 'array', 'size:7'],
            'home.*' => ['nullable', 'string', 'max:120'],
            'things' => ['sometimes', 'array', 'max:40'],
            'things.*' => ['string', 'max:40'],
        ];
    }

    public function figures(): array
    {
        $number = fn (string $unit) => fn (string $typed) => (new AmountReader())->figure($typed, $unit);
        $other = fn (string $typed): ?string => Money::otherIn($typed, $this->string('currency')->upper()->toString(), 'en');

        return [
            'drops_per_ml' => $number('drops?(?:\s+(?:in|to|per|an?|\/)?\s*(?:an?\s+)?(?:ml|millilit(?:re|er)))?'),
            'burners' => $number('burners?'),
            'height_m' => $number('m|met(?:re|er)s?'),
            'latitude' => fn (string $typed) => Coordinate::read($typed, 'N'),
            'longitude' => fn (string $typed) => Coordinate::read($typed, 'E'),
            'hour_rate' => fn (string $typed) => $other($typed) === null ? Money::read($typed) : null,
        ];
    }
}
