<?php

declare(strict_types=1);

namespace Kettle\Infusion;

use Kettle\Material\HerbMix;
use Kettle\Material\Row;
use Kettle\Material\State;
use Kettle\Vessel\Jar;

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

    /** By which a pan is done, each to be seen: its water is out, and the colour has turned. Common practice, no source. */
    public const SIGNS = [
        'bubbles_calmed' => 'the bubbling has calmed: its water is out',
        'colour_turned' => 'the colour of herb and oil has turned',
    ];

    /** Shut while it is warm. */
    public const LID_TIGHT = 'lid-tight';

    public const POURED_HOT = 'poured-hot';

    /** Holds its warmth by itself, with no water. */
    public const OWN_WARMTH = 'own-warmth';

    /** Short and watched: wet kitchen herb can be strained, and in the refrigerator, within its hours. */
    public const CHILLED_AT_ONCE = 'chilled-at-once';

    /**
     * @param  list<string>  $handling
     * @param  non-empty-list<Variant>  $schools
     * @param  bool  $attended whether somebody must be by while it is warm
     * @param  list<string>  $needs ids of things it needs
     * @param  list<State>  $states of herb it is for; empty for any
     * @param  list<string>  $risks what could go wrong
     * @param  list<string>  $traits of the constants above: what rules ask of it
     * @param  non-empty-list<string>  $vessels of Jar::KINDS: what herb and oil may stand in, the usual first
     * @param  string  $water how far up it the water stands, of WaterBath::SCHOOLS; empty for none
     * @param  int  $warmUpMin minutes before it is warm, where no cooker says it better
     * @param  ?float  $pouredC how warm its oil is poured, degrees C; null where it is not poured hot
     * @param  ?float  $usualOilMl oil to begin with where nobody said how much; null where the vessel says it
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
        public array $vessels = [Jar::JAR],
        public string $water = '',
        public int $warmUpMin = 0,
        public ?float $usualOilMl = null,
        public ?float $pouredC = null,
    ) {}

    public static function fromRow(Row $row): self
    {
        $schools = array_map(Variant::fromRow(...), array_values($row->rows('schools')));
        if ($schools === []) {
            throw new \LogicException('A method has at least one school.');
        }

        return new self(
            $row->text('id'),
            $row->text('name'),
            $row->text('in_sentence'),
            $row->flag('heated'),
            $row->number('headspace_mm'),
            $row->number('shake_every_hours'),
            $row->texts('handling'),
            $schools,
            $row->flag('attended'),
            $row->texts('needs'),
            array_map(State::from(...), $row->texts('states')),
            $row->texts('risks'),
            $row->text('lid_dry'),
            $row->text('lid_wet'),
            $row->texts('traits'),
            $row->texts('vessels') ?: [Jar::JAR],
            $row->text('water'),
            (int) $row->number('warm_up_min'),
            $row->numberOrNull('usual_oil_ml'),
            $row->numberOrNull('poured_c'),
        );
    }

    public function has(string $trait): bool
    {
        return in_array($trait, $this->traits, true);
    }

    /** @throws MethodRefused when the method has no such school */
    public function school(string $id): Variant
    {
        foreach ($this->schools as $school) {
            if ($school->id === $id) {
                return $school;
            }
        }
        throw MethodRefused::unknownSchool($this->name, $id);
    }

    /** The method as somebody goes about it: a school may want nobody by, a cook may shake it oftener or less. */
    public function as(Variant $school, ?float $shakeEveryH = null): self
    {
        $parts = [
            ...get_object_vars($this),
            'shakeEveryH' => $shakeEveryH ?? $this->shakeEveryH,
            'attended' => $school->attended ?? $this->attended,
        ];

        /** @phpstan-ignore argument.type (the properties are the constructor's own) */
        return new self(...$parts);
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
    public function schoolFor(HerbMix $mix): Variant
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
