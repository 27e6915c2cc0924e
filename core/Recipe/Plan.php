<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Diary\Timetable;
use Kettle\Keeping\Keeping;
use Kettle\Reason\Figure;
use Kettle\Reason\Note;
use Kettle\Reason\Said;
use Kettle\Warmth\Load;

/** A wish made into amounts, levels, days and what to watch for. */
final readonly class Plan
{
    /**
     * @param  array<string, Figure>  $figures by id
     * @param  list<array{slot: ?string, text: Said, chosen: bool}>  $sentence
     * @param  list<Note>  $notes
     */
    public function __construct(
        public Wish $wish,
        public Amounts $amounts,
        public array $figures,
        public Timetable $timetable,
        public Keeping $keeping,
        public array $sentence,
        public array $notes,
        public Supplies $supplies,
        public Load $load,
    ) {}

    /** @param  list<Note>  $notes */
    public function withNotes(array $notes): self
    {
        return new self(
            $this->wish,
            $this->amounts,
            $this->figures,
            $this->timetable,
            $this->keeping,
            $this->sentence,
            $notes,
            $this->supplies,
            $this->load,
        );
    }

    /** Whether nobody has to read a warning first, and it keeps outside the refrigerator: fit to be offered instead. */
    public function isSound(): bool
    {
        return ! $this->keeping->coldOnly && array_filter($this->notes, fn (Note $note) => $note->warns()) === [];
    }

    /** For the record: where the sentence says today, the day itself. */
    public function sentenceText(): Said
    {
        $begun = Sentence::begun($this->timetable->fillAt);

        return Said::just([
            'run' => array_map(
                fn (array $piece) => $piece['slot'] === 'when' && ! $piece['chosen'] ? $begun : $piece['text'],
                $this->sentence,
            ),
        ]);
    }

    /** What a batch of this plan is called: "marshmallow root in sunflower oil and jojoba". */
    public function name(): Said
    {
        return Said::of('plan.name', ['herbs' => $this->wish->mix->said(), 'oils' => $this->wish->blend->said()]);
    }
}
