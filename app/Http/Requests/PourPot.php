<?php

namespace App\Http\Requests;

use Kettle\Making\Hand;
use Kettle\Melt\Tin;

/** What a pot was poured into. */
final class PourPot extends Form
{
    public function rules(): array
    {
        return [
            'tins' => ['required', 'array', 'min:1', 'max:12'],
            'tins.*.ml' => ['required', 'numeric', 'between:'.Tin::LEAST_ML.','.Tin::MOST_ML],
            'tins.*.count' => ['required', 'integer', 'between:0,'.Hand::MOST_TINS],
            'left' => ['nullable', 'string', 'max:80'],
            'where' => ['nullable', 'string', 'max:80'],
        ];
    }
}
