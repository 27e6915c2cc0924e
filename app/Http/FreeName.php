<?php

namespace App\Http;

use App\Models\BottleSize;
use App\Models\Cooker;
use App\Models\Jar;
use App\Models\Probe;
use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** Refuses a second thing of one name in a house: two jars, or two thermometers, are chosen by what they are called. */
final readonly class FreeName implements ValidationRule
{
    /** @param  class-string<Jar|BottleSize|Cooker|Probe>  $of */
    public function __construct(private string $of) {}

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        // The database compares without regard to capitals.
        $called = is_string($value) ? trim($value) : '';
        if ($called !== '' && $this->of::query()->where('called', $called)->exists()) {
            $fail(sprintf('There is one called “%s” here already. Call this one otherwise, so that they are told apart.', $called));
        }
    }
}
