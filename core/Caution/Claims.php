<?php

declare(strict_types=1);

namespace Kettle\Caution;

use Kettle\Material\Tables;

/**
 * Words by which a label says that what is in the bottle treats or prevents an illness: in many places that alone makes
 * a medicine of it, whatever is in it. Names of plants that sound so, self-heal among them, are none.
 */
final readonly class Claims
{
    /** @param  list<string>  $words in small letters */
    private function __construct(private array $words, private string $plants) {}

    public static function of(Tables $tables): self
    {
        $rows = $tables->table('labels')->rows('claims');
        $plants = array_map(fn (string $name) => preg_quote($name, '/'), $tables->table('labels')->texts('names_of_plants'));

        return new self(
            array_merge(...array_map(fn ($row) => $row->texts('words'), array_values($rows))),
            '/\b(?:'.implode('|', $plants).')\b/iu',
        );
    }

    /** @return list<string> as they stand there, each once */
    public function in(string $text): array
    {
        $plain = preg_replace($this->plants, ' ', $text) ?? $text;
        preg_match_all('/(?<![\p{L}\p{N}-])(?:'.implode('|', $this->words).')(?![\p{L}\p{N}-])/iu', $plain, $found);
        $each = [];
        foreach ($found[0] as $word) {
            $each[mb_strtolower($word)] ??= $word;
        }

        return array_values($each);
    }
}
