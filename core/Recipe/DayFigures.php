<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Diary\Labour;
use Kettle\Diary\Timetable;
use Kettle\Keeping\Keeping;
use Kettle\Reason\Figure;
use Kettle\Reason\Reason;
use Kettle\Reason\Said;
use Kettle\Vessel\Cooker;

/** When it is begun, strained and good until, how long it is warm, and how long the hands are in it. */
final readonly class DayFigures
{
    /** @return list<Figure> */
    public static function of(Wish $wish, Days $days, Keeping $keeping, Kitchen $kitchen): array
    {
        return [...self::dates($wish, $days, $keeping, $kitchen), ...self::warmUp($days, $kitchen)];
    }

    /** @return list<Figure> */
    private static function dates(Wish $wish, Days $days, Keeping $keeping, Kitchen $kitchen): array
    {
        [$times, $startBy] = [$days->timetable, $days->startBy];
        $hands = Labour::of($wish->method, $wish->variant->usualH, $times, $wish->practice->strained);
        $variant = $wish->variant;
        $usual = ['h' => $variant->usualH];
        $heated = $wish->method->heated;
        $schoolTime = Reason::rule('school-time', [
            'school' => ['school' => [$wish->method->id, $variant->id]],
            'least' => ['h' => $variant->leastH],
            'usual' => $usual,
            'most' => ['h' => $variant->mostH],
            'why' => Said::of("school:{$wish->method->id}.{$variant->id}"),
        ]);
        $startWhy =
            $wish->days->readyBy === null
                ? Reason::rule('starts-now', ['start' => ['day' => $startBy->format('Y-m-d')]])
                : Reason::rule('backwards', [
                    'ready_by' => ['day' => $wish->days->readyBy->format('Y-m-d')],
                    'settle_h' => Timetable::SETTLE_HOURS,
                    'usual' => $usual,
                ]);
        $sessions = count($times->sessions);
        $strainWhy = $heated
            ? Reason::rule('strain-after-sessions', [
                'usual' => $usual,
                'sessions' => Said::of('warm.sessions', ['count' => $sessions]),
                'from' => $kitchen->waking->fromText(),
                'to' => $kitchen->waking->toText(),
            ])
            : Reason::rule('strain-after', ['usual' => $usual, 'start' => ['day' => $times->fillAt->format('Y-m-d')]]);

        return [
            $heated
                ? Figure::between('warm_hours', $variant->leastH, $variant->usualH, $variant->mostH, 'h', $schoolTime)
                : Figure::exactly('warm_hours', 0.0, 'h', Reason::rule('not-heated')),
            Figure::exactly('start_by', $startBy->format('Y-m-d'), 'date', $startWhy),
            self::strainBy($wish, $times, $strainWhy, $schoolTime),
            Figure::exactly(
                'hands_on',
                $hands->minutes,
                'min',
                Reason::rule('hands-on', [
                    'by' => $hands->byHours > 0 ? Said::of('hands.by-the-flame', ['hours' => ['h' => $hands->byHours]]) : '',
                ]),
            ),
            $keeping->figure(),
        ];
    }

    /** @return list<Figure> minutes before it is warm; none on the shelf */
    private static function warmUp(Days $days, Kitchen $kitchen): array
    {
        $min = $days->booking->warmUpMin ?? $days->warmUp->min;
        if ($min === 0) {
            return [];
        }
        [$by, $about] = [$days->warmUp, ['h' => $min / 60]];

        return [
            Figure::exactly(
                'warm_up',
                (float) $min,
                'min',
                $by->cooker === ''
                    ? Reason::rule('warm-up-common', ['minutes' => $about])
                    : Reason::rule($days->warmUp->wet ? 'warm-up-pot' : 'warm-up-dry', [
                        'cooker' => Said::of('cooker.the', ['cooker' => lcfirst($by->cooker)]),
                        'minutes' => $about,
                        'setting' => Cooker::on($by->setting),
                        'poured' => Said::of($by->load->pouredC === null ? 'poured.cold' : 'poured.hand-hot'),
                        'room' => ['C' => $kitchen->roomC],
                        'learned' => Said::of($by->learned ? 'warm-up.learned' : 'warm-up.common'),
                    ]),
            ),
        ];
    }

    private static function strainBy(Wish $wish, Timetable $times, Reason $why, Reason $schoolTime): Figure
    {
        if ($wish->method->heated) {
            return Figure::exactly('strain_by', $times->strainAt->format('Y-m-d'), 'date', $why, $schoolTime);
        }
        $after = fn (float $hours) => $times->fillAt->modify('+'.(int) ceil($hours / 24).' days')->format('Y-m-d');

        return Figure::between(
            'strain_by',
            $after($wish->variant->leastH),
            $times->strainAt->format('Y-m-d'),
            $after($wish->variant->mostH),
            'date',
            $why,
            $schoolTime,
        );
    }
}
