<?php

namespace App\Pages\Batch;

use App\House\KitchenFactory;
use App\House\Times;
use App\Models\LogEntry;
use App\Responses\Batch\EntryView;
use Kettle\Batch\Line\Acknowledged;
use Kettle\Batch\Line\Bottled;
use Kettle\Batch\Line\Checked;
use Kettle\Batch\Line\ColourLook;
use Kettle\Batch\Line\Decanted;
use Kettle\Batch\Line\Discarded;
use Kettle\Batch\Line\FaultNoted;
use Kettle\Batch\Line\FilledSize;
use Kettle\Batch\Line\Line;
use Kettle\Batch\Line\Outcome;
use Kettle\Batch\Line\PurposeChanged;
use Kettle\Batch\Line\PutAway;
use Kettle\Batch\Line\Ready;
use Kettle\Batch\Line\ScentLook;
use Kettle\Batch\Line\Started;
use Kettle\Batch\Line\Strained;
use Kettle\Batch\Line\TaskLine;
use Kettle\Batch\Line\Topped;
use Kettle\Batch\Line\Undone;
use Kettle\Batch\Line\Used;
use Kettle\Diary\Step;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;

/** A line of the logbook, in words. */
final readonly class EntryPresenter
{
    private const SEEN = [
        'herb_above' => 'herb above the oil, pushed under',
        'drops_wiped' => 'drops under the lid, wiped',
        'fur' => 'fur on it',
        'bubbles_calmed' => 'the bubbling had calmed',
        'colour_turned' => 'the colour had turned',
    ];

    public function __construct(private Times $times, private KitchenFactory $kitchens, private LineView $lines) {}

    /** @param  array<string, true>  $corrected uids of entries that a later one corrects or strikes out */
    public function view(LogEntry $entry, array $corrected): EntryView
    {
        $line = $entry->line();

        return $this->lines->of($entry, $line, $this->title($entry, $line), $corrected);
    }

    private function title(LogEntry $entry, Line $line): string
    {
        $words = $this->kitchens->words();
        $ml = fn (?float $ml): string => $ml === null ? '' : AmountWriter::plain($ml, Kind::Volume);

        return match (true) {
            $line instanceof Started => ($line->there ? 'Entered as it is there. ' : 'Planned. ').$words->of($line->sentence),
            $line instanceof TaskLine => $this->task($line).
                $this->seen($line).
                ($line->against === null ? '' : '. '.$words->of($line->against).' Switched on all the same'),
            $line instanceof Strained => 'Strained: '.$ml($line->ml).' ('.$line->typed.'). '.$words->of($line->says),
            $line instanceof Bottled => 'Bottled: '.
                implode(', ', array_map(fn (FilledSize $size) => $size->count.' × '.$size->called, $line->bottles)).
                '; '.
                $ml($line->leftMl).
                ' left over',
            $line instanceof Decanted => 'Poured off'.
                ($line->again ? ', through paper once more' : '').
                ': '.
                $ml($line->ml).
                ', '.
                $ml($line->lostMl).
                ' lost in the mud',
            $line instanceof Ready => 'Ready, and left on its sediment: '.
                $ml($line->ml).
                ' in '.
                ($line->count > 1 ? $line->count.' × ' : '').
                $line->called,
            $line instanceof Topped => sprintf('Number %d topped up with %s', $line->bottle, $ml($line->ml)),
            $line instanceof Used => sprintf(
                'Bottle %d: %s%s%s',
                $line->bottle,
                $ml($line->ml),
                ['given' => ' given away', 'thrown' => ' thrown away'][$line->how] ?? ' used',
                $line->to === '' ? '' : ', '.$line->to,
            ),
            $line instanceof Checked => 'Smelled and held to the light. '.
                $words->of($line->says).
                ($line->closes() ? ' The batch is closed.' : ''),
            $line instanceof PutAway => 'Kept otherwise: '.
                implode(
                    ', ',
                    array_map(
                        fn (string $what, string $to) => $words->thing(['kept' => [$what, $to]]),
                        array_keys(array_filter($line->as)),
                        array_filter($line->as),
                    ),
                ),
            $line instanceof PurposeChanged => 'Now for '.$words->thing(['purpose' => $line->to]),
            $line instanceof FaultNoted => 'Seen: '.$words->of($line->seen).'. Most likely '.$words->of($line->name),
            $line instanceof Acknowledged => 'Read: '.
                implode(' ', array_map(fn (array $read) => $words->of($read['says']), $line->cautions)),
            $line instanceof ScentLook => 'Smelled: '.$line->score.' of 10',
            $line instanceof ColourLook => ($line->plain ? 'Looked at the plain oil' : 'Looked at its colour').', by '.$line->how,
            $line instanceof Discarded => 'Discarded',
            $line instanceof Undone => 'Undone',
            default => $entry->corrects === null ? 'Note' : 'Note, corrected',
        };
    }

    /** What was seen under the lid, or counted by a thermometer. */
    private function seen(TaskLine $line): string
    {
        $words = array_filter(array_map(fn (string $each) => self::SEEN[$each] ?? null, $line->seen));

        return ($words === [] ? '' : ': '.implode('; ', $words)).
            ($line->warmH === null ? '' : ', '.AmountWriter::clockSpan($line->warmH).' at warmth');
    }

    private function task(TaskLine $line): string
    {
        $step = $line->step();
        $verb = $step?->verb() ?? $line->task;

        return match ($line->outcome) {
            Outcome::Skipped => 'Skipped: '.$verb,
            Outcome::Later => 'Put off to '.$this->times->due(new \DateTimeImmutable($line->until)).': '.$verb,
            Outcome::Done => match ($step) {
                Step::Moisten => 'Moistened',
                Step::WarmOil => 'The oil warmed',
                Step::Fill => 'Filled',
                Step::TopUp => $line->ml === null ? 'Topped up' : 'Topped up with '.AmountWriter::plain($line->ml, Kind::Volume),
                Step::Check => 'Looked at it',
                Step::Shake => 'Shaken',
                Step::WarmOn => 'Put to warm',
                Step::WarmOff => 'Taken off the warmth',
                Step::Decant => 'Poured off',
                Step::UseUp => 'Used up or thrown away',
                default => 'Done',
            },
        };
    }
}
