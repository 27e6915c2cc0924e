<?php

declare(strict_types=1);

namespace Kettle\Batch\Line;

use Kettle\Batch\Stored;

/** How strong it smells of the herb. */
final readonly class ScentLook extends Look
{
    public const WHAT = 'scent';

    /** @param  int  $score how strong it smells of the herb, 0 to 10 */
    public function __construct(public int $score) {}

    public static function of(Stored $data): self
    {
        return new self($data->count('score'));
    }

    public function data(): array
    {
        return ['what' => self::WHAT, 'score' => $this->score];
    }
}
