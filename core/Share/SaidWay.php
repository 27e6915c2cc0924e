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
    /** How warm it is to be at the most: "never above 40 °C", "max 104 F". How warm the herb was dried is none. */
    private const MOST =
        '(?:(?:please\s+)?(?:do\s+not|don[’\']?t|never|not|no)\s+(?:(?:to|let|heat|warm|go|get|take|it|be)\s+)*'.
        '(?:above|over|past|beyond|exceed(?:ing)?|(?:hotter|warmer|higher|more)\s+than)|'.
        '(?:(?:keep|kept|hold|held)\s+(?:it\s+)?)?(?:at\s+)?(?<!not\s)(?<!never\s)(?<!dried\s)(?<!dry\s)'.
        '(?:under|below|less\s+than|max(?:imum)?\.?(?:\s+of)?|at\s+(?:the\s+)?most|up\s+to))'.
        '\s+(?:about\s+)?(\d{2,3})\s*(?:°|º|deg(?:rees)?\.?)?\s*([CF])';

    public function __construct(private Methods $methods, private Kitchen $kitchen, private RecipeWords $words) {}

    /**
     * @param  ?OwnSchool  $own the house's own that is named in it
     * @return array{way: array<string, string>, guesses: list<string>} the method, its hours and its warmth, and what was taken for it
     */
    public function in(Remainder $left, ?OwnSchool $own): array
    {
        $most = $left->take(self::MOST);
        $read = $this->asSaid($left, $own);

        return $most === null || $own !== null ? $read : $this->notOver($read, $most);
    }

    /**
     * @param  array{way: array<string, string>, guesses: list<string>}  $read
     * @param  array<string>  $most as it is said, so many degrees, and of which
     * @return array{way: array<string, string>, guesses: list<string>}
     */
    private function notOver(array $read, array $most): array
    {
        ['way' => $way, 'guesses' => $guesses] = $read;
        $unit = strtoupper($most[2]);
        $celsius = RecipeWords::celsius((float) $most[1], $unit);
        $warmth = "{$most[1]} {$unit}";
        $guesses[] = sprintf('“%s” is heeded: it is planned no warmer.', trim($most[0]));
        if ($way === []) {
            $method = $this->methods->plainest(true);
            $guesses[] = sprintf('By which way is not said: %s is a guess.', $method->name);

            return ['way' => ['method' => $method->id, 'warmth' => $warmth], 'guesses' => $guesses];
        }
        $method = $this->methods->method($way['method']);
        $school = $method->variantOrPlainest($way['school'] ?? null);
        if (! $method->heated || isset($way['warmth']) || $school->targetC === null || $school->targetC <= $celsius) {
            return ['way' => $way, 'guesses' => $guesses];
        }
        // By its hours it was that school: they stay.
        $hours = isset($way['school']) ? ['hours' => $school->usualH.' h'] : [];
        unset($way['school']);

        return ['way' => [...$way, ...$hours, 'warmth' => $warmth], 'guesses' => $guesses];
    }

    /** @return array{way: array<string, string>, guesses: list<string>} as it is said, whatever it is to be at the most */
    private function asSaid(Remainder $left, ?OwnSchool $own): array
    {
        $guesses = [];
        $denied = WayWords::denied($left->text);
        if ($denied !== null) {
            $left->take(preg_quote($denied, '/'));
            $guesses[] = sprintf('“%s” is heeded: it is not made that way.', $denied);
        }
        $warmth = $this->betweenDegrees($left, $guesses);
        $warmth ??= $left->take('(?:at\s+(?:about\s+)?)?(\d{2,3})\s*(?:°|º|deg(?:rees)?\.?)?\s*([CF])');
        $warmth ??= $this->bareDegrees($left, $guesses);
        $left->text = WrittenShort::inHours(InfusingTime::yearsInMonths($left->text));
        $hours = $left->take(
            '(?:(?:for|over)\s+(?:about\s+)?)?(\d[\d.]*(?:\s*(?:-|–|to)\s*\d[\d.]*)?\s*'.
                '(?:months?|weeks?|days?|hours?|hrs?|h|minutes?|mins?))',
        );
        if ($hours !== null && ($weeks = InfusingTime::inWeeks($hours[1])) !== $hours[1]) {
            $guesses[] = sprintf('“%s” is taken as %s.', $hours[1], $weeks);
            $hours[1] = $weeks;
        }
        $way = [];
        $method = $this->method($left);
        $heated = $this->onlyHowWarm($left);
        $byName =
            $method === null || $hours !== null || $warmth !== null || $own !== null ? null : WayWords::schoolIn($left->text, $method);
        if ($method !== null && $byName !== null) {
            $left->take(preg_quote($byName->calledFirst(), '/'));

            return ['way' => ['method' => $method->id, 'school' => $byName->id], 'guesses' => $guesses];
        }
        if ($own !== null && ($method === null || $method->id === $own->method)) {
            return ['way' => ['method' => $own->method, 'school' => $own->id], 'guesses' => $guesses];
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
        if ($method === null && $heated !== null && $way === []) {
            $method = $this->methods->plainest($heated);
            $guesses[] = sprintf('By which way is not said: %s is a guess.', $method->name);
        }
        if ($method === null && $way !== []) {
            // Nothing is held warm for weeks: by hours that are days the shelf is meant, whatever else is said.
            $heated ??= $hours === null || $this->hoursOf($hours[1]) < InfusingTime::NOT_HELD_H;
            $method = $this->methods->plainest($heated);
            if (! $heated && $warmth !== null) {
                $left->putBack($way['warmth']);
                unset($way['warmth']);
            }
            $guesses[] = sprintf('By which way is not said: %s is a guess.', $method->name);
        }

        return ['way' => $method === null ? [] : ['method' => $method->id, ...$this->asASchool($method, $way)], 'guesses' => $guesses];
    }

    /** "The warm way", "folk method": whether it is heated, where no more is said; null where neither is. */
    private function onlyHowWarm(Remainder $left): ?bool
    {
        return match (true) {
            $left->take('(?:by\s+)?(?:the\s+)?(?:warm|hot|heat|heated|quick|fast)\s+(?:method|way|infusion)') !== null => true,
            $left->take('(?:(?:on|over|at)\s+)?(?:an?\s+|the\s+)?(?:very\s+)?(?:low|gentle)\s+(?:heat|flame)') !== null => true,
            $left->take('(?:by\s+)?(?:the\s+)?(?:slow|folk)\s+(?:method|way|infusion)') !== null => false,
            default => null,
        };
    }

    /**
     * "40-45 °C", "between 100 and 120 F": the middle of it.
     *
     * @param  list<string>  $guesses
     * @return array{string, string, string}|null
     */
    private function betweenDegrees(Remainder $left, array &$guesses): ?array
    {
        $unit = '(?:°|º|deg(?:rees)?\.?)?\s*';
        $said = $left->take("(?:at\\s+)?(?:between\\s+)?(\\d{2,3})\\s*{$unit}[CF]?\\s*(?:-|–|to|and)\\s*(\\d{2,3})\\s*{$unit}([CF])");
        if ($said === null) {
            return null;
        }
        $middle = (string) round(((int) $said[1] + (int) $said[2]) / 2, 1);
        $guesses[] = sprintf('“%s” is taken as %s °%s, its middle.', trim($said[0]), $middle, strtoupper($said[3]));

        return [$said[0], $middle, $said[3]];
    }

    /**
     * Degrees of which nobody says what they are: under a hand's warmth in the one there is no infusing, over boiling in the
     * other none. What may be either is left as it is.
     *
     * @param  list<string>  $guesses
     * @return array{string, string, string}|null
     */
    private function bareDegrees(Remainder $left, array &$guesses): ?array
    {
        $was = $left->text;
        $said =
            $left->take('(?:at\s+(?:about\s+)?)?(\d{2,3})\s*(?:deg(?:rees)?\.?)') ??
            ($left->take('(?:at\s+(?:about\s+)?)?(\d{2,3})\s*[°º](?=\s*(?:[;,.]|for\b|$))') ??
                $left->take('at\s+(?:about\s+)?(\d{2,3})(?=\s*(?:[;,.]|for\b|$))'));
        $degrees = (int) ($said[1] ?? 0);
        $unit = RecipeWords::degreesIn($degrees);
        if ($said === null || $unit === null) {
            $left->text = $was;

            return null;
        }
        $guesses[] = sprintf('“%s” is taken as %d °%s.', trim($said[0]), $degrees, $unit);

        return [$said[0], (string) $degrees, $unit];
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
        // To infuse is what is done by every way.
        $left->take('(?:infuse|steep|macerate)(?:\s+(?:it|them))?');
        $about = '(?:(?:in|on|by)\s+(?:the|a|an)?\s*)?(?:cold\s+|dark\s+|sunny\s+)?';
        foreach ($this->methods->all() as $method) {
            if ($left->take(preg_quote($method->inSentence, '/').'|'.$about.preg_quote($method->name, '/')) !== null) {
                return $method;
            }
        }
        foreach (WayWords::METHODS as $id => $pattern) {
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
        $warm = isset($way['warmth']) ? $this->words->warmth($way['warmth']) : null;
        $school = $hours === null ? null : $method->schoolOf($hours, $warm);

        return $school === null ? $way : ['school' => $school->id];
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
