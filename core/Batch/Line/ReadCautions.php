<?php

declare(strict_types=1);

namespace Kettle\Batch\Line;

use Kettle\Batch\Stored;
use Kettle\Reason\Said;

/** A line by which somebody says that they have read cautions. */
abstract readonly class ReadCautions extends Line
{
    /** @param  list<array{id: string, says: ?Said}>  $cautions that were read */
    public function __construct(public array $cautions) {}

    /** @return list<array{id: string, says: ?Said}> */
    protected static function cautions(Stored $data): array
    {
        return array_map(fn (Stored $each) => ['id' => $each->text('id'), 'says' => $each->said('says')], $data->parts('cautions'));
    }

    /** @return array{cautions?: list<array{id: string, says: mixed}>} as they are kept */
    protected function kept(): array
    {
        return $this->cautions === []
            ? []
            : ['cautions' => array_map(fn (array $each) => ['id' => $each['id'], 'says' => $each['says']?->toArray()], $this->cautions)];
    }

    public function canBeStruck(): bool
    {
        return false;
    }
}
