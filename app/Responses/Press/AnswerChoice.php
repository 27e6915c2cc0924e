<?php

namespace App\Responses\Press;

/** An answer to choose. */
final readonly class AnswerChoice
{
    public function __construct(public string $id, public string $says) {}
}
