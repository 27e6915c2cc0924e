<?php

namespace App\Responses\Press;

/** A question of a guided check. */
final readonly class AskView
{
    /**
     * @param  list<AnswerChoice>  $answers
     */
    public function __construct(public string $id, public string $asks, public array $answers) {}
}
