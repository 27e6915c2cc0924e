<?php

namespace App\Actions\Batches;

use Kettle\Batch\Line\Line;

/** A line that is to be written into a logbook. */
final readonly class NewLine
{
    /** @param  ?string  $corrects the id of the line that it corrects or strikes out */
    public function __construct(public Line $line, public ?string $note = null, public ?string $corrects = null) {}
}
