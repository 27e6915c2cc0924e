<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Caution\Caution;
use Kettle\Caution\Cautions;
use Kettle\Caution\Facts;
use Kettle\Infusion\Methods;
use Kettle\Material\Cupboard;
use Kettle\Material\Own;
use Kettle\Material\Row;
use Kettle\Material\Tables;
use Kettle\Reason\Figure;
use Kettle\Reason\Note;
use Kettle\Reason\Said;
use Kettle\Reason\Way;
use Kettle\Reason\Wording;

/**
 * The way in to the core for one wish: reads it, plans it, writes it. Both the application and
 * `kettle reckon` come this way, so their figures are the same.
 */
final class Planning
{
    private readonly Cupboard $cupboard;

    private readonly Methods $methods;

    private ?Wording $wording = null;

    private ?Cautions $rules = null;

    /** @param  Own|\Closure(): Own  $own of the house that is asked about */
    public function __construct(private readonly Tables $tables, Own|\Closure $own = new Own())
    {
        $this->cupboard = new Cupboard($tables, $own);
        $this->methods = Methods::of($tables);
    }

    /**
     * A plan, or a refusal, of which every way out leads out: each was tried, and those that are refused themselves,
     * or leave the same complaint, are not offered.
     *
     * @param  array<mixed>  $wish
     *
     * @throws WishException
     */
    public function plan(array $wish, Kitchen $kitchen): Plan
    {
        try {
            $plan = $this->planned($wish, $kitchen);
        } catch (WishException $refused) {
            throw $refused->tried(fn (array $change, string $way): bool => $this->leadsOut($wish, $change, $way, $kitchen));
        }

        return $plan->withNotes(
            array_map(function (Note $note) use ($wish, $kitchen): Note {
                $leadsOut = fn (Way $way) => $this->leadsOut($wish, $way->change, $way->id, $kitchen, $note->id);

                return $note->withWays(array_values(array_filter($note->ways, $leadsOut)));
            }, $plan->notes),
        );
    }

    /**
     * @param  array<mixed>  $wish
     * @param  array<string, mixed>  $change
     * @param  string  $complaint id of the note that must be gone
     */
    private function leadsOut(array $wish, array $change, string $way, Kitchen $kitchen, string $complaint = ''): bool
    {
        try {
            $plan = $this->planned(Way::taken($wish, $change), $kitchen);
        } catch (WishException) {
            return false;
        }

        return ($way !== Way::FOR_THE_SKIN || $plan->isSound()) &&
            array_filter($plan->notes, fn (Note $note) => $note->id === $complaint) === [];
    }

    /**
     * @param  array<mixed>  $wish
     *
     * @throws WishException
     */
    private function planned(array $wish, Kitchen $kitchen): Plan
    {
        [$read, $kitchen] = $this->read($wish, $kitchen);

        return (new Planner($this->tables, $kitchen, $this->rules()))->plan($read);
    }

    /**
     * @param  array<mixed>  $wish
     * @return array{Wish, Kitchen} the wish, and the kitchen it is reckoned in
     *
     * @throws WishException
     */
    private function read(array $wish, Kitchen $kitchen): array
    {
        [$wish, $kitchen, $inOil] = InfusedOil::of($wish, $kitchen);
        [$wish, $kitchen, $before] = Before::of($wish, $kitchen, $this->methods);
        $stands = Fields::text($wish, 'begun') !== null;
        [$wish, $kitchen] = Begun::of($wish, $kitchen, $this->methods);

        return [(new WishReader($kitchen->cupboard(), $this->methods, $kitchen))->read($wish, $before, $inOil, $stands), $kitchen];
    }

    /** @return array<string, mixed> docs/formats/plan.schema.json */
    public function document(Plan $plan, Kitchen $kitchen): array
    {
        return self::inDegrees((new PlanDocument($this->wording(), $kitchen))->of($plan), $kitchen);
    }

    /** @return array<string, mixed> what a batch keeps of its plan: numbers, codes, and sentences as they are kept */
    public function record(Plan $plan, Kitchen $kitchen): array
    {
        $record = (new PlanDocument($this->wording(), $kitchen))->record($plan);
        // Begun, there is no other way any more.
        $record['notes'] = array_map(fn (Note $note) => $note->said() + ['ways' => []], $plan->notes);

        return $record;
    }

    /**
     * @param  array<mixed>  $record of record(), of this plan or of one kept earlier
     * @return array<string, mixed> docs/formats/plan.schema.json, in this cook's words
     */
    public function told(array $record, Kitchen $kitchen): array
    {
        return self::inDegrees((new PlanDocument($this->wording(), $kitchen))->told($record), $kitchen);
    }

    /**
     * @template T of array<mixed>
     *
     * @param  T  $document
     * @return T with every warmth in its words as this cook reads it
     */
    private static function inDegrees(array $document, Kitchen $kitchen): array
    {
        if ($kitchen->fahrenheit) {
            array_walk_recursive($document, function (mixed &$value) use ($kitchen): void {
                $value = is_string($value) ? $kitchen->inDegrees($value) : $value;
            });
        }

        return $document;
    }

    /** @return array<string, mixed> the document with every method set beside the one wished for */
    public function answer(Plan $plan, Kitchen $kitchen): array
    {
        return $this->document($plan, $kitchen) + [
            'methods' => $this->sideBySide($plan->wish, $kitchen),
        ];
    }

    /**
     * @param  array<mixed>  $wish
     * @return list<array<string, mixed>> every method for one wish, whether it can be made by the one wished for or not; `methods`
     *     of docs/formats/plan.schema.json
     *
     * @throws WishException when it cannot be read
     */
    public function ways(array $wish, Kitchen $kitchen): array
    {
        return $this->sideBySide(...$this->read($wish, $kitchen));
    }

    /** @return list<array<string, mixed>> */
    private function sideBySide(Wish $wish, Kitchen $kitchen): array
    {
        return self::inDegrees((new Comparison($this->tables, $this->methods, $kitchen, $this->rules()))->of($wish), $kitchen);
    }

    /**
     * @param  array<mixed>  $wish
     * @param  ?string  $place of Caution::PLACES; null for all
     * @return list<Note> the cautions of a wish, whether it can be planned or not
     *
     * @throws WishException when it cannot be read
     */
    public function cautions(array $wish, Kitchen $kitchen, ?string $place): array
    {
        $facts = $this->facts($wish, $kitchen);

        return array_map(fn (Caution $rule) => $this->rules()->told($rule, $facts), $this->rules()->holding($facts, $place));
    }

    /**
     * What must, or should, stand on the label of what is wished for.
     *
     * @param  array<mixed>  $wish
     * @return list<array{must: bool, says: Said}>
     *
     * @throws WishException
     */
    public function labels(array $wish, Kitchen $kitchen): array
    {
        $facts = $this->facts($wish, $kitchen);
        $labels = [];
        foreach ($this->rules()->holding($facts, 'label') as $rule) {
            $says = $rule->label($facts);
            if ($says !== null) {
                $labels[] = ['must' => $rule->labelMust, 'says' => $says];
            }
        }

        return $labels;
    }

    /** @param  array<mixed>  $wish */
    private function facts(array $wish, Kitchen $kitchen): Facts
    {
        [$read, $kitchen] = $this->read($wish, $kitchen);
        try {
            $supplies = Supplies::of($read, Amounts::solve($read, $kitchen, $kitchen->uptakeFor($read)), $kitchen);
        } catch (WishException) {
            // What cannot be measured out takes nothing from Stores; its cautions hold all the same.
            $supplies = null;
        }

        return WishFacts::of($read, $kitchen, $supplies);
    }

    public function rules(): Cautions
    {
        return $this->rules ??= Cautions::of($this->tables);
    }

    /** @return array<string, mixed> a figure as a plan's document has it */
    public function figure(Figure $figure, Kitchen $kitchen): array
    {
        return (new PlanDocument($this->wording(), $kitchen))->figure($figure);
    }

    /**
     * @param  array<Figure>  $figures
     * @return array<string, array<string, mixed>> by id, each as a plan's document has it
     */
    public function figures(array $figures, Kitchen $kitchen): array
    {
        $document = new PlanDocument($this->wording(), $kitchen);
        $told = [];
        foreach ($figures as $figure) {
            $told[$figure->id] = $document->figure($figure);
        }

        return $told;
    }

    /**
     * @param  array<Figure>  $figures
     * @return array<string, array<string, mixed>> by id, each as it is kept, to be told by told()
     */
    public function figureRecords(array $figures): array
    {
        $records = [];
        foreach ($figures as $figure) {
            $records[$figure->id] = PlanDocument::figureRecord($figure);
        }

        return $records;
    }

    public function tables(): Tables
    {
        return $this->tables;
    }

    public function cupboard(): Cupboard
    {
        return $this->cupboard;
    }

    public function methods(): Methods
    {
        return $this->methods;
    }

    private function wording(): Wording
    {
        if ($this->wording === null) {
            $sources = [];
            foreach ($this->tables->table('sources')->rows('rows') as $row) {
                $sources[$row->text('id')] = $row->text('title');
            }
            $rules = array_map(
                fn (Row $row) => ['says' => $row->text('says'), 'source' => $row->text('source'), 'standing' => $row->text('standing')],
                $this->tables->table('rules')->rows('rows'),
            );
            $this->wording = new Wording($rules, $sources);
        }

        return $this->wording;
    }
}
