<?php

namespace App\Responses\Bench;

/** A method to choose, with its schools. */
final readonly class MethodChoice
{
    /**
     * @param  list<SchoolChoice>  $schools
     * @param  list<string>  $vessels what it is done in: jar, bowl or pan, the usual first
     */
    public function __construct(
        public string $id,
        public string $name,
        public bool $heated,
        public array $schools,
        public array $vessels,
    ) {}
}
