<?php

namespace App\Models;

use App\Models\Casts\AsSaid;
use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Kettle\Reason\Said;

/**
 * @property int $number
 * @property string $name
 * @property ?Said $says
 * @property string $note
 * @property array<string, mixed> $wish
 * @property string $by
 * @property Carbon $made_at
 */
class RecipeVersion extends Model
{
    use BelongsToHouse;

    public $timestamps = false;

    protected $table = 'recipe_versions';

    protected $guarded = [];

    protected $casts = ['says' => AsSaid::class, 'wish' => 'array', 'made_at' => 'datetime', 'number' => 'integer'];
}
