<?php

declare(strict_types=1);

namespace Kettle\Infusion;

use Kettle\Material\HerbForm;
use Kettle\Material\Row;

/** A way of infusing, with its schools. */
final readonly class Method
{
    /**
     * @param  list<string>  $handling
     * @param  non-empty-list<School>  $schools
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

    /** The school to begin with for a form of herb. */
    public function schoolFor(HerbForm $form): School
    {
        foreach ($this->schools as $school) {
            if ($school->startsFor($form)) {
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
