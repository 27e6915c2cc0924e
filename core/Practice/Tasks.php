<?php

declare(strict_types=1);

namespace Kettle\Practice;

use Kettle\Caution\ColdStorage;
use Kettle\Fault\FaultFinder;
use Kettle\Material\Row;
use Kettle\Measure\Kind;
use Kettle\Reason\Figure;
use Kettle\Reason\RefusedException;
use Kettle\Reason\Said;
use Kettle\Recipe\Planning;
use Kettle\Recipe\WishException;
use Kettle\Vessel\Jar;
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

    /** What becomes of an oil that has something wrong, the most careful first. */
    private const KEEPS = ['discard', 'discard-if-eaten', 'use-soon', 'keep'];

    /** Two of these stand beside the right day, days off it: a season to a year, or what infusing and settling take. */
    private const OFF = ['until' => [-91, 182, 365], 'start' => [-14, 7, 21]];

    /** What is said of a choice that stands before the right one, smaller or sooner, and of one after it. */
    private const BESIDE = ['jar' => ['wrong', 'near'], 'until' => ['near', 'wrong'], 'start' => ['near', 'wrong']];

    public function __construct(private MadeUpJar $jar, private FaultFinder $faults, private Planning $planning) {}

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
        $row = array_column($this->named(), null, 'id')[$id]['row'] ?? throw PracticeException::noSuchTask($id);

        return match ($row->oneOf('asks', Task::ASKS)) {
            'mass' => $this->weighed($row, $this->read($answer, Kind::Mass, 'g')),
            'volume' => $this->strained($row, $this->read($answer, Kind::Volume, 'mL')),
            'warmth' => $this->held($answer),
            'hours' => $this->counted($row, $this->read($answer, Kind::Time, 'h')),
            'choice' => $this->chosen($id, $answer),
        };
    }

    private function task(Row $row): Task
    {
        $id = $row->text('id');

        return new Task(
            $id,
            $row->oneOf('asks', Task::ASKS),
            Said::of("practice.{$id}.tells", $this->told($id)),
            array_map(
                // Ids of jars are figures, which PHP makes numbers of.
                fn (int|string $choice, Said $says) => ['id' => (string) $choice, 'says' => $says],
                array_keys($this->choices($id)),
                array_values($this->choices($id)),
            ),
        );
    }

    /** @return array<string, Row> */
    private function rows(): array
    {
        return $this->jar->kitchen->cupboard()->tables()->table('practice')->rows('tasks');
    }

    /** @return list<array{id: string, row: Row}> */
    private function named(): array
    {
        return array_values(array_map(fn (Row $row) => ['id' => $row->text('id'), 'row' => $row], $this->rows()));
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

    /** @return array<Said> by id, each as it is offered, the smallest and the soonest first */
    private function choices(string $id): array
    {
        return match ($id) {
            'jar' => array_map(fn (Jar $jar) => Said::asItStood($jar->called), $this->jars()),
            'wrong' => array_combine(self::KEEPS, array_map(fn (string $keep) => Said::of("practice.wrong.{$keep}"), self::KEEPS)),
            'kitchen' => [
                'shelf' => Said::of('practice.kitchen.shelf'),
                'cold' => Said::of('practice.kitchen.cold', self::coldest()),
                'smelled' => Said::of('practice.kitchen.smelled'),
            ],
            'until', 'start' => array_map(fn (string $day) => Said::just(['day' => $day]), $this->days($id)),
            default => [],
        };
    }

    /** @return array<Jar> by id: the one that was chosen, and those next to it in size */
    private function jars(): array
    {
        $all = $this->jar->kitchen->jarsBySize();
        $at = (int) array_search($this->jar->plan->amounts->jar->id, array_map(fn (Jar $jar) => $jar->id, $all), true);

        return array_column(array_slice($all, max(0, min($at - 1, count($all) - 3)), 3), null, 'id');
    }

    /**
     * @param  key-of<self::OFF>  $id
     * @return array<string, string> days by themselves, the right one among them, the first first
     */
    private function days(string $id): array
    {
        $right = $id === 'until' ? $this->figure('best_before')->text() : $this->startBy()->text();
        $off = self::OFF[$id];
        unset($off[$this->jar->number % count($off)]);
        $day = new \DateTimeImmutable($right);
        $days = [$right, ...array_map(fn (int $days) => $day->modify("{$days} days")->format('Y-m-d'), $off)];
        sort($days);

        return array_combine($days, $days);
    }

    private function figure(string $id): Figure
    {
        return $this->jar->plan->figures[$id];
    }

    private function startBy(): Figure
    {
        return $this->jar->onTheShelf->figures['start_by'];
    }

    /** @throws RefusedException */
    private function read(string $answer, Kind $kind, string $unit): float
    {
        return RefusedException::at('answer', fn () => $this->jar->kitchen->reader()->read($answer, $kind, $unit)->value);
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
            'herb' => [($herb = $this->figure('herb_mass')), $herb->number() * $this->density()],
            // As if it were water.
            'oil' => [$this->figure('oil_mass'), $this->jar->plan->amounts->oilMl],
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
        return $this->figure('oil_mass')->number() / $this->jar->plan->amounts->oilMl;
    }

    private function strained(Row $row, float $ml): Judged
    {
        $figure = $this->figure('yield_volume');
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

    /** @throws RefusedException */
    private function chosen(string $id, string $answer): Judged
    {
        if (! isset($this->choices($id)[$answer])) {
            throw PracticeException::noSuchChoice();
        }
        if ($id === 'wrong') {
            return $this->found($answer);
        }
        if ($id === 'kitchen') {
            return $this->kept($answer);
        }
        [$right, $figure] = match ($id) {
            'jar' => [$this->jar->plan->amounts->jar->id, $this->figure('cover')],
            'until' => [$this->figure('best_before')->text(), $this->figure('best_before')],
            default => [$this->startBy()->text(), $this->startBy()],
        };
        $order = array_map(strval(...), array_keys($this->choices($id)));
        $beside = array_search($answer, $order, true) < array_search($right, $order, true) ? 0 : 1;

        return new Judged(
            $answer === $right ? 'right' : (self::BESIDE[$id] ?? [])[$beside] ?? 'wrong',
            Said::of("practice.{$id}.is", ['it' => $this->choices($id)[$right]]),
            $answer === $right ? null : Said::of("practice.{$id}.".['before', 'after'][$beside]),
            $figure,
        );
    }

    private function found(string $answer): Judged
    {
        $found = $this->faults->find($this->jar->signs, []);
        $cause = $found['causes'][0];
        $order = array_flip(self::KEEPS);

        return new Judged(
            match (true) {
                $answer === $found['keep'] => 'right',
                // More careful than it need be does nobody harm.
                $order[$answer] < $order[$found['keep']] => 'near',
                default => 'wrong',
            },
            Said::of('practice.wrong.is', ['keep' => Said::of('practice.wrong.'.$found['keep']), 'cause' => $cause['name']]),
            null,
            null,
            [Said::asItStood($cause['test']), Said::asItStood($cause['do'])],
        );
    }

    /** Fresh herb under oil to be eaten: why it is not kept on a shelf is said as the Bench refuses it. */
    private function kept(string $answer): Judged
    {
        try {
            $this->planning->plan(['kept' => ColdStorage::SHELF] + $this->jar->fresh, $this->jar->kitchen);
            $refused = '';
        } catch (WishException $no) {
            $refused = $no->getMessage();
        }

        return new Judged(
            $answer === 'cold' ? 'right' : 'wrong',
            Said::of('practice.kitchen.is', self::coldest()),
            $answer === 'smelled' ? Said::of('practice.kitchen.slip') : null,
            null,
            [Said::asItStood($refused)],
        );
    }

    /** @return array<string, mixed> */
    private static function coldest(): array
    {
        return ['days' => ['count' => ColdStorage::DAYS], 'cold' => ['C' => ColdStorage::CELSIUS]];
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
