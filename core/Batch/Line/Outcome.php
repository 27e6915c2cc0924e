<?php

declare(strict_types=1);

namespace Kettle\Batch\Line;

/** What became of a step that was due. */
enum Outcome: string
{
    case Done = 'done';
    case Skipped = 'skipped';
    case Later = 'later';
}
