<?php

namespace App\Responses\Boil;

use App\OpenApi\Schema;
use App\Responses\Shape;

/** What is to be minded of the oil that comes of a pot. */
final readonly class PotHeed extends Shape
{
    /** @param  bool  $must_read whether somebody says that it was read, before it is bottled */
    public function __construct(
        public string $id,
        #[Schema(['type' => 'string', 'enum' => ['stop', 'care', 'note']])] public string $rank,
        public string $says,
        public bool $must_read,
    ) {}
}
