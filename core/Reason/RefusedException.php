<?php

declare(strict_types=1);

namespace Kettle\Reason;

/**
 * Something asked of the core could not be done; says what was wrong with what, in a cook's words.
 *
 * Each room throws its own subclass. `$field` is the path of the input at fault in the wish
 * (for example "herb.mass"), empty where no single input is to blame.
 */
abstract class RefusedException extends \DomainException
{
    final public function __construct(public readonly string $reason, public readonly string $sentence, public readonly string $field = '')
    {
        parent::__construct($sentence);
    }

    /** The same refusal, laid to a field of the caller's. */
    public function about(string $field): static
    {
        return new static($this->reason, $this->sentence, $field);
    }

    /** The same refusal, its field under a place: "amount" is "oils.0.amount". */
    public function under(string $place): static
    {
        return $this->about($this->field === '' ? $place : "{$place}.{$this->field}");
    }

    /**
     * Reads something; a refusal is laid to the field.
     *
     * @template T
     *
     * @param  \Closure(): T  $read
     * @return T
     *
     * @throws RefusedException
     */
    public static function at(string $field, \Closure $read): mixed
    {
        try {
            return $read();
        } catch (RefusedException $refused) {
            throw $refused->about($field);
        }
    }

    /** @return array{field: string, reason: string, sentence: string} */
    public function toArray(): array
    {
        return ['field' => $this->field, 'reason' => $this->reason, 'sentence' => $this->sentence];
    }
}
