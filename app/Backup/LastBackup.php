<?php

namespace App\Backup;

use Illuminate\Support\Carbon;

/** The last backup that was made of everything here, as the command wrote it down. */
final readonly class LastBackup
{
    /** One is made each night: after two nights without, somebody is told. */
    private const LATE_H = 50;

    private function __construct(public Carbon $at, public int $bytes) {}

    /** Null where none was made, or nobody says where they are. */
    public static function read(): ?self
    {
        $folder = config('kettle.backups');
        $file = is_string($folder) ? "{$folder}/last.json" : '';
        $said = $file !== '' && is_file($file) ? json_decode((string) file_get_contents($file), true) : null;
        $at = is_array($said) && is_string($said['made_at'] ?? null) ? date_create_immutable($said['made_at']) : false;

        return $at === false || ! is_int($said['bytes'] ?? null) ? null : new self(Carbon::instance($at), $said['bytes']);
    }

    public function isLate(): bool
    {
        return $this->at->lt(Carbon::now()->subHours(self::LATE_H));
    }
}
