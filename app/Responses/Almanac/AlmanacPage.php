<?php

namespace App\Responses\Almanac;

use App\Responses\Batch\CautionView;
use App\Responses\Shape;

/** A thing in the Almanac: facts with sources, cautions, and the house’s own. */
final readonly class AlmanacPage extends Shape
{
    /**
     * @param  list<AlmanacFact>  $facts
     * @param  list<string>  $lines
     * @param  list<CautionView>  $cautions
     * @param  list<AlmanacLink>  $own
     * @param  bool  $entered whether the house entered it
     */
    public function __construct(
        public string $kind,
        public string $key,
        public string $name,
        public string $says,
        public array $facts,
        public array $lines,
        public array $cautions,
        public array $own,
        public string $note,
        public string $note_by,
        public int $note_version,
        public bool $entered,
    ) {}
}
