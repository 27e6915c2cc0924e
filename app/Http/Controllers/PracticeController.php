<?php

namespace App\Http\Controllers;

use App\Http\Requests\AnswerPractice;
use App\OpenApi\Operation;
use App\Pages\Practice\PracticePage;
use App\Responses\Practice\PracticeJudged;
use App\Responses\Practice\PracticeView;

/** Made-up jars to learn on; nothing is kept. */
final class PracticeController extends Controller
{
    public function __construct(private readonly PracticePage $page) {}

    #[Operation('The first made-up jar')]
    public function first(): PracticeView
    {
        return $this->page->of(1);
    }

    #[Operation('A made-up jar, and what is to be done with it')]
    public function show(string $number): PracticeView
    {
        return $this->page->of(self::number($number));
    }

    #[Operation('Hold an answer against what is reckoned; nothing is kept')]
    public function judge(AnswerPractice $form, string $number, string $task): PracticeJudged
    {
        return $this->page->judged(self::number($number), $task, $form->string('answer')->trim()->toString());
    }

    /** What is no number is no jar's. */
    private static function number(string $typed): int
    {
        return preg_match('/^\d{1,4}$/D', $typed) === 1 ? (int) $typed : 0;
    }
}
