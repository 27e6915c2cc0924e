<?php

declare(strict_types=1);

namespace Kettle\Practice;

use Kettle\Diary\Availability;
use Kettle\Material\Cupboard;
use Kettle\Material\Row;
use Kettle\Melt\House;
use Kettle\Melt\Melting;
use Kettle\Melt\ProductPlan;
use Kettle\Reason\Figure;
use Kettle\Recipe\Kitchen;
use Kettle\Recipe\KitchenReader;
use Kettle\Recipe\Plan;
use Kettle\Recipe\Planning;
use Kettle\Warmth\Band;
use Kettle\Warmth\WarmHours;

/**
 * A jar that nobody has: made up of data/practice.json, the same for a number every time, and planned as a real one is.
 * Nothing of a house goes into it but how its cook measures and reads a thermometer.
 */
final readonly class MadeUpJar
{
    /** When somebody is up who practises: no house is away from a jar that is not there. */
    private const UP = ['07:00', '22:30'];

    /**
     * @param  int  $number from 1
     * @param  int  $of how many there are
     * @param  Plan  $plan by a way of warmth, begun now
     * @param  Plan  $onTheShelf the same herb and oil cold, for a day it is wanted
     * @param  ProductPlan  $salve of what is strained, with beeswax
     * @param  list<array{int, float}>  $evening moments in seconds from when it was switched on, and degrees C
     * @param  array{herb: array{id: string, state: string}, ...}  $fresh the wish of somebody who wants fresh herb in oil, to be eaten
     * @param  list<string>  $signs ids of what is seen in a bottle of it later: data/faults.json
     */
    private function __construct(
        public int $number,
        public int $of,
        public Plan $plan,
        public Plan $onTheShelf,
        public ProductPlan $salve,
        public array $evening,
        public array $signs,
        public array $fresh,
        public Kitchen $kitchen,
    ) {}

    /** @throws PracticeException when there is none of that number */
    public static function of(int $number, Planning $planning, Kitchen $own): self
    {
        $table = $own->cupboard()->tables()->table('practice');
        $jars = array_values($table->rows('jars'));
        $oils = array_values($table->numbers('oil_ml'));
        $days = array_values($table->numbers('days'));
        $evenings = array_values($table->rows('evenings'));
        $seen = array_values($table->rows('seen'));
        $fresh = $table->texts('fresh');
        // The one goes round while the other does: they have no number in common, so that each jar comes with each amount.
        $count = count($jars) * count($oils);
        if ($number < 1 || $number > $count) {
            throw PracticeException::noSuchJar($number, $count);
        }
        $kitchen = self::kitchen($own);
        $nth = $number - 1;
        $jar = $jars[$nth % count($jars)];
        $wish = [
            'herb' => ['id' => $jar->text('herb'), 'state' => 'dried'],
            'oils' => [$jar->text('oil')],
            'oil_amount' => $oils[$nth % count($oils)].' mL',
            'ratio' => $jar->text('ratio'),
        ];
        $plan = $planning->plan($wish + ['method' => $jar->text('method')], $kitchen);
        $wanted = $kitchen->now->modify('+'.(int) $days[$nth % count($days)].' days')->format('Y-m-d');
        $target = (float) $plan->wish->variant->targetC;
        $strained = self::strainedMl($plan).' mL';
        $salve = ['product' => $table->text('product'), 'oils' => [['id' => $jar->text('oil'), 'amount' => $strained]]];

        return new self(
            $number,
            $count,
            $plan,
            $planning->plan($wish + ['method' => $table->text('on_the_shelf'), 'ready_by' => $wanted], $kitchen),
            (new Melting($own->cupboard()->tables()))->plan($salve, new House($kitchen)),
            self::evening($evenings[$nth % count($evenings)], $target),
            $seen[$nth % count($seen)]->texts('signs'),
            [
                'herb' => ['id' => $fresh[$nth % count($fresh)], 'state' => 'fresh'],
                'oils' => [$table->text('table_oil')],
                'oil_amount' => $wish['oil_amount'],
                'purpose' => 'kitchen',
            ],
            $kitchen,
        );
    }

    /** One of its plan, by the way of warmth. */
    public function figure(string $id): Figure
    {
        return $this->plan->figures[$id];
    }

    /** What is measured of it in a jug, mL: ten more or less. */
    public static function strainedMl(Plan $plan): float
    {
        return round($plan->figures['yield_volume']->number(), -1);
    }

    /** What it is held in: a bit under its target, up to the ceiling nobody should reach. */
    public function band(): Band
    {
        $school = $this->plan->wish->variant;

        return Band::about((float) $school->targetC, (float) $school->ceilingC);
    }

    public function freshHerb(): string
    {
        return $this->fresh['herb']['id'];
    }

    public function warmHours(): WarmHours
    {
        return WarmHours::over($this->evening, $this->band());
    }

    /** The cook's own measures, and else what ships. */
    private static function kitchen(Kitchen $own): Kitchen
    {
        return new Kitchen(
            $own->now,
            Availability::between(...self::UP),
            $own->custom,
            $own->dropsPerMl,
            KitchenReader::shippedJars($own->cupboard()->tables()),
            new Cupboard($own->cupboard()->tables()),
            $own->fahrenheit,
        );
    }

    /** @return list<array{int, float}> */
    private static function evening(Row $evening, float $target): array
    {
        return array_values(
            array_map(
                fn (Row $reading) => [60 * (int) $reading->number('after'), $target + $reading->number('celsius')],
                $evening->rows('readings'),
            ),
        );
    }
}
