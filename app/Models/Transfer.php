<?php

namespace App\Models;

use App\Models\Tenancy\BelongsToHouse;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A whole house on its way out or in, as a zip beside the database.
 *
 * @property int $id
 * @property int $house_id
 * @property string $uid
 * @property string $way
 * @property string $state
 * @property ?int $size bytes, of one that comes in
 * @property array<string, bool>|null $choices
 * @property Carbon $expires_at
 * @property Carbon $updated_at
 */
class Transfer extends Model
{
    use BelongsToHouse;

    public const OUT = 'out';

    public const IN = 'in';

    /** Its bytes are still being sent. */
    public const FILLING = 'filling';

    public const ASKED = 'asked';

    public const DONE = 'done';

    public const FAILED = 'failed';

    protected $table = 'transfers';

    protected $guarded = [];

    protected $casts = ['choices' => 'array', 'expires_at' => 'datetime', 'size' => 'integer'];

    /** Where its zip stands. */
    public function path(): string
    {
        return self::folder().'/'.$this->uid.'.zip';
    }

    public static function folder(): string
    {
        $shared = config('kettle.shared');

        return is_string($shared) ? "{$shared}/transfers" : storage_path('app/transfers');
    }
}
