<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Infusion\Method;
use Kettle\Infusion\Methods;
use Kettle\Material\OwnSchool;
use Kettle\Measure\AmountException;
use Kettle\Measure\Kind;
use Kettle\Recipe\Kitchen;

/** By which way a typed wish is made: the method, how long and how warm, or a school that has both. */
final readonly class SaidWay
{
    public function __construct(private Methods $methods, private Kitchen $kitchen, private RecipeWords $words) {}

    /**
     * @param  ?OwnSchool  $own the house's own that is named in it
     * @return array{way: array<string, string>, guess: ?string} the method, its hours and its warmth, and what was taken for the way
     */
    public function in(Remainder $left, ?OwnSchool $own): array
    {
        $warmth = $left->take('(?:at\s+(?:about\s+)?)?(\d{2,3})\s*(?:°|º|deg(?:rees)?\.?)?\s*([CF])');
        $hours = $left->take(
            '(?:for\s+(?:about\s+)?)?(\d[\d.]*(?:\s*(?:-|–|to)\s*\d[\d.]*)?\s*(?:weeks?|days?|hours?|hrs?|h|minutes?|mins?))',
        );
        $way = [];
        $guess = null;
        $method = $this->method($left);
        if ($own !== null && ($method === null || $method->id === $own->method)) {
            return ['way' => ['method' => $own->method, 'school' => $own->id], 'guess' => null];
        }
        if ($own !== null) {
            $left->putBack($own->name);
        }
        if ($hours !== null) {
            $way['hours'] = $hours[1];
        }
        if ($warmth !== null) {
            $way['warmth'] = $warmth[1].' '.strtoupper($warmth[2]);
        }
        if ($method === null && $way !== []) {
            // Nothing is held warm for weeks: by hours that are days the shelf is meant, whatever else is said.
            $heated = $hours === null || $this->hoursOf($hours[1]) < 72;
            $method = $this->methods->plainest($heated);
            if (! $heated && $warmth !== null) {
                $left->putBack($way['warmth']);
                unset($way['warmth']);
            }
            $guess = sprintf('By which way is not said: %s is a guess.', $method->name);
        }

        return ['way' => $method === null ? [] : ['method' => $method->id, ...$this->asASchool($method, $way)], 'guess' => $guess];
    }

    /** A school of the house's own, by its name; what it says of hours and warmth need not be said again. */
    public function ownSchool(Remainder $left): ?OwnSchool
    {
        foreach ($this->kitchen->cupboard()->schools() as $own) {
            if ($left->take('(?:by\s+|as\s+)?[“"]?'.preg_quote($own->name, '/').'[”"]?') !== null) {
                return $own;
            }
        }

        return null;
    }

    private function method(Remainder $left): ?Method
    {
        $about = '(?:(?:in|on|by)\s+(?:the|a|an)?\s*)?(?:cold\s+|dark\s+|sunny\s+)?';
        foreach ($this->methods->all() as $method) {
            if ($left->take(preg_quote($method->inSentence, '/').'|'.$about.preg_quote($method->name, '/')) !== null) {
                return $method;
            }
        }
        foreach (RecipeWords::METHODS as $id => $pattern) {
            $bare = preg_replace('/^\/|\/i$/', '', $pattern) ?? '';
            // "cold-pressed" is of an oil.
            if ($left->take($about.'(?:'.$bare.')(?![\s-]*pressed)[a-z]*') !== null) {
                return $this->methods->method($id);
            }
        }

        return null;
    }

    /**
     * Hours and warmth that a school of the method has are that school.
     *
     * @param  array<string, string>  $way
     * @return array<string, string>
     */
    private function asASchool(Method $method, array $way): array
    {
        $hours = isset($way['hours']) ? $this->hoursOf($way['hours']) : null;
        foreach ($method->variants as $school) {
            $warm = isset($way['warmth']) ? $this->words->warmth($way['warmth']) : null;
            if ($hours === $school->usualH && ($warm === null || abs($warm - (float) $school->targetC) < 0.6)) {
                return ['school' => $school->id];
            }
        }

        return $way;
    }

    private function hoursOf(string $typed): float
    {
        try {
            return $this->kitchen->reader()->read($typed, Kind::Time, 'h')->value;
        } catch (AmountException) {
            return 0.0;
        }
    }
}
