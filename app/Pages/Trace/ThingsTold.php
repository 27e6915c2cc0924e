<?php

namespace App\Pages\Trace;

use Kettle\Trace\Graph;
use Kettle\Trace\Person;

/** What is on a trace, as it is told of: put beside the graph it is followed in. */
final class ThingsTold
{
    /** @var array<string, string> */
    public array $name = [];

    /** @var array<string, string> */
    public array $detail = [];

    /** @var array<string, string> */
    public array $at = [];

    /** @var array<string, int> in which order they were found */
    public array $place = [];

    /** @var array<string, string> of bottles, tins and what is thrown away whole */
    public array $state = [];

    /** @var array<string, string> who has it */
    public array $holds = [];

    public function __construct(private readonly Graph $graph) {}

    /** Whoever it is, however the name is written. */
    public static function person(string $name): string
    {
        return 'person '.Person::key($name);
    }

    public function thing(string $kind, string $id, string $name, string $detail, string $at, string $state = '', string $who = ''): void
    {
        $this->graph->thing($kind, $id);
        $this->name[$id] = $name;
        $this->detail[$id] = $detail;
        $this->at[$id] = $at;
        $this->place[$id] = count($this->place);
        if ($state !== '') {
            $this->state[$id] = $state;
        }
        if ($who !== '') {
            $this->holds[$id] = $who;
            $person = self::person($who);
            if (! isset($this->name[$person])) {
                $this->thing('person', $person, Person::written($who), '', '');
            }
            $this->graph->joins($id, $person);
        }
    }

    /**
     * Some of a thing was given away: whoever has that is told beside who has the rest.
     *
     * @param  array<string>  $went to whom, as it was written; empty where nobody was
     * @param  string  $id of what it was some of
     * @param  string  $from what it came out of
     */
    public function some(array $went, string $id, string $name, string $at, string $from): void
    {
        $to = [];
        foreach ($went as $who) {
            $to[self::person($who)] ??= $who;
        }
        // Who was given the last of it has the thing itself.
        if (($this->state[$id] ?? '') === 'given') {
            unset($to[self::person($this->holds[$id] ?? '')]);
        }
        foreach (array_values($to) as $i => $who) {
            $this->thing('bottle', "{$id} {$i}", "some of {$name}", 'given', $at, 'given', $who);
            $this->joins($from, "{$id} {$i}");
        }
    }

    public function joins(string $what, string $into): void
    {
        if (isset($this->name[$what], $this->name[$into])) {
            $this->graph->joins($what, $into);
        }
    }

    /** A batch into a product, unless one of its bottles is known to have gone there. */
    public function poured(string $batch, string $product): void
    {
        if (isset($this->name[$product]) && array_intersect($this->graph->before($product), $this->graph->next($batch)) === []) {
            $this->joins($batch, $product);
        }
    }
}
