<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Infusion\Methods;
use Kettle\Material\Cupboard;
use Kettle\Material\Row;
use Kettle\Material\Tables;
use Kettle\Reason\Wording;

/**
 * The way in to the core for one wish: reads it, plans it, writes it. Both the application and
 * `kettle reckon` come this way, so their figures are the same.
 */
final class Bench
{
    private readonly Cupboard $cupboard;

    private readonly Methods $methods;

    private ?Wording $wording = null;

    public function __construct(private readonly Tables $tables)
    {
        $this->cupboard = new Cupboard($tables);
        $this->methods = new Methods($tables);
    }

    /**
     * @param  array<mixed>  $wish
     *
     * @throws WishRefused
     */
    public function plan(array $wish, Kitchen $kitchen): Plan
    {
        return (new Planner($this->tables, $kitchen))->plan((new WishReader($this->cupboard, $this->methods, $kitchen))->read($wish));
    }

    /** @return array<string, mixed> docs/formats/plan.schema.json */
    public function document(Plan $plan, Kitchen $kitchen): array
    {
        return (new PlanDocument($this->wording(), $kitchen->writer()))->of($plan);
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
