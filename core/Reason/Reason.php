<?php

declare(strict_types=1);

namespace Kettle\Reason;

/**
 * One step of the argument behind a figure: the rule that was applied and what went into it.
 *
 * A reason is data. Its words and its source stand in data/rules.json under the rule's id,
 * and are joined to it at the edge by {@see Wording}.
 */
final readonly class Reason
{
    /** @param  array<string, mixed>  $inputs named inputs in the units the rule's words give, each as a sentence keeps it */
    private function __construct(public string $rule, public array $inputs) {}

    /** @param  array<string, mixed>  $inputs */
    public static function rule(string $id, array $inputs = []): self
    {
        return new self($id, Said::kept($inputs));
    }

    /** @return array{rule: string, inputs: array<string, mixed>} */
    public function toArray(): array
    {
        return ['rule' => $this->rule, 'inputs' => $this->inputs];
    }
}
