<?php

namespace App\Responses\Bench;

/** Whom an oil may be for, or what it may be without, with what that leaves out of what is offered. */
final readonly class HeedChoice
{
    /**
     * @param  list<string>  $herbs ids that are barred however it is used
     * @param  list<string>  $skin ids that are barred as well where it is not eaten
     * @param  list<string>  $oils ids that are barred
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $detail,
        public array $herbs,
        public array $skin,
        public array $oils,
    ) {}
}
