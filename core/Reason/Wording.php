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

    /** @return array{rule: string, says: string, source: string, standing: string, inputs: array<string, float|int|string>} */
    public function of(Reason $reason): array
    {
        $rule = $this->rules[$reason->rule] ?? throw new \LogicException("No words in data/rules.json for the rule {$reason->rule}.");
        $words = [];
        foreach ($reason->inputs as $name => $value) {
            $words['{'.$name.'}'] = is_string($value) ? $value : self::number((float) $value);
        }

        return [
            'rule' => $reason->rule,
            'says' => strtr($rule['says'], $words),
            'source' => $this->sources[$rule['source']] ?? $rule['source'],
            'standing' => $rule['standing'],
            'inputs' => $reason->inputs,
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
