<?php

declare(strict_types=1);

namespace Kettle\Infusion;

use Kettle\Material\HerbMix;
use Kettle\Material\Row;
use Kettle\Material\State;
use Kettle\Reason\Said;
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

    /** Two warmths that are one, K: what is typed in degrees Fahrenheit is rounded. */
    private const SAME_WARMTH = 0.6;

    /**
     * @param  non-empty-list<Variant>  $variants
     * @param  list<string>  $risks what could go wrong
     * @param  list<string>  $traits of the constants above: what rules ask of it
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $inSentence,
        public bool $heated,
        public Tending $tending,
        public Warming $warming,
        public Wants $wants,
        public array $variants,
        public array $risks,
        public array $traits,
    ) {}

    public static function fromRow(Row $row): self
    {
        $variants = array_map(Variant::fromRow(...), array_values($row->rows('schools')));
        if ($variants === []) {
            throw new \LogicException('A method has at least one school.');
        }

        return new self(
            $row->text('id'),
            $row->text('name'),
            $row->text('in_sentence'),
            $row->flag('heated'),
            new Tending(
                $row->number('shake_every_hours'),
                $row->flag('attended'),
                $row->texts('handling'),
                $row->text('lid_dry'),
                $row->text('lid_wet'),
            ),
            new Warming($row->text('water'), (int) $row->number('warm_up_min'), $row->numberOrNull('poured_c')),
            new Wants(
                $row->number('headspace_mm'),
                array_map(State::from(...), $row->texts('states')),
                $row->texts('vessels') ?: [Jar::JAR],
                $row->numberOrNull('usual_oil_ml'),
                $row->texts('needs'),
                $row->numberOrNull('brim_swing_c'),
            ),
            $variants,
            $row->texts('risks'),
            $row->texts('traits'),
        );
    }

    public function has(string $trait): bool
    {
        return in_array($trait, $this->traits, true);
    }

    /** @throws MethodException when the method has no such school */
    public function variant(string $id): Variant
    {
        foreach ($this->variants as $variant) {
            if ($variant->id === $id) {
                return $variant;
            }
        }
        throw MethodException::unknownVariant($this->name, $id);
    }

    /**
     * The method as somebody goes about it: a school may want nobody by, a cook may shake it oftener or less.
     *
     * @param  ?Variant  $variant null for hours of one's own, or a school that the tables have no longer
     */
    public function as(?Variant $variant, ?float $shakeEveryH = null): self
    {
        return new self(
            $this->id,
            $this->name,
            $this->inSentence,
            $this->heated,
            $this->tending->as($variant?->attended, $shakeEveryH),
            $this->warming,
            $this->wants,
            $this->variants,
            $this->risks,
            $this->traits,
        );
    }

    /**
     * What to do, and what not to, for what is in the jar: its lid first.
     *
     * @return list<Said>
     */
    public function handlingFor(HerbMix $mix): array
    {
        $lines = array_map(fn (string $where) => Said::of("handling:{$this->id}.{$where}"), $this->tending->linesFor($mix));
        if ($mix->isPowder()) {
            $lines[] = Said::of('step.powder-in-a-bag');
        }
        if ($mix->state !== State::Dried && $this->heated) {
            $lines[] = Said::of('step.until-no-bubbles');
        }

        return $lines;
    }

    /** The school to begin with for what is in the jar. */
    public function variantFor(HerbMix $mix): Variant
    {
        foreach ($this->variants as $variant) {
            if ($variant->startsFor($mix)) {
                return $variant;
            }
        }

        return $this->plainest();
    }

    /**
     * The school that somebody means by its hours and its warmth, where there is one that has both. By hours alone none is meant that
     * is hotter than the one to begin with: "slow cooker, 6 hours" is no word for the hottest.
     *
     * @param  ?float  $celsius null where it is not said
     */
    public function schoolOf(?float $hours, ?float $celsius): ?Variant
    {
        $usual = $this->plainest()->targetC;
        foreach ($this->variants as $variant) {
            $isWarm =
                $celsius === null
                    ? $variant->targetC === null || $usual === null || $variant->targetC <= $usual
                    : $variant->targetC === null || abs($celsius - $variant->targetC) < self::SAME_WARMTH;
            if (($hours === null || $hours === $variant->usualH) && $isWarm) {
                return $variant;
            }
        }

        return null;
    }

    /** The school of that id, or the one to begin with where none is named. */
    public function variantOrPlainest(?string $id): Variant
    {
        return $id === null ? $this->plainest() : $this->variant($id);
    }

    private function plainest(): Variant
    {
        foreach ($this->variants as $variant) {
            if ($variant->for === 'any') {
                return $variant;
            }
        }

        return $this->variants[0];
    }
}
