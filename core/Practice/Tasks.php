<?php

declare(strict_types=1);

namespace Kettle\Practice;

use Kettle\Fault\FaultFinder;
use Kettle\Material\Row;
use Kettle\Measure\Kind;
use Kettle\Reason\RefusedException;
use Kettle\Reason\Said;
use Kettle\Recipe\Planning;
use Kettle\Warmth\ByEye;

/**
 * What is done with a made-up jar, from the scale to the label: each asked, and each answer held against what the plan of
 * that jar says. How far off is right, and how far is near, stands in data/practice.json: judgement, common practice.
 */
final readonly class Tasks
{
    /** As near to a figure that comes of a slip as this, it came of it: a share. */
    private const SAME = 0.02;

    /** Of so much of the oil that was poured on nobody thought of what stays in the herb. */
    private const ALL_OF_IT = 0.97;

    private Choices $choices;

    public function __construct(private MadeUpJar $jar, FaultFinder $faults, Planning $planning)
    {
        $this->choices = new Choices($jar, $faults, $planning);
    }

    /** @return list<Task> in the order of the work */
    public function all(): array
    {
        return array_values(array_map(fn (Row $row) => $this->task($row), $this->rows()));
    }

    /**
     * @param  string  $answer as it was typed; of a choice its id
     *
     * @throws RefusedException when there is no such task, or the answer cannot be read: about `answer`
     */
    public function judge(string $id, string $answer): Judged
    {
        $row = $this->rows()[$id] ?? throw PracticeException::noSuchTask($id);

        return match ($row->oneOf('asks', Task::ASKS)) {
            'mass' => $this->weighed($row, $this->read($answer, Kind::Mass, 'g')),
            'volume' => $this->strained($row, $this->read($answer, Kind::Volume, 'mL')),
            'warmth' => $this->held($answer),
            'hours' => $this->counted($row, $this->read($answer, Kind::Time, 'h')),
            'choice' => $this->choices->judge($id, $answer),
        };
    }

    private function task(Row $row): Task
    {
        $id = $row->text('id');

        return new Task($id, $row->oneOf('asks', Task::ASKS), Said::of("practice.{$id}.tells", $this->told($id)), $this->choices->of($id));
    }

    /** @return array<string, Row> by id, in the order of the work */
    private function rows(): array
    {
        $rows = $this->jar->kitchen->cupboard()->tables()->table('practice')->rows('tasks');

        return array_combine(array_map(fn (Row $row) => $row->text('id'), $rows), $rows);
    }

    /** @return array<string, mixed> what is known when it is asked */
    private function told(string $id): array
    {
        $plan = $this->jar->plan;
        $shelf = $this->jar->onTheShelf;
        $given = [
            'herb' => $plan->wish->mix->said(),
            'oils' => $plan->wish->blend->said(),
            'volume' => ['mL' => $plan->amounts->oilMl],
            'mass' => ['g' => $plan->amounts->herbG],
            'method' => ['on_method' => $plan->wish->method->id],
        ];

        return match ($id) {
            'herb' => $given + ['ratio' => round($plan->amounts->oilMl / $plan->amounts->herbG, 1)],
            'salve' => [
                'volume' => ['mL' => MadeUpJar::strainedMl($plan)],
                'mass' => ['g' => $this->meltedG()],
                'share' => ['share' => $this->jar->salve->figures['wax_share']->number()],
            ],
            'kitchen' => ['herb' => ['herb' => $this->jar->freshHerb()]],
            'wrong' => ['signs' => ['all' => array_map(fn (string $sign) => ['sign' => $sign], $this->jar->signs)]],
            'until' => $given + ['day' => ['day' => $plan->timetable->strainAt->format('Y-m-d')]],
            'start' => $given + ['day' => ['weekday' => $shelf->timetable->readyDay()->format('Y-m-d')]],
            default => $given,
        };
    }

    /** @throws RefusedException */
    private function read(string $answer, Kind $kind, string $unit): float
    {
        return RefusedException::at('answer', fn () => $this->jar->kitchen->measured()->read($answer, $kind, $unit)->value);
    }

    /** g of the oil that is melted into a salve */
    private function meltedG(): float
    {
        return MadeUpJar::strainedMl($this->jar->plan) * $this->density();
    }

    /** Of herb, of oil or of wax: held against one figure, and against what comes of a slip, or by the other school. */
    private function weighed(Row $row, float $grams): Judged
    {
        $id = $row->text('id');
        [$figure, $other] = match ($id) {
            // A gram to so many grams of oil.
            'herb' => [($herb = $this->jar->figure('herb_mass')), $herb->number() * $this->density()],
            // As if it were water.
            'oil' => [$this->jar->figure('oil_mass'), $this->jar->plan->amounts->oilMl],
            // A share of the oil, and not of the whole.
            default => [$this->jar->salve->figures['wax_mass'], $this->jar->salve->figures['wax_share']->number() * $this->meltedG()],
        };
        $slip = self::off($grams, $other) <= self::SAME ? Said::of("practice.{$id}.slip") : null;
        $verdict = self::verdict(self::off($grams, $figure->number()), $row);

        return new Judged(
            // A gram to a gram is what others mean by it, and no mistake.
            $slip !== null && $id === 'herb' ? 'near' : $verdict,
            Said::of("practice.{$id}.is", ['mass' => ['g' => $figure->number()]]),
            $verdict === 'right' && $id !== 'herb' ? null : $slip,
            $figure,
        );
    }

    /** g of the oil to its mL */
    private function density(): float
    {
        return $this->jar->figure('oil_mass')->number() / $this->jar->plan->amounts->oilMl;
    }

    private function strained(Row $row, float $ml): Judged
    {
        $figure = $this->jar->figure('yield_volume');
        [$low, $high] = [(float) $figure->low, (float) $figure->high];
        $off = max(0.0, $low - $ml, $ml - $high) / $figure->number();
        $all = $ml >= self::ALL_OF_IT * $this->jar->plan->amounts->oilMl;

        return new Judged(
            $all ? 'wrong' : self::verdict($off, $row),
            Said::of('practice.strained.is', ['volume' => ['mL' => $figure->number()], 'low' => ['mL' => $low], 'high' => ['mL' => $high]]),
            $all ? Said::of('practice.strained.slip') : null,
            $figure,
        );
    }

    /** @throws RefusedException */
    private function held(string $answer): Judged
    {
        $band = $this->jar->band();
        $celsius = RefusedException::at(
            'answer',
            fn () => (new ByEye($this->jar->kitchen->reader(), $this->jar->kitchen->fahrenheit))->read($answer, $band),
        );
        $is = Said::of('practice.warmth.is', ['target' => ['C' => $band->target], 'ceiling' => ['C' => $band->ceiling]]);

        return match (true) {
            $celsius > $band->ceiling => new Judged('wrong', $is, Said::of('practice.warmth.over')),
            $celsius < $band->low => new Judged('wrong', $is, Said::of('practice.warmth.under', ['low' => ['C' => $band->low]])),
            default => new Judged('right', $is, null),
        };
    }

    /** Hours by the clock and hours by their worth are both taken: they are seldom far apart. */
    private function counted(Row $row, float $hours): Judged
    {
        $band = $this->jar->band();
        $warm = $this->jar->warmHours();
        $ends = [$warm->hours(), $warm->plainHours()];
        $off = max(0.0, min($ends) - $hours, $hours - max($ends)) / $warm->plainHours();
        $last = $this->jar->evening[count($this->jar->evening) - 1][0] / 3600;

        return new Judged(
            self::verdict($off, $row),
            Said::of('practice.hours.is', [
                'hours' => ['h' => round($warm->plainHours(), 1)],
                'low' => ['C' => $band->low],
                'ceiling' => ['C' => $band->ceiling],
            ]),
            self::off($hours, $last) <= self::SAME ? Said::of('practice.hours.slip') : null,
        );
    }

    private static function off(float $answer, float $is): float
    {
        return abs($answer - $is) / $is;
    }

    /** @return value-of<Judged::VERDICTS> */
    private static function verdict(float $off, Row $row): string
    {
        return match (true) {
            $off <= $row->number('right') => 'right',
            $off <= $row->number('near') => 'near',
            default => 'wrong',
        };
    }
}
