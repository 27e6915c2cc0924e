<?php

namespace App\Labels;

use TCPDF;

/** A PDF without the library's own line at the foot. */
final class Sheet extends TCPDF
{
    /** @var bool */
    protected $tcpdflink = false;
}
