<?php

namespace App\Http;

use App\Models\BottleSize;
use App\Models\Cooker;
use App\Models\Jar;
use App\Models\Probe;
use App\Models\Recipe;
use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** Refuses a second thing of one name in a house: two jars, or two recipes, are chosen by what they are called. */
final readonly class FreeName implements ValidationRule
{
    /**
     * @param  class-string<Jar|BottleSize|Cooker|Probe|Recipe>  $of
     * @param  string  $column where its name is
     * @param  ?int  $but the one that is changed
     */
    public function __construct(private string $of, private string $column = 'called', private ?int $but = null) {}

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        // The database compares without regard to capitals.
        $called = is_string($value) ? trim($value) : '';
        if ($called !== '' && $this->of::query()->where($this->column, $called)->whereKeyNot($this->but)->exists()) {
            $fail(sprintf('There is one called “%s” here already. Call this one otherwise, so that they are told apart.', $called));
        }
    }
}
