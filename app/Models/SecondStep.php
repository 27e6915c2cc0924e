<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * What somebody's app on a phone shares with the door.
 *
 * @property int $user_id
 * @property string $secret base32, shut with the house's key
 * @property ?Carbon $confirmed_at
 * @property int $last_step
 */
class SecondStep extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $table = 'second_steps';

    protected $primaryKey = 'user_id';

    protected $guarded = [];

    protected $casts = ['secret' => 'encrypted', 'confirmed_at' => 'datetime', 'last_step' => 'integer'];
}
