<?php

declare(strict_types=1);

namespace Kettle\Ask;

use Kettle\Diary\Availability;
use Kettle\Diary\CookerDiary;
use Kettle\Diary\CookerJob;
use Kettle\Diary\CookerPlace;
use Kettle\Diary\CookerRun;
use Kettle\Diary\DiaryException;
use Kettle\Recipe\Fields;
use Kettle\Recipe\Kitchen;
use Kettle\Time\Interval;
use Kettle\Vessel\Cooker;

/** The diary as a document in and out, for `kettle reckon diary`. */
final readonly class DiaryQuestions
{
    private const MOST_JOBS = 200;

    public function __construct(private Kitchen $kitchen) {}

    /**
     * @param  array<mixed>  $document jobs, cookers, home (hours by ISO weekday) and away ({from, to}), as docs/formats/reckon.schema.json
     * @return array<string, mixed>
     *
     * @throws DiaryException
     * @throws \Kettle\Vessel\CookerException
     */
    public function diary(array $document): array
    {
        $availability = $this->availability($document);
        $places = [];
        foreach ($this->list($document, 'cookers') as $i => $each) {
            $length = $this->number($each, 'length_mm', "cookers.{$i}");
            $places[] = new CookerPlace(
                Cooker::measured(
                    Fields::text($each, 'id') ?? 'cooker-'.($i + 1),
                    Fields::text($each, 'called') ?? 'cooker '.($i + 1),
                    Fields::text($each, 'shape') ?? 'round',
                    $length,
                    is_numeric($each['width_mm'] ?? null) ? (float) $each['width_mm'] : $length,
                    $this->number($each, 'height_mm', "cookers.{$i}"),
                ),
                array_values(array_filter(is_array($each['methods'] ?? null) ? $each['methods'] : [], 'is_string')),
            );
        }
        $jobs = [];
        foreach ($this->list($document, 'jobs') as $i => $each) {
            $jobs[] = $this->job($each, $i);
        }
        $diary = CookerDiary::plan($jobs, $places, $availability, $this->kitchen->now);

        return [
            'sessions' => $diary->sessions(),
            'runs' => array_map(
                fn (CookerRun $run) => [
                    'cooker' => $run->place,
                    'jobs' => array_map(fn (CookerJob $job) => $job->id, $run->jobs),
                    'sessions' => self::slots($run->sessions),
                ],
                $diary->runs,
            ),
            'jobs' => array_map(
                fn (CookerJob $job) => [
                    'id' => $job->id,
                    'slots' => self::slots($diary->runOf($job->id)?->slots($job) ?? []),
                    'says' => $this->kitchen->words()->of($diary->says($job)) ?: null,
                ],
                $jobs,
            ),
        ];
    }

    /**
     * @param  list<Interval>  $sessions
     * @return list<array{from: string, to: string}>
     */
    private static function slots(array $sessions): array
    {
        return array_map(fn (Interval $each) => $each->toArray(), $sessions);
    }

    /** @param  array<mixed>  $document */
    private function availability(array $document): Availability
    {
        $home = [];
        foreach (is_array($document['home'] ?? null) ? $document['home'] : [] as $day => $hours) {
            $home[$day] = is_string($hours) ? $hours : '';
        }
        $away = [];
        foreach ($this->list($document, 'away') as $i => $each) {
            [$from, $to] = [$this->moment($each, 'from', "away.{$i}"), $this->moment($each, 'to', "away.{$i}")];
            if ($to <= $from) {
                throw (new DiaryException('out_of_range', 'It must end after it begins.'))->about("away.{$i}.to");
            }
            $away[] = [$from, $to];
        }

        return $this->kitchen->waking->atHome($home)->without($away);
    }

    /** @param  array<mixed>  $each */
    private function job(array $each, int $i): CookerJob
    {
        $widths = [];
        foreach (is_array($each['jars_mm'] ?? null) ? $each['jars_mm'] : [] as $width) {
            if (! (is_int($width) || is_float($width)) || $width < 20 || $width > 400) {
                throw (new DiaryException('out_of_range', 'A jar is between 20 and 400 mm across.'))->about("jobs.{$i}.jars_mm");
            }
            $widths[] = (float) $width;
        }
        $hours = $this->number($each, 'hours', "jobs.{$i}");
        if ($hours <= 0 || $hours > 400 || $widths === [] || count($widths) > 24) {
            throw (new DiaryException('out_of_range', 'A job has between a minute and 400 h still to come, and 1 to 24 jars.'))->about(
                "jobs.{$i}",
            );
        }

        if ($this->number($each, 'ceiling_c', "jobs.{$i}") <= $this->number($each, 'target_c', "jobs.{$i}")) {
            throw (new DiaryException('upside_down', 'The ceiling lies above the warmth that is wanted.'))->about("jobs.{$i}.ceiling_c");
        }

        return new CookerJob(
            Fields::text($each, 'id') ?? 'job-'.($i + 1),
            Fields::text($each, 'called') ?? 'job '.($i + 1),
            Fields::text($each, 'method') ?? 'slow-cooker',
            $this->number($each, 'target_c', "jobs.{$i}"),
            $this->number($each, 'ceiling_c', "jobs.{$i}"),
            $hours,
            $widths,
            isset($each['earliest']) ? $this->moment($each, 'earliest', "jobs.{$i}") : $this->kitchen->now,
            isset($each['due_by']) ? $this->moment($each, 'due_by', "jobs.{$i}") : null,
            ($each['attended'] ?? true) !== false,
        );
    }

    /**
     * @param  array<mixed>  $document
     * @return list<array<mixed>>
     */
    private function list(array $document, string $key): array
    {
        $list = is_array($document[$key] ?? null) ? array_values($document[$key]) : [];
        if (count($list) > self::MOST_JOBS) {
            throw (new DiaryException('too_much', sprintf('At most %d at once.', self::MOST_JOBS)))->about($key);
        }

        return array_map(fn (mixed $each) => is_array($each) ? $each : [], $list);
    }

    /** @param  array<mixed>  $from */
    private function number(array $from, string $key, string $field): float
    {
        $value = $from[$key] ?? null;

        return (is_int($value) || is_float($value)) && is_finite((float) $value)
            ? (float) $value
            : throw (new DiaryException('unreadable', sprintf('“%s” must be a number.', $key)))->about("{$field}.{$key}");
    }

    /** @param  array<mixed>  $from */
    private function moment(array $from, string $key, string $field): \DateTimeImmutable
    {
        $typed = is_string($from[$key] ?? null) ? $from[$key] : '';
        if (preg_match('/^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d)?(Z|[+-]\d\d:\d\d)?$/D', $typed) !== 1) {
            throw (new DiaryException(
                'unreadable',
                sprintf('“%s” is not a moment. Write it like 2026-12-12T14:00.', mb_substr($typed, 0, 30)),
            ))->about("{$field}.{$key}");
        }
        try {
            return (new \DateTimeImmutable($typed, $this->kitchen->now->getTimezone()))->setTimezone($this->kitchen->now->getTimezone());
        } catch (\Exception) {
            throw (new DiaryException('unreadable', sprintf('“%s” is not a moment.', mb_substr($typed, 0, 30))))->about("{$field}.{$key}");
        }
    }
}
