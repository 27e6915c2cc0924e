<?php

namespace App\Models;

use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A calendar read in for its busy times.
 *
 * @property int $id
 * @property string $uid
 * @property string $called
 */
class BusyCalendar extends Model
{
    use BelongsToHouse;

    protected $table = 'calendars';

    protected $guarded = [];

    /** @return HasMany<Absence, $this> */
    public function absences(): HasMany
    {
        return $this->hasMany(Absence::class, 'calendar_id');
    }
}
