<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Infusion\Method;
use Kettle\Infusion\Methods;
use Kettle\Infusion\Variant;
use Kettle\Material\Blend;
use Kettle\Material\Cupboard;
use Kettle\Material\HerbMix;
use Kettle\Recipe\Kitchen;

/** What was read from a pasted recipe, made into a wish. */
final readonly class PastedWish
{
    /**
     * @param  list<array<string, string>>  $herbs
     * @param  list<array{id: string, name: string, ml: ?float, typed: string}>  $oils
     * @param  bool  $methodSaid whether the method was read, and not only gathered from what is done
     * @param  string  $hoursLine where the hours stand
     */
    public function __construct(
        private Cupboard $cupboard,
        private Methods $methods,
        private Kitchen $kitchen,
        private array $herbs,
        private array $oils,
        private ?Method $method,
        private bool $methodSaid,
        private ?float $hours,
        private string $hoursLine,
        private ?float $celsius,
        private ?string $purpose,
    ) {}

    /**
     * @param  list<string>  $notes
     * @return array<string, mixed>
     */
    public function wish(array &$notes): array
    {
        $wish = ['herbs' => array_slice($this->herbs, 0, HerbMix::MOST), 'oils' => [['name' => 'oil']]];
        foreach (array_slice($this->herbs, HerbMix::MOST) as $herb) {
            $notes[] = sprintf(
                '%s is left out: up to %d herbs are planned together.',
                ucfirst(isset($herb['id']) ? $this->cupboard->herb($herb['id'])->name : $herb['name']),
                HerbMix::MOST,
            );
        }
        if ($wish['herbs'] === []) {
            $wish['herbs'] = [['id' => 'calendula']];
        }
        $weighed = count(array_filter($wish['herbs'], fn (array $herb) => isset($herb['amount'])));
        if ($weighed > 1 && $weighed < count($wish['herbs'])) {
            $wish['herbs'] = array_values(array_filter($wish['herbs'], fn (array $herb) => isset($herb['amount'])));
            $notes[] = 'Herbs with no amount were left out, for others have one.';
        }
        $wish = $this->oilsOf($wish, $notes);
        if ($this->purpose !== null) {
            $wish['purpose'] = $this->purpose;
        }
        if ($this->method !== null && $this->methodSaid) {
            $wish['method'] = $this->method->id;
        }
        if ($this->hours !== null || $this->celsius !== null) {
            $method =
                $this->method !== null && ($this->celsius === null || $this->method->heated)
                    ? $this->method
                    : $this->methods->plainest(! ($this->celsius === null && $this->hours >= 72));
            $wish['method'] = $method->id;
            $school = $this->nearest($method);
            $wish['school'] = $school->id;
            $said = array_filter([$this->hoursLine, $this->celsius === null ? '' : $this->kitchen->warmth($this->celsius)]);
            $notes[] = sprintf(
                '“%s” is taken as %s, %s%s.',
                implode(', ', $said),
                $method->name,
                $school->name,
                $this->celsius === null || $school->targetC === null ? '' : ', at '.$this->kitchen->warmth($school->targetC),
            );
            if ($this->celsius !== null && $school->ceilingC !== null && $this->celsius > $school->ceilingC + 0.5) {
                $notes[] = sprintf(
                    '%s is hotter than any way here goes: %s is the most it takes.',
                    $this->kitchen->warmth($this->celsius),
                    $this->kitchen->warmth($school->ceilingC),
                );
            }
        }

        return $wish;
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
                (count($byName) > 1 ? ['parts' => (string) round($measured ? $byName[$name]['ml'] : 1.0, 2)] : []),
            array_keys($byName),
        );
        if ($total > 0 && $measured) {
            $first = array_values($byName)[0];
            $wish['oil_amount'] = count($this->oils) === 1 ? $first['typed'] : round($total, 1).' mL';
        }

        return $wish;
    }

    /** The school nearest in hours and in warmth to what was read. */
    private function nearest(Method $method): Variant
    {
        $apart = fn (Variant $school): float => ($this->hours === null ? 0.0 : abs(log($school->usualH / $this->hours))) +
            ($this->celsius === null || $school->targetC === null
                ? 0.0
                : abs($school->targetC - $this->celsius) / 10 +
                    ($school->ceilingC !== null && $this->celsius > $school->ceilingC + 0.5 ? 5.0 : 0.0));
        $schools = $method->variants;
        usort($schools, fn (Variant $a, Variant $b) => $apart($a) <=> $apart($b));

        return $schools[0];
    }
}
