<?php

declare(strict_types=1);

namespace Kettle\Reason;

/**
 * A sentence as data: which words of data/words.json, and what goes into them. It is kept so, and made into words when it
 * is shown ({@see \Kettle\Recipe\Words}), as the cook who reads it has their degrees, dates and language.
 *
 * What goes in is a number, a name somebody gave, another sentence, or one thing with its kind: ['mass' => 63.9] in g,
 * ['volume' => 320] in mL, ['warmth' => 60] in degrees C, ['day' => '2026-10-28'], ['herb' => 'calendula'] and their like.
 */
final readonly class Said
{
    /** The code of what was said before sentences were kept as data: its words as they stood. */
    public const AS_IT_STOOD = 'as-it-stood';

    public const JUST = 'just';

    /** @param  array<string, mixed>  $with */
    private function __construct(public string $code, public array $with) {}

    /** @param  array<string, mixed>  $with */
    public static function of(string $code, array $with = []): self
    {
        return new self($code, self::kept($with));
    }

    /** A thing by itself: an amount, a name. */
    public static function just(mixed $thing): self
    {
        return self::of(self::JUST, ['it' => $thing]);
    }

    /** Words that are somebody's own, or that stood before sentences were kept as data. */
    public static function asItStood(string $words): self
    {
        return new self(self::AS_IT_STOOD, ['words' => $words]);
    }

    /** From what was kept; words alone are what stood before. */
    public static function read(mixed $kept): ?self
    {
        return match (true) {
            $kept instanceof self => $kept,
            is_string($kept) && $kept !== '' => self::asItStood($kept),
            self::isKept($kept) => new self($kept['say'], $kept['with'] ?? []),
            default => null,
        };
    }

    /** @phpstan-assert-if-true array{say: string, with?: array<string, mixed>} $value */
    public static function isKept(mixed $value): bool
    {
        // Asked of everything in every plan that is told, so by counting.
        return is_array($value) &&
            isset($value['say']) &&
            is_string($value['say']) &&
            (count($value) === 1 || (count($value) === 2 && is_array($value['with'] ?? null)));
    }

    /**
     * A tree with every sentence in it as it is kept. Made for each thing of each reason of each plan tried, so without
     * a closure.
     *
     * @template K of array-key
     *
     * @param  array<K, mixed>  $tree
     * @return array<K, mixed>
     */
    public static function kept(array $tree): array
    {
        foreach ($tree as $key => $each) {
            if (is_array($each)) {
                $tree[$key] = self::kept($each);
            } elseif ($each instanceof self) {
                $tree[$key] = $each->toArray();
            } elseif ($each instanceof \DateTimeInterface) {
                $tree[$key] = $each->format(DATE_ATOM);
            }
        }

        return $tree;
    }

    /** @return array{say: string, with?: array<string, mixed>} */
    public function toArray(): array
    {
        return ['say' => $this->code] + ($this->with === [] ? [] : ['with' => $this->with]);
    }
}
