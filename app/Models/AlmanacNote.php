<?php

namespace App\Models;

use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Model;

/**
 * The house's own words about something in the Almanac.
 *
 * @property string $kind
 * @property string $key
 * @property string $note
 * @property string $by
 * @property int $version
 */
class AlmanacNote extends Model
{
    use BelongsToHouse;

    protected $table = 'almanac_notes';

    protected $guarded = [];

    protected $casts = ['version' => 'integer'];
}
