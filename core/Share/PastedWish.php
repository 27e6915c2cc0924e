<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Infusion\Method;
use Kettle\Infusion\Methods;
use Kettle\Infusion\Variant;
use Kettle\Material\Blend;
use Kettle\Material\Cupboard;
use Kettle\Material\HerbMix;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Measure\UnitWords;
use Kettle\Reason\Listing;
use Kettle\Recipe\Kitchen;

/** What was read from a pasted recipe, made into a wish. */
final readonly class PastedWish
{
    /** Where none was named: which one is asked at the Bench. */
    public const ANY_HERB = [['name' => 'herb']];

    public const ANY_OIL = [['name' => 'oil']];

    /** Degrees so near are the same. */
    private const SAME_C = 0.5;

    private const METRIC = '/\d\s*'.UnitWords::METRIC.'\b/iu';

    private const CUSTOMARY = '/\d\s*(?:'.UnitWords::HOUSEHOLD.'|(?<![\d.]\d|[\d.]\d\s)c\.)(?!\p{L})/iu';

    /**
     * @param  list<array<string, string>>  $herbs
     * @param  list<array{id: string, name: string, ml: ?float, typed: string}>  $oils
     * @param  array<string, string>  $byJar how full of herb the jar is, as a wish has it
     * @param  array<string, string>  $jar
     * @param  array<string, float>  $oilParts by the oil's name, where amounts are told in parts
     * @param  ?string  $ratio of herb to oil, where it is said, as a wish has it
     * @param  string  $partsBy by what parts are told: weight or volume
     */
    public function __construct(
        private Cupboard $cupboard,
        private Methods $methods,
        private Kitchen $kitchen,
        private array $herbs,
        private array $oils,
        private RecipeWay $way,
        private ?string $purpose,
        private array $byJar,
        private array $jar,
        private array $oilParts,
        private ?string $ratio = null,
        private string $partsBy = 'volume',
    ) {}

    /** @return list<string> what is to be looked at, or chosen, in what was read of a text */
    public function looseEnds(string $text): array
    {
        $notes = [];
        if (preg_match(self::METRIC, $text) === 1 && preg_match(self::CUSTOMARY, $text) === 1) {
            $notes[] = sprintf(
                'It is written in two systems of measures. A cup is taken as the house’s, %s; look at each amount.',
                AmountWriter::plain($this->kitchen->writer()->cupMl(), Kind::Volume),
            );
        }
        array_push($notes, ...ForQualified::in($text));
        if ($this->herbs === []) {
            $notes[] = 'No herb was found in it: choose one. If it is made of an oil that is infused already, read it in at the Melt.';
        }
        if ($this->oils === []) {
            $notes[] = 'No oil was found in it: choose one.';
        }

        return $notes;
    }

    /**
     * @param  list<string>  $notes
     * @return array<string, mixed>
     */
    public function wish(array &$notes): array
    {
        $wish = ['herbs' => array_slice($this->herbs, 0, HerbMix::MOST), 'oils' => self::ANY_OIL];
        foreach (array_slice($this->herbs, HerbMix::MOST) as $herb) {
            $notes[] = sprintf(
                '%s is left out: up to %d herbs are planned together.',
                ucfirst(isset($herb['id']) ? $this->cupboard->herb($herb['id'])->name : $herb['name']),
                HerbMix::MOST,
            );
        }
        if ($wish['herbs'] === []) {
            $wish['herbs'] = self::ANY_HERB;
        }
        $weighed = count(array_filter($wish['herbs'], fn (array $herb) => isset($herb['amount'])));
        if ($weighed > 1 && $weighed < count($wish['herbs'])) {
            $bare = array_filter($wish['herbs'], fn (array $herb) => ! isset($herb['amount']));
            $names = array_map(fn (array $herb) => isset($herb['id']) ? $this->cupboard->herb($herb['id'])->name : $herb['name'], $bare);
            $notes[] = sprintf(
                'How much %s there is was not said, and others have an amount: left out. Weigh it, and add it at the Bench.',
                Listing::of(array_values($names)),
            );
            $wish['herbs'] = array_values(array_filter($wish['herbs'], fn (array $herb) => isset($herb['amount'])));
        }
        $wish = $this->oilsOf($wish, $notes);
        if ($this->purpose !== null) {
            $wish['purpose'] = $this->purpose;
        }
        if ($this->way->method !== null && $this->way->isSaid) {
            $wish['method'] = $this->way->method->id;
            $wish += $this->way->school === null ? [] : ['school' => $this->way->school->id];
        }
        if ($this->way->isDrained) {
            $wish['way'] = 'drained';
        }
        $wish = $this->inParts($this->inAJar($wish, $notes), $notes);

        $timed = $this->way->time->hours === null && $this->way->time->celsius === null ? $wish : $this->timed($wish, $notes);

        return $this->notOver($timed, $notes);
    }

    /** Whether a school is meant to be warmer than it is to be at the most. */
    private function isOver(Variant $school): bool
    {
        return $this->way->time->mostC !== null && $school->targetC > $this->way->time->mostC + self::SAME_C;
    }

    /**
     * "Never above 40 °C" is heeded: a school that is hotter gives way to one that is not.
     *
     * @param  array<string, mixed>  $wish
     * @param  list<string>  $notes
     * @return array<string, mixed>
     */
    private function notOver(array $wish, array &$notes): array
    {
        $mostC = $this->way->time->mostC;
        $method = is_string($wish['method'] ?? null) ? $this->methods->method($wish['method']) : null;
        if ($mostC === null || $method === null || ! $method->heated || isset($wish['warmth'])) {
            return $wish;
        }
        $school = $method->variantOrPlainest(is_string($wish['school'] ?? null) ? $wish['school'] : null);
        if ($school->targetC === null || ($school->ceilingC ?? $school->targetC) <= $mostC + self::SAME_C) {
            return $wish;
        }
        $most = $this->kitchen->warmth($mostC);
        if (! $this->isOver($school)) {
            $notes[] = sprintf(
                'It is not to go over %s: %s, %s lets it go somewhat further. Watch it.',
                $most,
                $method->name,
                $school->name,
            );

            return $wish;
        }
        unset($wish['school']);
        $wish['warmth'] = round($mostC, 1).' C';
        $notes[] = sprintf('It is not to go over %s, and is planned no warmer than that.', $most);

        return $wish;
    }

    /** What is taken where nobody says by which way: warm for as long as a school of it is, and on the shelf beyond. */
    private function unsaidWay(?float $celsius): Method
    {
        $warm = $this->methods->plainest(true);
        $longest = min(InfusingTime::NOT_HELD_H, max(array_map(fn (Variant $school) => $school->mostH, $warm->variants)));

        return $celsius === null && $this->way->time->hours > $longest ? $this->methods->plainest(false) : $warm;
    }

    /**
     * The hours and the warmth as they are written, or as the school that has both.
     *
     * @param  array<string, mixed>  $wish
     * @param  list<string>  $notes
     * @return array<string, mixed>
     */
    private function timed(array $wish, array &$notes): array
    {
        $celsius = $this->way->time->celsius;
        if ($celsius !== null && $this->way->method?->has(Method::POURED_HOT) === true) {
            $notes[] = sprintf('“%s” is taken as how hot the oil is poured.', $this->kitchen->warmth($celsius));
            $celsius = null;
            if ($this->way->time->hours === null) {
                return ['method' => $this->way->method->id] + $wish;
            }
        }
        if (
            $celsius !== null &&
            ! $this->way->isSaid &&
            ! $this->way->time->isHeld() &&
            $this->way->time->hours >= InfusingTime::NOT_HELD_H
        ) {
            $notes[] = sprintf(
                '“%s” is taken as how warm it is at first: for %s nothing is held so warm but by a cooker, and none is named.',
                $this->kitchen->warmth($celsius),
                $this->way->time->typed,
            );
            $celsius = null;
        }
        $method =
            $this->way->method !== null && ($celsius === null || $this->way->method->heated)
                ? $this->way->method
                : $this->unsaidWay($celsius);
        $wish['method'] = $method->id;
        $nearest = $this->nearest($method, $celsius);
        $said = implode(', ', array_filter([$this->way->time->typed, $celsius === null ? '' : $this->kitchen->warmth($celsius)]));
        $tooHot = $celsius !== null && $nearest->ceilingC !== null && $celsius > $nearest->ceilingC + self::SAME_C;
        $school = $tooHot ? $nearest : $method->schoolOf($this->way->time->hours, $celsius);
        $school = $school !== null && $this->isOver($school) ? null : $school;
        if ($school !== null) {
            $wish['school'] = $school->id;
            $at = $celsius === null || $school->targetC === null ? '' : ', at '.$this->kitchen->warmth($school->targetC);
            $notes[] = sprintf('“%s” is taken as %s, %s%s.', $said, $method->name, $school->name, $at);
        } else {
            $wish += $this->way->time->hours === null ? [] : ['hours' => $this->way->time->typed];
            $wish += $celsius === null ? [] : ['warmth' => round($celsius, 1).' C'];
            $notes[] = sprintf('“%s” is taken as %s.', $said, $method->name);
        }
        if ($tooHot) {
            $notes[] = sprintf(
                '%s is hotter than any way here goes: %s is the most it takes.',
                $this->kitchen->warmth($celsius),
                $this->kitchen->warmth((float) $nearest->ceilingC),
            );
        }

        return $wish;
    }

    /**
     * @param  array<string, mixed>  $wish
     * @param  list<string>  $notes
     * @return array<string, mixed>
     */
    private function inAJar(array $wish, array &$notes): array
    {
        $wish += $this->jar;
        if ($this->byJar === []) {
            return $wish;
        }
        $measured = array_filter($this->herbs, fn (array $herb) => isset($herb['amount'])) !== [];
        if (! isset($this->byJar['fill']) || $measured) {
            $notes[] = 'How far the oil stands over the herb is reckoned from how much there is of both.';

            return $wish;
        }

        return $wish + ['by_jar' => $this->byJar];
    }

    /**
     * Where all is told in parts, herb and oil are as their parts are, by volume unless it says by weight.
     *
     * @param  array<string, mixed>  $wish
     * @param  list<string>  $notes
     * @return array<string, mixed>
     */
    private function inParts(array $wish, array &$notes): array
    {
        $herbs = array_map(floatval(...), array_column($this->herbs, 'parts'));
        $oil = array_sum($this->oilParts);
        if ($herbs === [] || count($herbs) < count($this->herbs) || $oil <= 0.0 || count($this->oilParts) < count($this->oils)) {
            return $this->byRatio($wish, $notes);
        }
        [$of, $to] = [round(array_sum($herbs), 3), round($oil, 3)];
        $wish['ratio'] = "{$of}:{$to}".WrittenAmounts::measuredBy($this->partsBy);
        $notes[] = sprintf('Parts are taken by %s: %s of herb to %s of oil.', $this->partsBy, $of, $to);

        return $wish;
    }

    /**
     * Its ratio, where it is said and one of the two amounts is not.
     *
     * @param  array<string, mixed>  $wish
     * @param  list<string>  $notes
     * @return array<string, mixed>
     */
    private function byRatio(array $wish, array &$notes): array
    {
        $weighed = array_filter($this->herbs, fn (array $herb) => isset($herb['amount'])) !== [];
        if ($this->ratio !== null && $weighed && isset($wish['oil_amount'])) {
            $notes[] = sprintf('It calls itself %s. Both amounts are written, and are taken as they are.', $this->ratio);
        }

        return $this->ratio === null || ($weighed && isset($wish['oil_amount'])) ? $wish : $wish + ['ratio' => $this->ratio];
    }

    /**
     * @param  array<string, mixed>  $wish
     * @param  list<string>  $notes
     * @return array<string, mixed>
     */
    private function oilsOf(array $wish, array &$notes): array
    {
        $byName = [];
        foreach ($this->oils as $oil) {
            $byName[$oil['name']] = [
                'id' => $oil['id'],
                'ml' => ($byName[$oil['name']]['ml'] ?? 0.0) + ($oil['ml'] ?? 0.0),
                'typed' => $oil['typed'],
            ];
        }
        foreach (array_keys(array_slice($byName, Blend::MOST, null, true)) as $name) {
            $notes[] = sprintf('%s is left out: up to %d oils are blended.', ucfirst($name), Blend::MOST);
        }
        $byName = array_slice($byName, 0, Blend::MOST, true);
        if ($byName === []) {
            return $wish;
        }
        $total = array_sum(array_column($byName, 'ml'));
        $measured = count(array_filter($byName, fn (array $oil) => $oil['ml'] > 0)) === count($byName);
        $wish['oils'] = array_map(
            fn (string $name) => ($byName[$name]['id'] === '' ? ['name' => $name] : ['id' => $byName[$name]['id']]) +
                (count($byName) > 1
                    ? ['parts' => (string) round($measured ? $byName[$name]['ml'] : $this->oilParts[$name] ?? 1.0, 2)]
                    : []),
            array_keys($byName),
        );
        if ($total > 0 && ! $measured) {
            $notes[] = 'Not every oil has an amount: how much of all of them is left open, and their parts are alike.';
        }
        if ($total > 0 && $measured) {
            $first = array_values($byName)[0];
            $wish['oil_amount'] = count($this->oils) === 1 ? $first['typed'] : round($total, 1).' mL';
        }

        return $wish;
    }

    /** The school nearest in hours and in warmth to what was read. */
    private function nearest(Method $method, ?float $celsius): Variant
    {
        $hours = $this->way->time->hours;
        $apart = fn (Variant $school): float => ($hours === null ? 0.0 : abs(log($school->usualH / $hours))) +
            ($celsius === null || $school->targetC === null
                ? 0.0
                : abs($school->targetC - $celsius) / 10 +
                    ($school->ceilingC !== null && $celsius > $school->ceilingC + self::SAME_C ? 5.0 : 0.0));
        $schools = $method->variants;
        usort($schools, fn (Variant $a, Variant $b) => $apart($a) <=> $apart($b));

        return $schools[0];
    }
}
