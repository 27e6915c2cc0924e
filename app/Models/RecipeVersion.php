<?php

namespace App\Models;

use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * @property int $number
 * @property string $name
 * @property string $says
 * @property string $note
 * @property array<string, mixed> $wish
 * @property string $by
 * @property Carbon $made_at
 */
class RecipeVersion extends Model
{
    use BelongsToHouse;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['wish' => 'array', 'made_at' => 'datetime', 'number' => 'integer'];
}
