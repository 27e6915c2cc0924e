<?php

namespace App\Models;

use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Model;

/**
 * A plant, an oil, a wax or an essential oil that a house entered as its own.
 *
 * @property int $id
 * @property string $kind of Kettle\Material\OwnKind
 * @property string $slug its id, which begins with own-
 * @property array<string, mixed> $fields as Kettle\Material\OwnReader keeps them
 * @property int $version
 */
class OwnThing extends Model
{
    use BelongsToHouse;

    protected $guarded = [];

    protected $casts = ['fields' => 'array', 'version' => 'integer'];
}
