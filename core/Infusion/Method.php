<?php

declare(strict_types=1);

namespace Kettle\Infusion;

use Kettle\Material\HerbMix;
use Kettle\Material\Row;
use Kettle\Material\State;

/** A way of infusing, with its schools. */
final readonly class Method
{
    /**
     * @param  list<string>  $handling
     * @param  non-empty-list<School>  $schools
     * @param  bool  $attended whether somebody must be by while it is warm
     * @param  list<string>  $needs ids of things it needs
     * @param  list<State>  $states of herb it is for; empty for any
     * @param  list<string>  $risks what could go wrong
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
        );
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
