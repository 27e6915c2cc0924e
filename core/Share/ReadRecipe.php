<?php

declare(strict_types=1);

namespace Kettle\Share;

/** A recipe as it was read: a wish, and what was made of every line. */
final readonly class ReadRecipe
{
    /**
     * @param  array<string, mixed>  $wish as docs/formats/wish.schema.json
     * @param  list<array{line: string, as: string, says: string, guess: bool}>  $lines as is herb, oil, method, time, name, step or unread
     * @param  list<string>  $notes about the whole
     */
    public function __construct(public string $name, public string $note, public array $wish, public array $lines, public array $notes) {}

    /**
     * @return array{name: string, note: string, wish: array<string, mixed>, lines: list<array{line: string, as: string,
     *     says: string, guess: bool}>, notes: list<string>}
     */
    public function toArray(): array
    {
        return ['name' => $this->name, 'note' => $this->note, 'wish' => $this->wish, 'lines' => $this->lines, 'notes' => $this->notes];
    }
}
