<?php

declare(strict_types=1);

namespace Kettle\Practice;

use Kettle\Caution\ColdStorage;
use Kettle\Fault\FaultFinder;
use Kettle\Reason\Figure;
use Kettle\Reason\Said;
use Kettle\Recipe\Planning;
use Kettle\Recipe\WishException;
use Kettle\Vessel\Jar;

/** What is chosen of a made-up jar: its size, its days, what becomes of a bottle; each with what stands beside the right one. */
final readonly class Choices
{
    /** Two of these stand beside the right day, days off it: a season to a year, or what infusing and settling take. */
    private const OFF = ['until' => [-91, 182, 365], 'start' => [-14, 7, 21]];

    /** What is said of a choice that stands before the right one, smaller or sooner, and of one after it. */
    private const BESIDE = ['jar' => ['wrong', 'near'], 'until' => ['near', 'wrong'], 'start' => ['near', 'wrong']];

    public function __construct(private MadeUpJar $jar, private FaultFinder $faults, private Planning $planning) {}

    /** @return list<array{id: string, says: Said}> none where an amount is asked for */
    public function of(string $id): array
    {
        $offered = $this->offered($id);

        return array_map(
            // Ids of jars are figures, which PHP makes numbers of.
            fn (int|string $choice, Said $says) => ['id' => (string) $choice, 'says' => $says],
            array_keys($offered),
            array_values($offered),
        );
    }

    /**
     * @param  string  $id of a task that asks to choose
     *
     * @throws PracticeException when it is none of those that are offered: about `answer`
     */
    public function judge(string $id, string $answer): Judged
    {
        $offered = $this->offered($id);
        if (! isset($offered[$answer])) {
            throw PracticeException::noSuchChoice();
        }
        if ($id === 'wrong') {
            return $this->found($answer);
        }
        if ($id === 'kitchen') {
            return $this->kept($answer);
        }
        [$right, $figure] = match ($id) {
            'jar' => [$this->jar->plan->amounts->jar->id, $this->jar->figure('cover')],
            'until' => [$this->jar->figure('best_before')->text(), $this->jar->figure('best_before')],
            default => [$this->startBy()->text(), $this->startBy()],
        };
        $order = array_map(strval(...), array_keys($offered));
        $beside = array_search($answer, $order, true) < array_search($right, $order, true) ? 0 : 1;

        return new Judged(
            $answer === $right ? 'right' : (self::BESIDE[$id] ?? [])[$beside] ?? 'wrong',
            Said::of("practice.{$id}.is", ['it' => $offered[$right]]),
            $answer === $right ? null : Said::of("practice.{$id}.".['before', 'after'][$beside]),
            $figure,
        );
    }

    /** @return array<Said> by id, the smallest and the soonest first */
    private function offered(string $id): array
    {
        return match ($id) {
            'jar' => array_map(fn (Jar $jar) => Said::asItStood($jar->called), $this->jars()),
            'wrong' => array_combine(
                FaultFinder::KEEPS,
                array_map(fn (string $keep) => Said::of("practice.wrong.{$keep}"), FaultFinder::KEEPS),
            ),
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
        $right = $id === 'until' ? $this->jar->figure('best_before')->text() : $this->startBy()->text();
        $off = self::OFF[$id];
        unset($off[$this->jar->number % count($off)]);
        $day = new \DateTimeImmutable($right);
        $days = [$right, ...array_map(fn (int $days) => $day->modify("{$days} days")->format('Y-m-d'), $off)];
        sort($days);

        return array_combine($days, $days);
    }

    private function found(string $answer): Judged
    {
        $found = $this->faults->find($this->jar->signs, []);
        $cause = $found['causes'][0];
        $order = array_flip(FaultFinder::KEEPS);

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

    private function startBy(): Figure
    {
        return $this->jar->onTheShelf->figures['start_by'];
    }
}
