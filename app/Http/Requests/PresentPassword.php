<?php

namespace App\Http\Requests;

/** The present password, of who changes how one comes in. */
final class PresentPassword extends Form
{
    public function rules(): array
    {
        return ['present' => self::PRESENT];
    }
}
