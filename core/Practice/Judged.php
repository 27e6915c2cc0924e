<?php

declare(strict_types=1);

namespace Kettle\Practice;

use Kettle\Reason\Figure;
use Kettle\Reason\Said;

/** An answer, held against what is reckoned. */
final readonly class Judged
{
    public const VERDICTS = ['right', 'near', 'wrong'];

    /**
     * @param  value-of<self::VERDICTS>  $verdict
     * @param  Said  $is what it is, as it is reckoned
     * @param  ?Said  $slip how the answer came about, where that is known; another school is no mistake, and told so
     * @param  ?Figure  $figure with its reasons, where it is one of the plan's
     * @param  list<Said>  $why
     */
    public function __construct(
        public string $verdict,
        public Said $is,
        public ?Said $slip,
        public ?Figure $figure = null,
        public array $why = [],
    ) {}
}
