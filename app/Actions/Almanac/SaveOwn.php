<?php

namespace App\Actions\Almanac;

use App\Actions\Clash;
use App\House\KitchenFactory;
use App\House\OwnThings;
use App\Models\House;
use App\Models\OwnThing;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Facades\DB;
use Kettle\Material\MaterialException;
use Kettle\Material\OwnException;
use Kettle\Material\OwnReader;
use Kettle\Recipe\OwnSchools;
use Kettle\Recipe\Planning;

/** Takes in a plant, an oil, a wax, an essential oil, a measure or a school of the house's own, or what is known of one by now. */
final readonly class SaveOwn
{
    private const MOST = 300;

    public function __construct(
        private CurrentHouse $current,
        private Planning $planning,
        private OwnThings $own,
        private KitchenFactory $kitchens,
    ) {}

    /**
     * @param  array<mixed>  $fields
     * @param  bool  $strict whether a name of the tables is a fault: not of what was entered before they had it
     *
     * @throws OwnException
     */
    public function add(array $fields, bool $strict = true): OwnThing
    {
        return $this->locked(function () use ($fields, $strict): OwnThing {
            $read = (new OwnReader($this->planning->cupboard(), $strict, $this->kitchens->plain()->custom))->read($fields);
            OwnSchools::check($read, $this->kitchens->plain());
            $there = OwnThing::query()->where('slug', $read->id)->first();
            if ($there !== null) {
                // Sent again after an answer that was lost: it is there already, as it was sent.
                return $there->fields == $read->fields
                    ? $there
                    : throw OwnException::of([MaterialException::ownTwice($read->name, $read->name)->about('name')->toArray()]);
            }
            if (OwnThing::query()->count() >= self::MOST) {
                throw OwnException::of([MaterialException::ownFull(self::MOST)->about('name')->toArray()]);
            }

            return OwnThing::query()->create([
                'kind' => $read->kind->value,
                'slug' => $read->id,
                'fields' => $read->fields,
                'version' => 0,
            ]);
        });
    }

    /**
     * @param  array<mixed>  $fields what is known of it by now; its kind and its id stay
     *
     * @throws OwnException
     * @throws Clash when somebody changed it meanwhile
     */
    public function edit(OwnThing $thing, array $fields, int $version): OwnThing
    {
        return $this->locked(function () use ($thing, $fields, $version): OwnThing {
            $now = OwnThing::query()->findOrFail($thing->id);
            // What it was called before the tables knew such a plant is no fault of it now.
            $names = fn (array $of): array => [$of['name'] ?? null, $of['also'] ?? []];
            $renamed = $names($fields) !== $names($now->fields);
            $reader = new OwnReader($this->planning->cupboard(), $renamed, $this->kitchens->plain()->custom);
            $read = $reader->read(['kind' => $now->kind, 'id' => $now->slug] + $fields);
            OwnSchools::check($read, $this->kitchens->plain());
            if ($now->version !== $version) {
                if ($now->fields == $read->fields) {
                    return $now;
                }
                throw new Clash('Somebody changed this meanwhile. What stands now is shown; enter yours again where it differs.', [
                    'version' => $now->version,
                ]);
            }
            $now->update(['fields' => $read->fields, 'version' => $version + 1]);

            return $now;
        });
    }

    /**
     * @template T
     *
     * @param  \Closure(): T  $do
     * @return T
     */
    private function locked(\Closure $do): mixed
    {
        try {
            return DB::transaction(function () use ($do): mixed {
                // Two of one name, entered at once, are told apart only one after the other.
                House::query()
                    ->whereKey($this->current->house()->id)
                    ->lockForUpdate()
                    ->first();
                $this->own->forget();

                return $do();
            });
        } finally {
            $this->own->forget();
        }
    }
}
