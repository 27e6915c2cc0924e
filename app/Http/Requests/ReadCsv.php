<?php

namespace App\Http\Requests;

use App\Files\CsvException;

/** A CSV file, in base64 for its bytes are of any encoding; do or only say what it would do. */
final class ReadCsv extends Form
{
    public function rules(): array
    {
        return [
            'csv' => ['required', 'string', 'max:4000000'],
            'do' => ['required', 'boolean'],
        ];
    }

    /** @throws CsvException */
    public function bytes(): string
    {
        $bytes = base64_decode($this->string('csv')->toString(), true);

        return $bytes === false ? throw CsvException::notText() : $bytes;
    }
}
