<?php

namespace App\Http\Requests;

/** Marks of a level in a pot, as they were typed: hours of flame, and how high it stands, how much there is, or what it weighs. */
final class ReadLevel extends Form
{
    public function rules(): array
    {
        return [
            'marks' => ['required', 'array', 'min:1', 'max:2000'],
            'marks.*.h' => ['required', 'numeric', 'between:0,100000'],
            'marks.*.at' => ['required', 'string', 'max:40'],
            'by' => ['required', 'string', 'in:stick,jug,scale'],
            'width' => ['nullable', 'string', 'max:40'],
            'height' => ['nullable', 'string', 'max:40'],
            'end' => ['nullable', 'string', 'max:40'],
        ];
    }

    /** @return array{width?: string, height?: string, end?: string} the pot, and where it is done, as they were typed */
    public function measures(): array
    {
        return $this->written(['width', 'height', 'end']);
    }

    /** @return list<array{h: float, at: string}> */
    public function marks(): array
    {
        $marks = $this->input('marks');

        return array_values(
            array_map(
                fn (mixed $mark) => [
                    'h' => is_array($mark) && is_numeric($mark['h'] ?? null) ? (float) $mark['h'] : 0.0,
                    'at' => is_array($mark) && is_string($mark['at'] ?? null) ? $mark['at'] : '',
                ],
                is_array($marks) ? $marks : [],
            ),
        );
    }
}
