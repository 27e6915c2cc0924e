<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Tables;

/** Vitamin E as it is sold, by international units and in capsules: so many grams of it. */
final readonly class SaidVitaminE
{
    private const NAME = '(?:of\s+)?vit(?:amin)?\.?\s*e\b(?:\s+oil)?';

    private const UNITS = '(?:\(|,|[-–]|\bat\b|\bof\b|\s)*(\d{2,4})\s*i\.?\s*u\b\.?(?:\s*each)?\)?';

    public function __construct(private Tables $tables) {}

    /**
     * @return array{string, string}|null an amount as it is typed, "0.54 g", and what is told of it; null where a line is of
     *     something else
     */
    public function of(string $line): ?array
    {
        $table = $this->tables->table('keeping')->row('vitamin_e');
        [$name, $units] = [self::NAME, self::UNITS];
        $count = '(\d{1,2})\s*(?:x\s*)?';
        $capsules = '(?:gel\s*)?caps(?:ules?)?\b';
        $either = "{$name}\\s*{$capsules}|{$capsules}\\s*{$name}";
        $said = trim($line);
        [$many, $each] = match (true) {
            preg_match("/^{$count}{$capsules}\\s*{$name}(?:{$units})?\\W*$/iu", $said, $m) === 1 => [$m[1], $m[2] ?? null],
            preg_match("/^{$count}(\\d{2,4})\\s*i\\.?u\\.?\\s*(?:{$either})\\W*$/iu", $said, $m) === 1 => [$m[1], $m[2]],
            preg_match("/^{$count}{$name}\\s*{$capsules}(?:{$units})?\\W*$/iu", $said, $m) === 1 => [$m[1], $m[2] ?? null],
            preg_match("/^{$name}[\\s:,–-]*{$count}{$capsules}(?:{$units})?\\W*$/iu", $said, $m) === 1 => [$m[1], $m[2] ?? null],
            preg_match("/^(\\d{2,5})\\s*i\\.?u\\b\\.?\\s*{$name}\\W*$/iu", $said, $m) === 1 => ['1', $m[1]],
            preg_match("/^{$name}[\\s:,(–-]*(\\d{2,5})\\s*i\\.?u\\b\\W*$/iu", $said, $m) === 1 => ['1', $m[1]],
            default => [null, null],
        };
        if ($many === null) {
            return null;
        }
        $form = array_values($table->rows('forms'))[0];
        $iu = (int) $many * (float) ($each ?? $table->row('capsule_iu')->number('value'));
        $grams = $iu / $form->number('iu_per_mg') / 1000;

        return [
            sprintf('%s g', round($grams, 2)),
            sprintf(
                'Vitamin E, %s IU%s: as %s, the usual, that is %s g.',
                round($iu),
                $each === null ? ', taken as what a capsule has' : '',
                $form->text('name'),
                round($grams, 2),
            ),
        ];
    }
}
