<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Infusion\Method;
use Kettle\Infusion\Methods;
use Kettle\Infusion\Variant;
use Kettle\Measure\AmountWriter;
use Kettle\Recipe\Kitchen;

/** By which way a written recipe is made, as its lines say it one after the other. */
final class RecipeWay
{
    public ?Method $method = null;

    /** Which school of it, where that is said by its name and no time is. */
    public ?Variant $school = null;

    /** Whether it is named, and not only waited for. */
    public bool $isSaid = false;

    /** What people warm an oil in, and is no way of the tables. */
    private const NO_WAY = '/\b(microwaves?|(?:pressure|instant)[\s-]+cooker|dehydrator|radiator)\b/iu';

    /** "Repeat with fresh herb the next day", "refill the same oil with new flowers". */
    private const AGAIN =
        '/\b(?:double|second|repeated)\s+infusion\b|'.
        '\b(?:repeat|refill)\b[^.;]*\b(?:fresh|new|more)\s+(?:batch\s+of\s+)?(?:herbs?|flowers?|petals|blossoms?|leaves|plants?|tops)\b/iu';

    /** "Strain, don't squeeze", "let it drip through without pressing". */
    private const NOT_SQUEEZED = '/(?:\b(?:do\s+not|never|without|no)|n[’\']t)\s+(?:squeez(?:e|ing)|press(?:ing)?|wring(?:ing)?)\b/iu';

    /**
     * @param  InfusingTime  $time how long and how warm, of all the lines
     * @param  bool  $isDrained whether it is left to drip, and not squeezed
     */
    public function __construct(
        private readonly Methods $methods,
        private readonly Kitchen $kitchen,
        public readonly InfusingTime $time,
        public readonly bool $isDrained = false,
    ) {}

    /** What is told of a step that says no way. */
    public static function saysOfStep(string $line): string
    {
        return match (true) {
            self::isDrained([$line]) => 'Taken as: left to drip, and not squeezed.',
            preg_match(self::NO_WAY, $line, $m) === 1 => sprintf('By “%s” nothing is infused here: choose a way at the Bench.', $m[1]),
            preg_match(self::AGAIN, $line) === 1 => 'A second charge of herb: plan it from the jar, once that is strained.',
            default => 'A step; nothing new in it.',
        };
    }

    /** @param  list<string>  $lines of the whole recipe */
    public static function isDrained(array $lines): bool
    {
        return preg_grep(self::NOT_SQUEEZED, $lines) !== [];
    }

    /**
     * "1 L olive oil, slow cooker 6 hours": what is done stands beside what it is done with.
     *
     * @return list<string> what was taken of it, in words
     */
    public function beside(string $line): array
    {
        return $this->take(array_diff(WayWords::in($line), ['cold']));
    }

    /** @return list<string> what was taken of a step, in words */
    public function in(string $line): array
    {
        $short = $this->time->hours !== null && $this->time->hours < InfusingTime::NOT_ON_A_SHELF_H;
        $said = $this->take(array_diff(WayWords::in($line), $short ? ['cold'] : []));
        $school = $this->method === null || $this->time->hours !== null ? null : WayWords::schoolIn($line, $this->method);
        if ($school !== null) {
            $this->school = $school;
            $said[] = $school->name;
        }
        if ($this->time->hours !== null && $this->time->line === $line) {
            $said[] = AmountWriter::span($this->time->hours);
        }
        if ($this->time->celsius !== null && $this->time->warmLine === $line) {
            $said[] = $this->kitchen->warmth($this->time->celsius);
        }

        return $said;
    }

    /**
     * The first that is named is taken; the shelf, which any words of waiting mean, gives way to every other.
     *
     * @param  array<string>  $ways by id
     * @return list<string> names of what was taken
     */
    private function take(array $ways): array
    {
        $taken = [];
        foreach ($ways as $id) {
            if ($this->method === null || ($this->method->id === 'cold' && $id !== 'cold')) {
                $this->method = $this->methods->method($id);
                $this->isSaid = $id !== 'cold';
                $taken[] = $this->method->name;
            }
        }

        return $taken;
    }
}
