<?php

namespace App\Pages\Press;

use App\Labels\LabelException;
use App\Labels\LabelLayout;
use App\Labels\LabelSize;
use App\Labels\Sheet;
use App\Responses\Press\ChecklistLine;
use App\Responses\Press\LabelField;
use App\Responses\Press\LabelLine;
use App\Responses\Press\LabelPage;
use Kettle\Caution\Claims;
use Kettle\Material\Tables;
use Kettle\Reason\Listing;
use Kettle\Recipe\Planning;

/** The page of a label, whatever it is of: what it says, what it lacks, what does not fit. */
final readonly class LabelDesk
{
    /** Fields with words of somebody's own. */
    private const OWN = ['title', 'for', 'words'];

    public function __construct(private Tables $tables, private Planning $planning) {}

    public function page(LabelOf $label): LabelPage
    {
        $on = $label->on();
        $lines = $label->lines();
        $size = $label->size($this->tables);
        $net = $label->count > 0 && $label->withNet() ? $label->longest : '';
        $cut = Sheet::calmly(fn (): array => LabelLayout::of($size, $lines, $net)->cut);

        return new LabelPage(
            sizes: array_values(array_map(fn (LabelSize $each) => $each->shape(), LabelSize::all($this->tables))),
            size: $size->id,
            start: $label->start($this->tables),
            names: $label->names(),
            words: $label->words(),
            fields: array_map(
                fn (string $id) => new LabelField(
                    $id,
                    $label->fields[$id][0],
                    $id === 'net' ? 'the net amount of each, and its number' : $label->texts[$id] ?? '',
                    in_array($id, $on, true),
                ),
                array_keys($label->fields),
            ),
            lines: $lines,
            cautions: $label->cautions,
            checklist: $this->checklist($label, $lines, $cut),
            bottles: $label->count,
            net: $label->withNet() ? $label->net : '',
            version: $label->version,
            warnings: $this->warnings($label, $lines, $cut),
            prints: ! in_array(LabelLayout::MUST, $cut, true),
        );
    }

    /**
     * @param  array{size: string, start: int, names: string, fields: list<string>, words: string}  $set
     * @param  array<string, mixed>  $fields by id
     *
     * @throws LabelException
     */
    public function check(array $set, array $fields): void
    {
        $size = LabelSize::named($set['size'], $this->tables);
        if ($set['start'] > $size->each()) {
            throw LabelException::start($set['start'], $size->each());
        }
        foreach ($set['fields'] as $field) {
            if (! isset($fields[$field])) {
                throw LabelException::field($field);
            }
        }
    }

    /**
     * What such labels usually carry: no more than a help to remember, for rules differ by country.
     *
     * @param  list<LabelLine>  $lines
     * @param  list<string>  $cut ids of lines that do not fit
     * @return list<ChecklistLine>
     */
    private function checklist(LabelOf $label, array $lines, array $cut): array
    {
        $there = array_diff(array_map(fn (LabelLine $line) => $line->id, $lines), $cut);
        $checklist = [];
        foreach ($this->tables->table('labels')->rows('checklist') as $row) {
            if (in_array($row->text('for'), ['any', $label->for], true)) {
                $field = $row->text('field');
                $is = match ($field) {
                    'net' => $label->withNet() && ! in_array('net', $cut, true),
                    'allergens' => ! in_array(LabelLayout::MUST, $cut, true),
                    'keep' => in_array('keep', $there, true) || ($label->keptCold && in_array(LabelLayout::MUST, $there, true)),
                    'ingredients' => in_array('herb', $there, true) && ($label->for === 'kitchen' || $label->names() === 'inci'),
                    default => in_array($field, $there, true),
                };
                $checklist[] = new ChecklistLine($row->text('says'), $is, $this->planning->rules()->source($row->text('source')));
            }
        }

        return $checklist;
    }

    /**
     * In what somebody wrote, and not in what is printed of itself.
     *
     * @param  list<LabelLine>  $lines
     * @return list<string>
     */
    private function claims(array $lines): array
    {
        $own = array_filter($lines, fn (LabelLine $line) => in_array($line->id, self::OWN, true));

        return Claims::of($this->tables)->in(implode("\n", array_map(fn (LabelLine $line) => $line->text, $own)));
    }

    /** @param  non-empty-list<string>  $words */
    private static function says(array $words): string
    {
        $quoted = array_map(fn (string $word) => "“{$word}”", $words);

        return Listing::of($quoted).(count($words) === 1 ? ' says' : ' say');
    }

    /**
     * @param  list<LabelLine>  $lines
     * @param  list<string>  $cut ids of lines that do not fit
     * @return list<string>
     */
    private function warnings(LabelOf $label, array $lines, array $cut): array
    {
        $must = in_array(LabelLayout::MUST, $cut, true);
        $cut = implode(', ', array_map(fn (string $id) => $label->fields[$id][0] ?? $id, array_diff($cut, [LabelLayout::MUST])));
        $claims = $this->claims($lines);
        $quiet = ($label->texts['cautions'] ?? '') !== '' && ! in_array('cautions', $label->on(), true);
        $missing = LabelLayout::missing(implode(' ', array_map(fn (LabelLine $line) => $line->text, $lines)));

        return array_values(
            array_filter([
                $must ? LabelException::unsaid()->getMessage() : '',
                $cut === '' ? '' : "Not all of it fits, even small: {$cut}. Take a larger label, or leave something out.",
                $quiet ? "It leaves out “{$label->texts['cautions']}” Who finds the bottle reads nothing of it." : '',
                $claims === []
                    ? ''
                    : sprintf('%s what it heals: in many places that makes a medicine of it. Say how it is used.', self::says($claims)),
                $missing === '' ? '' : "The label’s letters have no shape for {$missing}; a box is printed in their place.",
            ]),
        );
    }
}
