<?php

namespace App\Http\Requests;

/** Some bytes of a zip, and after how many others they come. */
final class FillTransfer extends Form
{
    /** So many at once, bytes. */
    public const AT_ONCE = 1_500_000;

    public function rules(): array
    {
        return [
            'from' => ['required', 'integer', 'min:0'],
            'base64' => ['required', 'string', 'max:'.(self::AT_ONCE / 3) * 4],
        ];
    }

    /** What was sent; nothing where it is not base64. */
    public function bytes(): string
    {
        return base64_decode($this->string('base64')->toString(), true) ?: '';
    }
}
