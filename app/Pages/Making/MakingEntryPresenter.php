<?php

namespace App\Pages\Making;

use App\House\KitchenFactory;
use App\Models\Making;
use App\Models\MakingEntry;
use App\Pages\Batch\LineView;
use App\Responses\Batch\EntryView;
use Kettle\Batch\Line\Discarded;
use Kettle\Batch\Line\FaultNoted;
use Kettle\Batch\Line\Line;
use Kettle\Batch\Line\Started;
use Kettle\Batch\Line\Undone;
use Kettle\Making\Line\Mended;
use Kettle\Making\Line\Poured;
use Kettle\Making\Line\Spooned;
use Kettle\Making\Line\StepDone;
use Kettle\Making\Line\Stirred;
use Kettle\Making\Line\TinGone;
use Kettle\Making\Line\Weighed;
use Kettle\Making\PotPart;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Melt\Verdict;

/** A line of a product's logbook, in words. */
final readonly class MakingEntryPresenter
{
    private const VERDICTS = [Verdict::TOO_SOFT => 'too soft', Verdict::RIGHT => 'right', Verdict::TOO_HARD => 'too hard'];

    private const FAR = ['a-little' => 'a little', 'plainly' => 'plainly', 'far' => 'far'];

    private const DID = [
        'dry' => 'All wiped dry',
        'melt' => 'Melted',
        'leaf' => 'The leaf stirred in',
        'sieve' => 'Sieved',
        'blend' => 'Stirred together',
        'stir-in' => 'Stirred in',
        'water' => 'The water warmed',
        'emulsify' => 'Emulsified',
        'cool-fast' => 'Cooled',
        'whip' => 'Whipped',
        'spoon' => 'Left as firm as it is',
        'drops' => 'What goes in last is in',
        'drops-cold' => 'What goes in last is in',
        'set' => 'Set',
        'wipe' => 'Wiped',
        'label' => 'Labelled',
    ];

    private const WENT = ['used' => 'used up', 'given' => 'given', 'sold' => 'sold', 'thrown' => 'thrown away'];

    public function __construct(private KitchenFactory $kitchens, private LineView $lines) {}

    /** @param  array<string, true>  $corrected uids of entries that a later one corrects or strikes out */
    public function view(MakingEntry $entry, Making $making, array $corrected): EntryView
    {
        $line = $entry->line();

        return $this->lines->of($entry, $line, $this->title($line, $making, $entry->corrects), $corrected);
    }

    private function title(Line $line, Making $making, ?string $corrects): string
    {
        $words = $this->kitchens->words();
        $grams = fn (float $g): string => AmountWriter::plain($g, Kind::Mass);

        return match (true) {
            $line instanceof Started => 'Planned. '.$words->of($line->sentence),
            $line instanceof Weighed => ucfirst($words->thing($line->said)).': '.$this->amount($line, $making),
            $line instanceof StepDone => (self::DID[$line->step] ?? 'Done').
                ($line->celsius === null ? '' : ', at '.$words->thing(['C' => $line->celsius])).
                ($line->massG === null ? '' : '; '.$grams($line->massG).' in the pot'),
            $line instanceof Stirred => 'Stirred'.($line->celsius === null ? '' : ', at '.$words->thing(['C' => $line->celsius])),
            $line instanceof Spooned => ($line->inUse ? 'In use: ' : 'The cold spoon: ').
                self::VERDICTS[$line->verdict->is].
                ($line->verdict->is === Verdict::RIGHT ? '' : ', '.self::FAR[$line->verdict->by]).
                ($line->verdict->roomC === null ? '' : ', at '.$words->thing(['C' => $line->verdict->roomC])).
                ($line->stuckG > 0 ? '; '.$grams($line->stuckG).' went with the spoon' : ''),
            $line instanceof Mended => 'Mended: '.
                implode(
                    ', ',
                    array_filter([
                        $line->outG > 0 ? $grams($line->outG).' taken out' : '',
                        $line->in instanceof PotPart ? $grams($line->in->grams).' '.$words->thing($line->in->said).' put in' : '',
                    ]),
                ),
            $line instanceof Poured => 'Poured: '.
                implode(
                    ', ',
                    array_map(fn (array $tin) => $tin['count'].' × '.AmountWriter::plain($tin['ml'], Kind::Volume), $line->tins),
                ).
                ($line->leftMl === null ? '' : '; '.AmountWriter::plain($line->leftMl, Kind::Volume).' left over').
                ($line->where === '' ? '' : '; '.$line->where),
            $line instanceof TinGone => sprintf(
                'Number %d %s%s%s',
                $line->tin,
                self::WENT[$line->how],
                $line->to === '' ? '' : ($line->how === 'given' || $line->how === 'sold' ? ' to ' : ', ').$line->to,
                $line->price === null ? '' : ' for '.$words->thing(['money' => $line->price]),
            ),
            $line instanceof FaultNoted => 'Seen: '.$words->of($line->seen).'. Most likely '.$words->of($line->name),
            $line instanceof Discarded => 'Thrown away',
            $line instanceof Undone => 'Undone',
            default => $corrects === null ? 'Note' : 'Note, corrected',
        };
    }

    private function amount(Weighed $line, Making $making): string
    {
        $part = $making->plan->pot->part($line->part);

        return $this->kitchens->words()->thing($part === null ? ['g' => $line->grams] : $part->holding($line->grams)->amount()).' in';
    }
}
