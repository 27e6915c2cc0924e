<?php

declare(strict_types=1);

namespace Kettle\Diary;

/** Where a batch stands. */
enum Stage: string
{
    case Planned = 'planned';
    case Steeping = 'steeping';
    case Settling = 'settling';
    case Poured = 'poured';
    case Bottled = 'bottled';
    case Discarded = 'discarded';
}
