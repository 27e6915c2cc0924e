<?php

namespace App\Http\Requests;

/** The sheet, where it starts, its fields, names and own words. */
final class SetLabel extends Form
{
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer'],
            'size' => ['required', 'string', 'max:40'],
            'start' => ['required', 'integer', 'between:1,200'],
            'names' => ['required', 'string', 'in:cook,inci'],
            'fields' => ['required', 'array', 'max:20'],
            'fields.*' => ['string', 'max:20'],
            'words' => ['nullable', 'string', 'max:300'],
        ];
    }

    /** @return array{size: string, start: int, names: string, fields: list<string>, words: string} */
    public function label(): array
    {
        return [
            'size' => $this->string('size')->toString(),
            'start' => $this->integer('start'),
            'names' => $this->string('names')->toString(),
            'fields' => array_values(array_unique(array_filter($this->array('fields'), 'is_string'))),
            'words' => $this->string('words')->trim()->toString(),
        ];
    }
}
