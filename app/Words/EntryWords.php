<?php

namespace App\Words;

use App\Http\Shapes\EntryView;
use App\Models\LogEntry;
use Kettle\Diary\Step;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;

/** A line of the logbook, in words. */
final readonly class EntryWords
{
    public function __construct(private Times $times)
    {
    }

    /** @param  array<string, true>  $corrected uids of entries that a later one corrects or strikes out */
    public function view(LogEntry $entry, array $corrected): EntryView
    {
        $struck = isset($corrected[$entry->uid]);

        return new EntryView(
            id: $entry->uid,
            kind: $entry->kind,
            title: $this->title($entry),
            note: $entry->note,
            by: $entry->by,
            when: $this->times->logged($entry->happened_at),
            corrects: $entry->corrects,
            struck: $struck,
            can_undo: ! $struck && ! in_array($entry->kind, ['started', 'undone', 'note', 'acknowledged'], true),
            can_correct: ! $struck && $entry->kind === 'note',
        );
    }

    private function title(LogEntry $entry): string
    {
        $data = $entry->data;
        $text = fn (string $key): string => is_string($data[$key] ?? null) ? $data[$key] : '';
        $ml = fn (string $key): string => is_numeric($data[$key] ?? null) ? AmountWriter::plain((float) $data[$key], Kind::Volume) : '';

        return match ($entry->kind) {
            'started' => 'Planned. '.$text('sentence'),
            'task' => $this->task($text('task'), $text('outcome'), $text('until')).$this->seen($data),
            'strained' => 'Strained: '.$ml('ml').' ('.$text('typed').'). '.$text('says'),
            'bottled' => 'Bottled: '.$this->bottles($data).'; '.$ml('left_ml').' left over',
            'decanted' => 'Poured off'.(($data['again'] ?? false) === true ? ', through paper once more' : '').': '.$ml('ml').', '.$ml('lost_ml').' lost in the mud',
            'used' => $this->used($data, $ml('ml')),
            'checked' => 'Smelled and held to the light. '.$text('says').($text('verdict') === 'past' ? ' The batch is closed.' : ''),
            'kept' => 'Kept otherwise: '.implode(', ', array_filter($data, 'is_string')),
            'purpose' => 'Now for '.$text('to'),
            'fault' => 'Seen: '.$text('seen').'. Most likely '.$text('name'),
            'acknowledged' => 'Read: '.$this->cautions($data),
            'discarded' => 'Discarded',
            'undone' => 'Undone',
            'look' => $this->look($data),
            default => $entry->corrects === null ? 'Note' : 'Note, corrected',
        };
    }

    /** @param  array<string, mixed>  $data */
    private function used(array $data, string $ml): string
    {
        $how = match ($data['how'] ?? 'used') {
            'given' => ' given away', 'thrown' => ' thrown away', default => ' used',
        };
        $to = is_string($data['to'] ?? null) && $data['to'] !== '' ? ', '.$data['to'] : '';

        return sprintf('Bottle %d: %s%s%s', is_numeric($data['bottle'] ?? null) ? (int) $data['bottle'] : 0, $ml, $how, $to);
    }

    /** @param  array<string, mixed>  $data */
    private function cautions(array $data): string
    {
        $cautions = is_array($data['cautions'] ?? null) ? $data['cautions'] : [];

        return implode(' ', array_map(fn (mixed $each) => is_array($each) && is_string($each['says'] ?? null) ? $each['says'] : '', $cautions));
    }

    /** @param  array<string, mixed>  $data what was seen under the lid, or counted by a thermometer */
    private function seen(array $data): string
    {
        $words = array_filter(array_map(fn (mixed $each) => ['herb_above' => 'herb above the oil, pushed under', 'drops_wiped' => 'drops under the lid, wiped', 'fur' => 'fur on it', 'bubbles_calmed' => 'the bubbling had calmed', 'colour_turned' => 'the colour had turned'][is_string($each) ? $each : ''] ?? null, is_array($data['seen'] ?? null) ? $data['seen'] : []));

        return ($words === [] ? '' : ': '.implode('; ', $words)).(is_numeric($data['warm_h'] ?? null) ? ', '.StoveWords::hours((float) $data['warm_h']).' at warmth' : '');
    }

    /** @param  array<string, mixed>  $data */
    private function look(array $data): string
    {
        return ($data['what'] ?? '') === 'scent'
            ? 'Smelled: '.(is_int($data['score'] ?? null) ? $data['score'] : 0).' of 10'
            : (($data['plain'] ?? false) === true ? 'Looked at the plain oil' : 'Looked at its colour').', by '.(is_string($data['how'] ?? null) ? $data['how'] : 'swatch');
    }

    private function task(string $key, string $outcome, string $until): string
    {
        $step = Step::tryFrom(explode('-', $key)[0]);
        $done = match ($step) {
            Step::Moisten => 'Moistened',
            Step::WarmOil => 'The oil warmed',
            Step::Fill => 'Filled',
            Step::TopUp => 'Topped up',
            Step::Check => 'Looked at it',
            Step::Shake => 'Shaken',
            Step::WarmOn => 'Put to warm',
            Step::WarmOff => 'Taken off the warmth',
            Step::Decant => 'Poured off',
            Step::UseUp => 'Used up or thrown away',
            default => 'Done',
        };

        return match ($outcome) {
            'skipped' => 'Skipped: '.($step?->verb() ?? $key),
            'later' => 'Put off to '.$this->times->due(new \DateTimeImmutable($until)).': '.($step?->verb() ?? $key),
            default => $done,
        };
    }

    /** @param  array<string, mixed>  $data */
    private function bottles(array $data): string
    {
        $words = [];
        foreach (is_array($data['bottles'] ?? null) ? $data['bottles'] : [] as $bottle) {
            if (is_array($bottle) && is_int($bottle['count'] ?? null) && is_string($bottle['called'] ?? null)) {
                $words[] = $bottle['count'].' × '.$bottle['called'];
            }
        }

        return implode(', ', $words);
    }
}
