<?php

declare(strict_types=1);

namespace Kettle\Measure;

/** Whose cups, spoons, pints and fluid ounces are meant. */
enum MeasureSystem: string
{
    case Us = 'us';
    case Metric = 'metric';
    case Australian = 'australian';
    case Imperial = 'imperial';
}
