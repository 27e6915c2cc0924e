<?php

namespace App\House;

use App\Models\OwnThing;
use App\Models\Tenancy\CurrentHouse;
use Kettle\Material\Cupboard;
use Kettle\Material\Own;
use Kettle\Material\OwnException;
use Kettle\Material\OwnReader;
use Kettle\Material\Tables;

/** The current house's own plants, oils, waxes and essential oils, read once for a request, and only where one is asked for. */
final class OwnThings
{
    /** @var array<int, Own> by house */
    private array $read = [];

    public function __construct(private readonly CurrentHouse $current, private readonly Tables $tables) {}

    /** None outside of any house. */
    public function all(): Own
    {
        if (! $this->current->entered()) {
            return Own::none();
        }

        return $this->read[$this->current->house()->id] ??= $this->read();
    }

    /** After one was entered or changed. */
    public function forget(): void
    {
        $this->read = [];
    }

    private function read(): Own
    {
        // What was kept was read then; the names of the tables that came since are no fault of it.
        $reader = new OwnReader(new Cupboard($this->tables), false);
        $things = [];
        foreach (OwnThing::query()->orderBy('id')->get() as $row) {
            try {
                $things[] = $reader->read($row->fields);
            } catch (OwnException $unreadable) {
                report($unreadable);
            }
        }

        return Own::of($things);
    }
}
