<?php

declare(strict_types=1);

namespace Kettle\Boiling\Line;

use Kettle\Batch\Line\Line;
use Kettle\Batch\Stored;

/** Strained, and what came of it. */
final readonly class Made extends Line
{
    public const KIND = 'made';

    /**
     * @param  float  $amount mL; g of what is made by weight
     * @param  string  $typed as somebody wrote it
     * @param  string  $where it stands
     * @param  ?string  $verdict of the signs, where they are looked at
     * @param  ?string  $bestBefore Y-m-d; null where it is bottled as an oil, which has a day of its own, or goes on
     * @param  ?string  $batch the id of the oil that it was bottled as
     */
    public function __construct(
        public float $amount,
        public string $typed,
        public string $where,
        public ?string $verdict,
        public ?string $bestBefore,
        public ?string $batch = null,
    ) {}

    public static function of(Stored $data): self
    {
        return new self(
            $data->number('amount'),
            $data->text('typed'),
            $data->text('where'),
            $data->textOrNull('verdict'),
            $data->textOrNull('best_before'),
            $data->textOrNull('batch'),
        );
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return [
            'amount' => $this->amount,
            'typed' => $this->typed,
            'where' => $this->where,
            'verdict' => $this->verdict,
            'best_before' => $this->bestBefore,
            'batch' => $this->batch,
        ];
    }

    public function carries(): bool
    {
        return true;
    }

    /** What was bottled is another thing by now, with a logbook of its own. */
    public function canBeStruck(): bool
    {
        return $this->batch === null;
    }
}
