<?php

namespace App\Responses\Press;

use App\Responses\Batch\CautionView;
use App\Responses\Shape;

/** A batch’s labels: the sheet, the fields, what it says and what it lacks. */
final readonly class LabelPage extends Shape
{
    /**
     * @param  list<LabelSize>  $sizes
     * @param  int  $start first free label of the sheet, from 1
     * @param  string  $words the cook’s own line
     * @param  list<LabelField>  $fields
     * @param  list<LabelLine>  $lines
     * @param  list<CautionView>  $cautions
     * @param  list<string>  $warnings
     * @param  list<ChecklistLine>  $checklist
     * @param  'cook'|'inci'  $names
     * @param  string  $net Net amount and number of the first bottle, as its label has them; empty where they are left
     *     off or none is filled.
     * @param  bool  $prints Whether it can be printed: what must be said of it fits.
     */
    public function __construct(
        public array $sizes,
        public string $size,
        public int $start,
        public string $names,
        public string $words,
        public array $fields,
        public array $lines,
        public array $cautions,
        public array $checklist,
        public int $bottles,
        public string $net,
        public int $version,
        public array $warnings,
        public bool $prints,
    ) {}
}
