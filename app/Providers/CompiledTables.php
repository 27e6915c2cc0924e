<?php

namespace App\Providers;

/**
 * The tables as PHP, which the server keeps in its memory beside the code: read as JSON at each request, they took longer
 * than many a page.
 */
final readonly class CompiledTables
{
    public function __construct(private string $from, private string $to) {}

    /** @return array<mixed>|null null where there is no such table */
    public function __invoke(string $name): ?array
    {
        $json = "{$this->from}/{$name}.json";
        $php = "{$this->to}/{$name}.php";
        $written = @filemtime($php);
        if ($written !== false && $written >= (@filemtime($json) ?: PHP_INT_MAX)) {
            $values = include $php;
            if (is_array($values)) {
                return $values;
            }
        }
        $text = @file_get_contents($json);
        $values = $text === false ? null : json_decode($text, true);
        if (! is_array($values)) {
            return null;
        }
        // Written whole, then put in its place: nobody reads half of it. Where it cannot be, the table is read as it is.
        $draft = $php.'.'.bin2hex(random_bytes(6));
        if (
            (is_dir($this->to) || @mkdir($this->to, 0700, true)) &&
            @file_put_contents($draft, '<?php return '.var_export($values, true).';') !== false
        ) {
            @rename($draft, $php);
        }

        return $values;
    }
}
