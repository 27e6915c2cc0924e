<?php

namespace App\Models;

use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Model;

/**
 * A herb or an oil of the tables that a batch is made of. The database writes it with the batch.
 *
 * @property string $kind herb or oil
 * @property string $material
 * @property int $batch_id
 */
class BatchMaterial extends Model
{
    use BelongsToHouse;

    public $timestamps = false;

    public $incrementing = false;

    protected $table = 'batch_materials';
}
