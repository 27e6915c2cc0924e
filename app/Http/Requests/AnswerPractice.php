<?php

namespace App\Http\Requests;

/** What somebody says of a made-up jar: an amount as it is typed, or the id of a choice. */
final class AnswerPractice extends Form
{
    public function rules(): array
    {
        return [
            'answer' => ['required', 'string', 'max:80'],
        ];
    }
}
