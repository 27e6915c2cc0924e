<?php

namespace App\Pages\Boil;

use App\Actions\Boil\BoilLogbook;
use App\Actions\Boil\LongOilBatch;
use App\Actions\Boil\StoveOfHouse;
use App\House\KitchenFactory;
use App\House\Times;
use App\Models\Boil;
use App\Models\BoilEntry;
use App\Pages\Batch\LineView;
use App\Pages\Stores\StoresPresenter;
use App\Responses\Batch\EntryView;
use App\Responses\Boil\BoilLayer;
use App\Responses\Boil\BoilNote;
use App\Responses\Boil\BoilSign;
use App\Responses\Boil\PotAhead;
use App\Responses\Boil\PotHeed;
use App\Responses\Boil\PotLevel;
use App\Responses\Boil\PotMade;
use App\Responses\Boil\PotMark;
use App\Responses\Boil\PotPoint;
use App\Responses\Boil\PotSign;
use App\Responses\Boil\PotView;
use App\Responses\Boil\SignsView;
use App\Responses\Making\FromView;
use Kettle\Ask\Questions;
use Kettle\Batch\Line\Discarded;
use Kettle\Batch\Line\Line;
use Kettle\Batch\Line\Started;
use Kettle\Batch\Line\Undone;
use Kettle\Boiling\BoilState;
use Kettle\Boiling\FrozenBoil;
use Kettle\Boiling\Level;
use Kettle\Boiling\Line\Covered;
use Kettle\Boiling\Line\Lit;
use Kettle\Boiling\Line\Made;
use Kettle\Boiling\Line\Marked;
use Kettle\Boiling\Line\Moved;
use Kettle\Boiling\Line\SignsSeen;
use Kettle\Boiling\Line\Taken;
use Kettle\Boiling\Line\Warmed;
use Kettle\Boiling\Signs;
use Kettle\Boiling\Stage;
use Kettle\Boiling\WaterWatch;
use Kettle\Material\Tables;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Reason\Note as PlanNote;
use Kettle\Reason\Said;
use Kettle\Recipe\Planning;
use Kettle\Recipe\WishException;

/** A pot that is boiled down, for its own page. */
final readonly class PotPage
{
    /** What is seen of each sign, as it is said. */
    private const SEEN = [
        'flame' => ['quiet' => 'does not crackle', 'crackles' => 'crackles'],
        'froth' => ['stands' => 'stands on it', 'none' => 'none, or gone'],
        'wick' => ['sticks' => 'sticks', 'breaks' => 'breaks', 'rolls' => 'rolls', 'crumbles' => 'crumbles'],
        'senses' => ['right' => 'are right', 'raw' => 'are raw yet', 'burnt' => 'are burnt'],
    ];

    private const SIGN = [
        'flame' => 'A little paste in a flame',
        'froth' => 'Froth',
        'wick' => 'Paste between the fingers',
        'senses' => 'Smell and colour',
    ];

    /** Off the flame and covered for so long is a night, seconds: common practice, no source. */
    private const NIGHT_S = 24 * 3600;

    /** Of a pot of a month no more is told than these; all of it goes out with the house. */
    private const LINES = 80;

    private const MARKS = 120;

    /** What its warmth says is a stop, to be minded, or in order. */
    private const RANKS = [
        WaterWatch::GONE => 'stop',
        WaterWatch::HOT => 'care',
        WaterWatch::COOL => 'note',
        WaterWatch::AS_IT_SHOULD => 'note',
    ];

    public function __construct(
        private BoilLogbook $logbook,
        private StoveOfHouse $stove,
        private KitchenFactory $kitchens,
        private Times $times,
        private Tables $tables,
        private PotWords $words,
        private Planning $planning,
        private Questions $questions,
        private LineView $lines,
        private PotsTaken $pots,
        private StoresPresenter $stores,
    ) {}

    public function of(Boil $boil): PotView
    {
        $boil->load(['entries' => fn ($query) => $query->orderBy('id')]);
        $state = $this->logbook->state($boil);
        $now = $this->kitchens->now();
        $level = $this->stove->levels($boil->newCollection([$boil]))[$boil->id];
        $signs = Signs::of($state, $now, $this->tables);
        $plan = $state->plan;
        $plain = $this->plain($state);
        $more = $level->moreH;
        $done = $level->doneAt;
        $open = $state->stage->isOpen();
        $starts = $level->track[0]['ml'] ?? ($plan->startsMl ?? $level->nowMl);

        return new PotView(
            $boil->uid,
            $boil->code,
            $boil->name,
            $boil->kind,
            $boil->stage->value,
            $this->times->logged($boil->begun_at),
            $this->words->of($state, $level, $signs),
            $level->leftMl === null || ! $open ? null : $plain($level->leftMl),
            $more === null || ! $open
                ? null
                : ($more['low'] !== null && $more['high'] !== null && $more['high'] - $more['low'] > 0.25
                    ? AmountWriter::span($more['low']).' to '.AmountWriter::span($more['high'])
                    : AmountWriter::span($more['value'])),
            $done['value'] === null ? null : $this->times->logged($done['value']),
            $done['low'] === null || $done['high'] === null || $done['low'] == $done['high']
                ? null
                : $this->times->logged($done['low']).' and '.$this->times->logged($done['high']),
            $this->rate($level, $plain),
            $level->learned,
            $this->pot($state, $level),
            $this->edge($level, true),
            $this->edge($level, false),
            array_map(fn (array $each) => new PotPoint($each['at']->getTimestamp(), round($each['ml'], 1)), $level->track),
            array_map(
                fn (array $each) => new PotAhead(
                    $each['at']->getTimestamp(),
                    round($each['low'], 1),
                    round($each['ml'], 1),
                    round($each['high'], 1),
                ),
                $level->ahead,
            ),
            array_map(
                fn (array $mark) => new PotMark(
                    $mark['at']->getTimestamp(),
                    round($mark['ml'], 1),
                    $plain($mark['ml']).', '.$this->times->logged($mark['at']),
                ),
                self::few($state->marks),
            ),
            $starts,
            $starts === null ? null : $plain($starts),
            $plan->endsMl,
            $plain($plan->endsMl),
            $this->watch($state),
            $signs === null ? [] : array_map(fn (array $each) => $this->sign($each, $signs), $signs->each),
            $signs === null ? null : $this->verdict($signs),
            $open ? $this->notes($state) : [],
            $this->heed($state),
            $this->made($state, $plain),
            $this->band($state),
            $plain($plan->made),
            $plan->byWeight ? 'g' : 'mL',
            $open,
            $plan->becomesAnOil(),
            $this->from($boil),
            $this->entries($boil, $plain),
            $boil->entries->count(),
        );
    }

    /**
     * As many as can be told apart in a drawing, the first and the last among them.
     *
     * @template T
     *
     * @param  list<T>  $marks
     * @return list<T>
     */
    private static function few(array $marks): array
    {
        $last = count($marks) - 1;
        if ($last < self::MARKS) {
            return $marks;
        }

        return array_map(fn (int $i) => $marks[(int) round(($i * $last) / (self::MARKS - 1))], range(0, self::MARKS - 1));
    }

    /** The first or the last moment of what is drawn. */
    private function edge(Level $level, bool $first): string
    {
        $moments = array_column([...$level->track, ...$level->ahead], 'at');

        return $moments === [] ? '' : $this->times->logged($first ? min($moments) : max($moments));
    }

    /** @return \Closure(float): string */
    private function plain(BoilState $state): \Closure
    {
        $writer = $this->kitchens->plain()->writer();

        return fn (float $amount): string => $writer->plain($amount, $state->plan->byWeight ? Kind::Mass : Kind::Volume);
    }

    /** @param  \Closure(float): string  $plain */
    private function rate(Level $level, \Closure $plain): string
    {
        ['low' => $low, 'value' => $value, 'high' => $high] = $level->rate;
        $range = $low === null || $high === null || $low === $high ? '' : sprintf(' (%s to %s)', $plain($low), $plain($high));

        return $plain($value).' an hour'.$range.($level->learned ? ", by {$level->marks} marks" : '');
    }

    private function band(BoilState $state): string
    {
        $words = $this->kitchens->words();

        return $words->thing(['C' => $state->plan->lowC]).' to '.$words->thing(['C' => $state->plan->highC]);
    }

    /** As it stands now: herb or paste below, the oil on top, and between them what is to go. */
    private function pot(BoilState $state, Level $level): ?PotLevel
    {
        $plan = $state->plan;
        $pot = $plan->pot;
        if ($pot === null || $plan->startsMl === null || ! $state->stage->isOpen()) {
            return null;
        }
        $now = $level->nowMl ?? $plan->startsMl;
        $layers = array_filter(
            [
                [$plan->underOil ? 'paste' : 'herb', $plan->solidsMl],
                [$plan->underOil ? 'liquid' : 'water', max(0.0, $now - $plan->solidsMl - $plan->oilMl)],
                ['oil', $plan->oilMl],
            ],
            fn (array $layer) => $layer[1] > 0,
        );

        return new PotLevel(
            round($pot->levelMm($plan->startsMl), 1),
            round($pot->levelMm($plan->endsMl), 1),
            round($plan->overMm ?? $pot->heightMm, 1),
            round($pot->levelMm($now), 1),
            $pot->heightMm,
            $pot->diameterMm,
            array_values(
                array_map(fn (array $layer) => new BoilLayer($layer[0], round($layer[1], 1), round($pot->levelMm($layer[1]), 1)), $layers),
            ),
        );
    }

    private function watch(BoilState $state): ?BoilNote
    {
        $is = WaterWatch::of($state, $this->tables);
        if ($is === null) {
            return null;
        }
        $last = $state->warmths[count($state->warmths) - 1];

        return new BoilNote(
            $is,
            self::RANKS[$is],
            $this->kitchens->words()->of(
                Said::of("boil.{$is}", [
                    'now' => ['C' => $last['celsius']],
                    'low' => ['C' => $state->plan->lowC],
                    'high' => ['C' => $state->plan->highC],
                ]),
            ),
        );
    }

    /** @param  array{id: string, is: ?string, at: ?\DateTimeImmutable, stale: bool}  $each */
    private function sign(array $each, Signs $signs): PotSign
    {
        $id = $each['id'];
        $not = array_filter($signs->done->why, fn (string $why) => $why === "look-{$id}" || str_starts_with($why, "{$id}-"));

        return new PotSign(
            $each['id'],
            self::SIGN[$each['id']] ?? $each['id'],
            $each['is'] === null ? null : self::SEEN[$each['id']][$each['is']] ?? $each['is'],
            $each['at'] === null ? null : $this->times->logged($each['at']),
            $each['stale'],
            $each['is'] !== null && $not === [],
        );
    }

    private function verdict(Signs $signs): SignsView
    {
        $told = $this->questions->pot($this->kitchens->plain())->told($signs->done);

        return new SignsView(
            $told['verdict'],
            $told['says'],
            array_map(fn (array $each) => new BoilSign(...$each), $told['why']),
            $told['firmness'],
            $told['for'],
        );
    }

    /** @return list<BoilNote> */
    private function notes(BoilState $state): array
    {
        $words = $this->kitchens->words();
        $ids = [
            'flame',
            ...$state->plan->underOil ? ['water-spits', 'last-water'] : [],
            // A night covered is the way of it; for longer what is watery does not stand.
            ...$this->standsLong($state) ? ['stands-watery'] : [],
        ];

        return array_map(fn (string $id) => new BoilNote($id, 'care', $words->of(Said::of("note.{$id}"))), $ids);
    }

    /** Whether it is moved so far that it stands off the flame for more than a night. */
    private function standsLong(BoilState $state): bool
    {
        $off = $state->flames === [] ? null : $state->flames[count($state->flames) - 1]->to;

        return $state->stage === Stage::Off &&
            $state->notBefore !== null &&
            $off !== null &&
            $state->notBefore->getTimestamp() - $off->getTimestamp() > self::NIGHT_S;
    }

    /** @return list<PotHeed> what is to be minded of the oil that it becomes */
    private function heed(BoilState $state): array
    {
        if (! $state->plan->becomesAnOil() || ! $state->stage->isOpen()) {
            return [];
        }
        $kitchen = $this->kitchens->plain();
        $words = $this->kitchens->words();
        try {
            $plan = $this->planning->plan(LongOilBatch::wish($state, $state->plan->made, null, $kitchen), $kitchen);
        } catch (WishException $refused) {
            return [new PotHeed('refused', 'stop', $refused->getMessage(), false)];
        }

        return array_values(
            array_map(
                fn (PlanNote $note) => new PotHeed($note->id, $note->rank, $words->of($note->says), $note->acknowledge),
                array_filter($plan->notes, fn (PlanNote $note) => $note->rank !== 'note' || $note->acknowledge),
            ),
        );
    }

    /** @param  \Closure(float): string  $plain */
    private function made(BoilState $state, \Closure $plain): ?PotMade
    {
        $made = $state->made;
        if ($made === null || $state->madeAt === null) {
            return null;
        }

        $row = FrozenBoil::row($state->plan->kind, $this->tables);

        return new PotMade(
            $plain($made->amount),
            $plain($state->left),
            $made->where,
            $this->times->logged($state->madeAt),
            $made->bestBefore === null ? null : $this->times->date($made->bestBefore),
            $made->bestBefore !== null && $made->bestBefore < $this->kitchens->now()->format('Y-m-d'),
            $made->batch,
            $row?->textOrNull('goes_in'),
            $row?->numberOrNull('percent'),
        );
    }

    /** @return list<FromView> the pots and lots it was filled from */
    private function from(Boil $boil): array
    {
        return [
            ...$this->pots->into($boil),
            ...array_map(
                fn (array $each) => new FromView('lot', $each['lot']->uid, $each['lot']->called, $each['amount_text']),
                $this->stores->taken($boil),
            ),
        ];
    }

    /**
     * @param  \Closure(float): string  $plain
     * @return list<EntryView> newest first
     */
    private function entries(Boil $boil, \Closure $plain): array
    {
        $corrected = BoilEntry::corrected($boil->entries);

        return array_values(
            $boil->entries
                ->reverse()
                ->take(self::LINES)
                ->map(fn (BoilEntry $entry) => $this->lines->of($entry, $entry->line(), $this->title($entry->line(), $plain), $corrected))
                ->all(),
        );
    }

    /** @param  \Closure(float): string  $plain */
    private function title(Line $line, \Closure $plain): string
    {
        $words = $this->kitchens->words();

        return match (true) {
            $line instanceof Started => 'Planned. '.
                $words->of($line->sentence).
                ($line->cautions === []
                    ? ''
                    : '. Read: '.implode(' ', array_map(fn (array $read) => $words->of($read['says']), $line->cautions))),
            $line instanceof Lit => 'Over the flame',
            $line instanceof Covered => 'Off the flame, and covered',
            $line instanceof Moved => 'Moved: over the flame from '.$this->times->logged($line->until),
            $line instanceof Marked => ($line->anew ? 'More poured in; ' : '').
                'Mark: '.
                implode(', ', array_unique([$line->typed, $plain($line->ml)])),
            $line instanceof Warmed => 'Warmth: '.$words->thing(['C' => $line->celsius]),
            $line instanceof SignsSeen => 'Signs: '.
                implode(
                    '; ',
                    array_map(
                        fn (string $sign, string $is) => lcfirst(self::SIGN[$sign] ?? $sign).' '.(self::SEEN[$sign][$is] ?? $is),
                        array_keys($line->seen),
                        $line->seen,
                    ),
                ),
            $line instanceof Made => 'Strained: '.$plain($line->amount).($line->where === '' ? '' : "; {$line->where}"),
            $line instanceof Taken => ($line->how === 'given' ? 'Given: ' : 'Taken: ').
                $plain($line->amount).
                ($line->to === '' ? '' : ", {$line->to}"),
            $line instanceof Discarded => 'Thrown away',
            $line instanceof Undone => 'Undone',
            default => 'Note',
        };
    }
}
