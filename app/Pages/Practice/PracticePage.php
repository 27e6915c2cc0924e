<?php

namespace App\Pages\Practice;

use App\House\KitchenFactory;
use App\Responses\Choice;
use App\Responses\Practice\PracticeJar;
use App\Responses\Practice\PracticeJudged;
use App\Responses\Practice\PracticeReading;
use App\Responses\Practice\PracticeReason;
use App\Responses\Practice\PracticeTask;
use App\Responses\Practice\PracticeView;
use Kettle\Fault\FaultFinder;
use Kettle\Practice\MadeUpJar;
use Kettle\Practice\PracticeException;
use Kettle\Practice\Task;
use Kettle\Practice\Tasks;
use Kettle\Reason\RefusedException;
use Kettle\Reason\Said;
use Kettle\Recipe\Planning;
use Kettle\Recipe\Words;
use Kettle\Time\Dates;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Made-up jars to learn on: nothing of them is kept, and nothing of the house is touched. */
final readonly class PracticePage
{
    /** An evening's first reading is told at this hour. */
    private const FROM = '18:00';

    public function __construct(private Planning $planning, private KitchenFactory $kitchens) {}

    /** @throws NotFoundHttpException when there is no jar of that number */
    public function of(int $number): PracticeView
    {
        $jar = $this->jar($number);
        $levels = $jar->plan->amounts->levels;
        $words = $this->kitchens->words();

        return new PracticeView(
            $jar->number,
            $jar->of,
            ($jar->number % $jar->of) + 1,
            $words->of($jar->plan->name()),
            new PracticeJar(
                $levels->jar->heightMm,
                round($levels->jar->diameterMm(), 1),
                round($levels->bedMm, 1),
                round($levels->levelMm, 1),
                $levels->jar->kind,
            ),
            array_map(fn (Task $task) => $this->task($task, $jar, $words), $this->tasks($jar)->all()),
        );
    }

    /**
     * @throws NotFoundHttpException when there is no such jar or task
     * @throws RefusedException when the answer cannot be read
     */
    public function judged(int $number, string $task, string $answer): PracticeJudged
    {
        $jar = $this->jar($number);
        $judged = self::found(fn () => $this->tasks($jar)->judge($task, $answer));
        $words = $this->kitchens->words();
        $reasons = $judged->figure === null ? [] : $this->planning->figure($judged->figure, $jar->kitchen)['reasons'] ?? [];
        $why = array_map(fn (Said $each) => new PracticeReason($jar->kitchen->inDegrees($words->of($each)), ''), $judged->why);
        foreach (is_array($reasons) ? $reasons : [] as $reason) {
            // What was given with the jar is no reason to whoever has just read it.
            if (
                is_array($reason) &&
                ($reason['standing'] ?? '') !== 'given' &&
                is_string($reason['says'] ?? null) &&
                is_string($reason['source'] ?? null)
            ) {
                $why[] = new PracticeReason($jar->kitchen->inDegrees($reason['says']), $reason['source']);
            }
        }

        return new PracticeJudged($judged->verdict, $words->of($judged->is), $judged->slip === null ? '' : $words->of($judged->slip), $why);
    }

    private function jar(int $number): MadeUpJar
    {
        return self::found(fn () => MadeUpJar::of($number, $this->planning, $this->kitchens->plain()));
    }

    /**
     * @template T
     *
     * @param  \Closure(): T  $of
     * @return T
     */
    private static function found(\Closure $of): mixed
    {
        try {
            return $of();
        } catch (PracticeException $refused) {
            throw $refused->field === 'answer' ? $refused : new NotFoundHttpException();
        }
    }

    private function tasks(MadeUpJar $jar): Tasks
    {
        return new Tasks($jar, new FaultFinder($this->planning->tables()), $this->planning);
    }

    private function task(Task $task, MadeUpJar $jar, Words $words): PracticeTask
    {
        return new PracticeTask(
            $task->id,
            $words->of($task->title()),
            $words->of($task->tells),
            $words->of($task->question()),
            match ($task->asks) {
                'mass' => 'g',
                'volume' => 'mL',
                'warmth' => $jar->kitchen->fahrenheit ? '°F' : '°C',
                'hours' => 'h',
                'choice' => '',
            },
            array_map(fn (array $choice) => new Choice($choice['id'], $words->of($choice['says'])), $task->choices),
            $task->asks === 'hours' ? $this->readings($jar) : [],
        );
    }

    /** @return list<PracticeReading> */
    private function readings(MadeUpJar $jar): array
    {
        $from = $jar->kitchen->now->modify(self::FROM);

        return array_map(
            fn (array $reading) => new PracticeReading(
                Dates::say($from->modify("+{$reading[0]} seconds"), 'clock'),
                $jar->kitchen->warmth($reading[1]),
            ),
            $jar->evening,
        );
    }
}
