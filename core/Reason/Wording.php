<?php

declare(strict_types=1);

namespace Kettle\Reason;

/**
 * Puts reasons into a cook's words: fills the rule's sentence with its inputs and adds its source.
 */
final readonly class Wording
{
    /**
     * @param  array<string, array{says: string, source: string, standing: string}>  $rules
     * @param  array<string, string>  $sources titles by source id
     */
    public function __construct(private array $rules, private array $sources) {}

    /**
     * A reason in words. One whose rule the tables have no longer says nothing.
     *
     * @param  array<mixed>  $inputs as they are kept
     * @param  \Closure(string, array<mixed>): string  $fill puts things into a sentence
     * @param  \Closure(mixed): string  $thing says one thing
     * @return array{rule: string, says: string, source: string, standing: string, inputs: array<string, float|int|string>}
     */
    public function of(string $id, array $inputs, \Closure $fill, \Closure $thing): array
    {
        $rule = $this->rules[$id] ?? ['says' => '', 'source' => '', 'standing' => ''];
        $told = [];
        foreach ($inputs as $name => $value) {
            $told[(string) $name] = is_int($value) || is_float($value) ? $value : $thing($value);
        }

        return [
            'rule' => $id,
            'says' => trim($fill($rule['says'], $inputs)),
            'source' => $this->sources[$rule['source']] ?? $rule['source'],
            'standing' => $rule['standing'],
            'inputs' => $told,
        ];
    }

    /** Three significant figures, but whole numbers kept whole: 348, 61.3, 0.912. */
    public static function number(float $value): string
    {
        $size = abs($value);
        $places = match (true) {
            $size >= 100 || abs($value - round($value)) < 1e-9 => 0,
            $size >= 10 => 1,
            $size >= 1 => 2,
            default => 3,
        };
        $text = number_format($value, $places, '.', '');

        return str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;
    }
}
