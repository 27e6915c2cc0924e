<?php

namespace App\Actions\Transfers;

/** What of a house its keeper takes along beside its records. */
final readonly class Choices
{
    public function __construct(
        /** its name, hours, measures, place and money, in place of those here */
        public bool $settings = false,
        /** days that calendars were read in for */
        public bool $calendars = false,
        /** thermometers, on the list rather than only as what measured */
        public bool $thermometers = false,
        /** who was of it, to be asked in again */
        public bool $people = false,
    ) {}

    /** @param  array<array-key, mixed>  $wishes */
    public static function of(array $wishes): self
    {
        return new self(
            ($wishes['settings'] ?? false) === true,
            ($wishes['calendars'] ?? false) === true,
            ($wishes['thermometers'] ?? false) === true,
            ($wishes['people'] ?? false) === true,
        );
    }
}
