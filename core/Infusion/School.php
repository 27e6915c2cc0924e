<?php

declare(strict_types=1);

namespace Kettle\Infusion;

use Kettle\Material\HerbForm;
use Kettle\Material\Row;

/** One way of practising a method: how long (hours) and, when heated, how warm (C). */
final readonly class School
{
    public function __construct(
        public string $id,
        public string $name,
        public float $leastH,
        public float $usualH,
        public float $mostH,
        public ?float $targetC,
        public ?float $ceilingC,
        public ?string $for,
        public string $why,
    ) {
    }

    public static function fromRow(Row $row): self
    {
        return new self(
            $row->text('id'), $row->text('name'),
            $row->number('least_h'), $row->number('usual_h'), $row->number('most_h'),
            $row->numberOrNull('target_c'), $row->numberOrNull('ceiling_c'),
            $row->textOrNull('for'), $row->text('why'),
        );
    }

    /** Whether this school is the one to begin with for a form; "any" is the last resort. */
    public function startsFor(HerbForm $form): bool
    {
        return ($this->for === 'powder' && $form->powder) || ($this->for === 'woody' && $form->woody);
    }
}
