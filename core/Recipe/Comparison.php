<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Caution\Cautions;
use Kettle\Caution\ColdStorage;
use Kettle\Diary\Labour;
use Kettle\Diary\Timetable;
use Kettle\Infusion\Method;
use Kettle\Infusion\Methods;
use Kettle\Infusion\OwnHours;
use Kettle\Infusion\Variant;
use Kettle\Keeping\Keeping;
use Kettle\Material\Tables;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Reason\Said;
use Kettle\Time\Dates;
use Kettle\Time\Interval;

/** Every method and school set side by side for one wish. */
final readonly class Comparison
{
    public function __construct(private Tables $tables, private Methods $methods, private Kitchen $kitchen, private Cautions $cautions) {}

    /** @return list<array<string, mixed>> a method each, its schools within, as the plan's document has them */
    public function of(Wish $wish): array
    {
        $names = [];
        foreach ($this->tables->table('things')->rows('rows') as $row) {
            $names[$row->text('id')] = $row->text('name');
        }
        $uptake = $this->kitchen->uptakeFor($wish);
        $rows = [];
        foreach ($this->methods->all() as $method) {
            $missing =
                $this->kitchen->things === null
                    ? []
                    : array_values(
                        array_map(fn (string $id) => $names[$id] ?? $id, array_diff($method->wants->things, $this->kitchen->things)),
                    );
            $chosen = $method->id === $wish->method->id ? $wish->variant : $method->variantFor($wish->mix);
            $schools = [
                ...OwnHours::is($chosen) ? [$chosen] : [],
                ...array_filter(OwnSchools::of($method, $this->kitchen), fn (Variant $own) => $own->id !== $chosen->id),
                ...$method->variants,
            ];
            $refused = null;
            $yield = $amounts = null;
            $by = $wish->by($method, $chosen);
            try {
                Fit::check($by, $this->kitchen, $this->cautions);
                $amounts = Amounts::solve($wish->by($method, $method->variants[0]), $this->kitchen, $uptake);
                $yield = $uptake->yield($amounts->oilMl, $amounts->dryG($wish));
            } catch (WishException $why) {
                $refused = $why->faults[0]['sentence'];
            }
            $laid = [];
            foreach ($schools as $school) {
                $laid[$school->id] = Days::of(
                    $school === $chosen ? $by : $wish->by($method, $school),
                    $this->kitchen,
                    $amounts,
                    among: $method->id === $wish->method->id && $school->id === $chosen->id,
                );
            }
            $rows[] = [
                'id' => $method->id,
                'name' => $method->name,
                'chosen' => $method->id === $wish->method->id,
                'school' => $chosen->id,
                'drops' => self::drops($wish, $by),
                'refused' => $refused,
                'missing' => $missing,
                'risks' => $method->risks,
                'yield_text' => $yield === null ? null : AmountWriter::plain($yield['value'], Kind::Volume),
                'keeps_text' => $this->keeps($by, $laid[$chosen->id]->timetable),
                'schools' => array_map(fn (Variant $school) => $this->school($wish, $method, $school, $laid[$school->id]), $schools),
            ];
        }

        return $rows;
    }

    /** @return list<string> what else is taken out of the wish to make it by another method */
    private static function drops(Wish $wish, Wish $by): array
    {
        return [
            ...$wish->sizing->jar !== $by->sizing->jar ? ['jar', 'jars'] : [],
            ...$wish->sizing->byJar !== $by->sizing->byJar ? ['by_jar'] : [],
        ];
    }

    private function keeps(Wish $wish, Timetable $times): string
    {
        $keeping = Planner::keeping($wish, $times, null, $this->tables);

        return match (true) {
            $wish->storage() === ColdStorage::FRIDGE => 'four days, cold',
            $keeping->months < 1.0 => AmountWriter::span($keeping->months * Keeping::HOURS_A_MONTH).($keeping->coldOnly ? ', cold' : ''),
            default => round($keeping->months, 1).' months'.($keeping->coldOnly ? ', cold' : ''),
        };
    }

    /** @return array<string, mixed> */
    private function school(Wish $wish, Method $method, Variant $variant, Days $laid): array
    {
        [$times, $startBy] = [$laid->timetable, $laid->startBy];
        $hands = Labour::of($method, $variant->usualH, $times, $wish->practice->strained);
        $words = $this->kitchen->words();
        $now = $times->fillAt->format('Y-m-d') === $this->kitchen->today()->format('Y-m-d');
        $days = $laid->late && $wish->days->readyBy !== null ? (int) $wish->days->readyBy->diff($times->readyDay())->days : 0;

        return [
            'id' => $variant->id,
            'name' => $variant->name ?: $words->of(Said::of('school.own')),
            'why' => $variant->why ?: $words->of(Said::of($variant->name === '' ? 'school.own-why' : 'school.kept-why')),
            'start_by' => $startBy->format('Y-m-d'),
            'start_text' => $now ? 'now' : Dates::near($times->fillAt, $this->kitchen->today()),
            'ready_on' => $times->readyDay()->format('Y-m-d'),
            'ready_text' => Dates::near($times->readyDay(), $this->kitchen->today()),
            'late_days' => $days,
            'fill_at' => $times->fillAt->format(DATE_ATOM),
            'strain_at' => $times->strainAt->format(DATE_ATOM),
            'sessions' => array_map(fn (Interval $s) => $s->toArray(), $times->sessions),
            'hands_on_text' => round($hands->minutes).' min',
            'by_text' => $hands->byHours > 0 ? AmountWriter::span($hands->byHours) : null,
            'warm_text' => $method->heated ? AmountWriter::span($variant->usualH) : null,
            'span_text' => AmountWriter::span($variant->usualH),
        ];
    }
}
