<?php

declare(strict_types=1);

namespace Kettle\Batch\Line;

use Kettle\Batch\Stored;

/** A line by which somebody says that they have read cautions. */
abstract readonly class ReadCautions extends Line
{
    /** @param  list<array{id: string, says: string}>  $cautions that were read, as they stood */
    public function __construct(public array $cautions) {}

    /** @return list<array{id: string, says: string}> */
    protected static function cautions(Stored $data): array
    {
        return array_map(fn (Stored $each) => ['id' => $each->text('id'), 'says' => $each->text('says')], $data->parts('cautions'));
    }

    public function canBeStruck(): bool
    {
        return false;
    }
}
