<?php

namespace App\Responses\Today;

/** A product that wants something: its next step, or to be thrown away. */
final readonly class AtTheMelt
{
    /**
     * @param  bool  $wrong whether it is not to be used any more
     * @param  bool  $wanted whether it is not begun yet, and wanted by a day
     */
    public function __construct(
        public string $id,
        public string $code,
        public string $name,
        public string $says,
        public bool $wrong,
        public bool $wanted = false,
    ) {}
}
