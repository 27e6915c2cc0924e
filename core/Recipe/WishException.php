<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Reason\RefusedException;
use Kettle\Reason\Way;

/**
 * A wish that cannot be planned. Carries every fault found, so that all can be mended at once.
 */
final class WishException extends \DomainException
{
    /**
     * @param non-empty-list<array{field: string, reason: string, sentence: string, ways?: list<array{id: string,
     *     says: string, change: array<string, mixed>}>}>  $faults
     * @param  list<array{slot: ?string, text: string, chosen: bool}>|null  $sentence of the wish as far as it could be read
     */
    private function __construct(public readonly array $faults, public readonly ?array $sentence = null)
    {
        parent::__construct($faults[0]['sentence']);
    }

    /**
     * @param non-empty-list<array{field: string, reason: string, sentence: string, ways?: list<array{id: string,
     *     says: string, change: array<string, mixed>}>}>  $faults
     */
    public static function faults(array $faults): self
    {
        return new self($faults);
    }

    public static function from(RefusedException $refused): self
    {
        return new self([$refused->toArray()]);
    }

    /** @param  list<Way>  $ways what would do instead */
    public static function withWays(RefusedException $refused, array $ways): self
    {
        return new self([$refused->toArray() + ['ways' => array_map(fn (Way $way) => $way->toArray(), $ways)]]);
    }

    /**
     * With only those ways out that lead out.
     *
     * @param  \Closure(array<string, mixed>, string): bool  $leads given the change and the way's id
     */
    public function tried(\Closure $leads): self
    {
        return new self(
            array_map(function (array $fault) use ($leads): array {
                if (isset($fault['ways'])) {
                    $fault['ways'] = array_values(array_filter($fault['ways'], fn (array $way) => $leads($way['change'], $way['id'])));
                }

                return $fault;
            }, $this->faults),
        );
    }

    /** @param  list<array{slot: ?string, text: string, chosen: bool}>|null  $sentence of the wish as far as it could be read */
    public function saying(?array $sentence): self
    {
        return new self($this->faults, $sentence);
    }

    public static function one(string $field, string $reason, string $sentence): self
    {
        return new self([['field' => $field, 'reason' => $reason, 'sentence' => $sentence]]);
    }
}
