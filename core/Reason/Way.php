<?php

declare(strict_types=1);

namespace Kettle\Reason;

/** A way out of something that will not do: in words, and as the change to the wish that takes it. */
final readonly class Way
{
    /** Another purpose is no way out unless what is then made is sound. */
    public const FOR_THE_SKIN = 'for-the-skin';

    /**
     * The wish with a change taken.
     *
     * @param  array<mixed>  $wish
     * @param  array<string, mixed>  $change
     * @return array<mixed>
     */
    public static function taken(array $wish, array $change): array
    {
        $changed = array_filter(array_replace($wish, $change), fn (mixed $value) => $value !== null);
        if (isset($change['herbs'])) {
            unset($changed['herb']);
        }

        return $changed;
    }

    /** @param  array<string, mixed>  $change keys of the wish to set; null takes one out */
    public function __construct(public string $id, public string $says, public array $change) {}

    /** @return array{id: string, says: string, change: array<string, mixed>} */
    public function toArray(): array
    {
        return ['id' => $this->id, 'says' => $this->says, 'change' => $this->change];
    }
}
