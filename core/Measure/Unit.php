<?php

declare(strict_types=1);

namespace Kettle\Measure;

/**
 * A unit of measure: value in the kind's own unit = number x factor + offset.
 *
 * US customary and avoirdupois factors: NIST Handbook 44, Appendix C (exact).
 * Imperial factors: UK Weights and Measures Act 1985 (gallon = 4.54609 L, exact).
 * Metric cup and spoons: common practice; the Australian tablespoon is 20 mL.
 */
final readonly class Unit
{
    /** US gallon, mL: 231 cubic inches of 25.4 mm. */
    private const US_GALLON = 3785.411784;

    /** Imperial gallon, mL. */
    private const IMPERIAL_GALLON = 4546.09;

    private function __construct(public string $name, public Kind $kind, public float $factor, public float $offset = 0.0) {}

    /**
     * The unit a cook means by a word, or null where none is meant.
     *
     * @param  string  $word as written: "c", "Tbsp.", "fl oz", "°F"
     */
    public static function named(string $word, MeasureSystem $custom): ?self
    {
        $trimmed = trim($word, " .\t");
        if ($trimmed === 'T') {
            return self::make('tbsp', $custom);
        }
        if ($trimmed === 't') {
            return self::make('tsp', $custom);
        }
        $plain = preg_replace('/[\s.]+/', ' ', mb_strtolower($trimmed)) ?? '';
        $of = MeasureSystem::namedIn($plain);
        foreach (self::WORDS as $name => $words) {
            // "an imperial pint" is one in every house; there is no metric one.
            if (in_array($of === null ? $plain : $of[1], $words, true)) {
                return $of === null
                    ? self::make($name, $custom)
                    : (in_array($name, $of[0]->own(), true)
                        ? self::make($name, $of[0])
                        : null);
            }
        }

        return null;
    }

    /** @throws \InvalidArgumentException when no unit has that name */
    public static function make(string $name, MeasureSystem $custom = MeasureSystem::Us): self
    {
        $gallon = $custom === MeasureSystem::Imperial ? self::IMPERIAL_GALLON : self::US_GALLON;
        [$kind, $factor, $offset] = match ($name) {
            'mg' => [Kind::Mass, 0.001, 0.0],
            'g' => [Kind::Mass, 1.0, 0.0],
            'kg' => [Kind::Mass, 1000.0, 0.0],
            'tonne' => [Kind::Mass, 1e6, 0.0],
            'oz' => [Kind::Mass, 28.349523125, 0.0],
            'lb' => [Kind::Mass, 453.59237, 0.0],
            'mL' => [Kind::Volume, 1.0, 0.0],
            'cL' => [Kind::Volume, 10.0, 0.0],
            'dL' => [Kind::Volume, 100.0, 0.0],
            'L' => [Kind::Volume, 1000.0, 0.0],
            'gal' => [Kind::Volume, $gallon, 0.0],
            'quart' => [Kind::Volume, $gallon / 4, 0.0],
            'pint' => [Kind::Volume, $gallon / 8, 0.0],
            'cup' => [
                Kind::Volume,
                match ($custom) {
                    MeasureSystem::Us => self::US_GALLON / 16,
                    MeasureSystem::Imperial => self::IMPERIAL_GALLON / 16,
                    MeasureSystem::Metric, MeasureSystem::Australian => 250.0,
                },
                0.0,
            ],
            'fl oz' => [Kind::Volume, $custom === MeasureSystem::Imperial ? self::IMPERIAL_GALLON / 160 : self::US_GALLON / 128, 0.0],
            'tbsp' => [
                Kind::Volume,
                match ($custom) {
                    MeasureSystem::Us => self::US_GALLON / 256,
                    MeasureSystem::Australian => 20.0,
                    MeasureSystem::Metric, MeasureSystem::Imperial => 15.0,
                },
                0.0,
            ],
            // Two teaspoons: common practice, no source.
            'dsp' => [Kind::Volume, 2 * self::make('tsp', $custom)->factor, 0.0],
            'tsp' => [Kind::Volume, $custom === MeasureSystem::Us ? self::US_GALLON / 768 : 5.0, 0.0],
            'mm' => [Kind::Length, 1.0, 0.0],
            'cm' => [Kind::Length, 10.0, 0.0],
            'in' => [Kind::Length, 25.4, 0.0],
            '°C' => [Kind::Temperature, 1.0, 0.0],
            '°F' => [Kind::Temperature, 5 / 9, -160 / 9],
            'min' => [Kind::Time, 1 / 60, 0.0],
            'h' => [Kind::Time, 1.0, 0.0],
            'd' => [Kind::Time, 24.0, 0.0],
            'week' => [Kind::Time, 168.0, 0.0],
            'fortnight' => [Kind::Time, 336.0, 0.0],
            default => throw new \InvalidArgumentException("No unit is called {$name}."),
        };

        return new self($name, $kind, $factor, $offset);
    }

    /** A unit of the same kind, so many times this one. */
    public function scaled(string $name, float $times): self
    {
        return new self($name, $this->kind, $this->factor * $times, $this->offset);
    }

    public function toBase(float $number): float
    {
        return $number * $this->factor + $this->offset;
    }

    public function fromBase(float $value): float
    {
        return ($value - $this->offset) / $this->factor;
    }

    private const WORDS = [
        'mg' => ['mg', 'milligram', 'milligrams'],
        'g' => ['g', 'gr', 'gm', 'gms', 'gram', 'grams', 'gramme', 'grammes'],
        'kg' => ['kg', 'kgs', 'kilo', 'kilos', 'kilogram', 'kilograms'],
        'tonne' => ['tonne', 'tonnes', 'ton', 'tons'],
        'oz' => ['oz', 'ounce', 'ounces'],
        'lb' => ['lb', 'lbs', 'pound', 'pounds'],
        'mL' => ['ml', 'mls', 'cc', 'millilitre', 'millilitres', 'milliliter', 'milliliters'],
        'cL' => ['cl', 'centilitre', 'centilitres', 'centiliter', 'centiliters'],
        'dL' => ['dl', 'decilitre', 'decilitres', 'deciliter', 'deciliters'],
        'L' => ['l', 'ltr', 'litre', 'litres', 'liter', 'liters'],
        'gal' => ['gal', 'gallon', 'gallons'],
        'quart' => ['qt', 'qts', 'quart', 'quarts'],
        'pint' => ['pt', 'pts', 'pint', 'pints'],
        'cup' => ['c', 'cup', 'cups'],
        'fl oz' => ['fl oz', 'floz', 'fluid oz', 'fluid ounce', 'fluid ounces'],
        'tbsp' => ['tbsp', 'tbsps', 'tbs', 'tb', 'tablespoon', 'tablespoons'],
        'dsp' => ['dsp', 'dessertspoon', 'dessertspoons', 'dessert spoon', 'dessert spoons'],
        'tsp' => ['tsp', 'tsps', 'teaspoon', 'teaspoons'],
        'mm' => ['mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters'],
        'cm' => ['cm', 'centimetre', 'centimetres', 'centimeter', 'centimeters'],
        'in' => ['in', 'inch', 'inches', '"'],
        '°C' => ['°c', 'deg c', 'degrees c', 'celsius', 'celcius', 'degrees celsius', 'centigrade', 'ºc'],
        '°F' => ['f', '°f', 'deg f', 'degrees f', 'fahrenheit', 'degrees fahrenheit', 'ºf'],
        'min' => ['min', 'mins', 'minute', 'minutes'],
        'h' => ['h', 'hr', 'hrs', 'hour', 'hours'],
        'd' => ['d', 'day', 'days'],
        'fortnight' => ['fortnight', 'fortnights'],
        'week' => ['wk', 'wks', 'week', 'weeks'],
    ];
}
