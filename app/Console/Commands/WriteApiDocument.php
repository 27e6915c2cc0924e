<?php

namespace App\Console\Commands;

use App\Console\ApiDocument\Document;
use Illuminate\Console\Command;

/** Writes docs/openapi.json from the code. */
final class WriteApiDocument extends Command
{
    protected $signature = 'kettle:openapi {file=docs/openapi.json}';

    protected $description = 'Write the OpenAPI document from the code';

    public function handle(): int
    {
        file_put_contents($this->argument('file'), Document::json());

        return self::SUCCESS;
    }
}
