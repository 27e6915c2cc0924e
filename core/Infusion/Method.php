<?php

declare(strict_types=1);

namespace Kettle\Infusion;

use Kettle\Material\HerbMix;
use Kettle\Material\Row;
use Kettle\Material\State;

/** A way of infusing, with its schools. */
final readonly class Method
{
    /** A flame or a hot plate stands under it. */
    public const OVER_FLAME = 'over-flame';

    /** Glass stands in water. */
    public const IN_WATER = 'in-water';

    /** Jars stand in a cooker, which is booked. */
    public const IN_COOKER = 'in-cooker';

    /** In the pan itself, with no jar. */
    public const IN_PAN = 'in-pan';

    public const IN_SUN = 'in-sun';

    /** Shut while it is warm. */
    public const LID_TIGHT = 'lid-tight';

    public const POURED_HOT = 'poured-hot';

    /** Holds its warmth by itself, with no water. */
    public const OWN_WARMTH = 'own-warmth';

    /** Short and watched: wet kitchen herb can be strained, and in the refrigerator, within its hours. */
    public const CHILLED_AT_ONCE = 'chilled-at-once';

    /**
     * @param  list<string>  $handling
     * @param  non-empty-list<School>  $schools
     * @param  bool  $attended whether somebody must be by while it is warm
     * @param  list<string>  $needs ids of things it needs
     * @param  list<State>  $states of herb it is for; empty for any
     * @param  list<string>  $risks what could go wrong
     * @param  list<string>  $traits of the constants below: what rules ask of it
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $inSentence,
        public bool $heated,
        public float $headspaceMm,
        public float $shakeEveryH,
        public array $handling,
        public array $schools,
        public bool $attended = true,
        public array $needs = [],
        public array $states = [],
        public array $risks = [],
        public string $lidDry = '',
        public string $lidWet = '',
        public array $traits = [],
    ) {
    }

    public static function fromRow(Row $row): self
    {
        $schools = array_map(School::fromRow(...), array_values($row->rows('schools')));
        if ($schools === []) {
            throw new \LogicException('A method has at least one school.');
        }

        return new self(
            $row->text('id'), $row->text('name'), $row->text('in_sentence'), $row->flag('heated'),
            $row->number('headspace_mm'), $row->number('shake_every_hours'), $row->texts('handling'), $schools,
            $row->flag('attended'), $row->texts('needs'), array_map(State::from(...), $row->texts('states')), $row->texts('risks'),
            $row->text('lid_dry'), $row->text('lid_wet'), $row->texts('traits'),
        );
    }

    public function has(string $trait): bool
    {
        return in_array($trait, $this->traits, true);
    }

    /** @throws MethodRefused when the method has no such school */
    public function school(string $id): School
    {
        foreach ($this->schools as $school) {
            if ($school->id === $id) {
                return $school;
            }
        }
        throw MethodRefused::unknownSchool($this->name, $id);
    }

    /** The method as somebody goes about it: a school may want nobody by, a cook may shake it oftener or less. */
    public function as(School $school, ?float $shakeEveryH = null): self
    {
        return new self(
            $this->id, $this->name, $this->inSentence, $this->heated, $this->headspaceMm, $shakeEveryH ?? $this->shakeEveryH, $this->handling, $this->schools,
            $school->attended ?? $this->attended, $this->needs, $this->states, $this->risks, $this->lidDry, $this->lidWet, $this->traits,
        );
    }

    /**
     * What to do, and what not to, for what is in the jar: its lid first.
     *
     * @return list<string>
     */
    public function handlingFor(HerbMix $mix): array
    {
        $lines = [$mix->state === State::Dried ? $this->lidDry : $this->lidWet, ...$this->handling];
        if ($mix->isPowder()) {
            $lines[] = 'Powder: tied in a fine cloth bag, or it goes through the cloth at straining; stir it, for it settles and packs.';
        }
        if ($mix->state !== State::Dried && $this->heated) {
            $lines[] = 'Wet herb: go on until no more bubbles rise from it, for each is water leaving.';
        }

        return $lines;
    }

    public function suits(State $state): bool
    {
        return $this->states === [] || in_array($state, $this->states, true);
    }

    /** The school to begin with for what is in the jar. */
    public function schoolFor(HerbMix $mix): School
    {
        foreach ($this->schools as $school) {
            if ($school->startsFor($mix)) {
                return $school;
            }
        }
        foreach ($this->schools as $school) {
            if ($school->for === 'any') {
                return $school;
            }
        }

        return $this->schools[0];
    }
}
