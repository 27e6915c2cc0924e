<?php

namespace App\Pages\Host;

use Illuminate\Support\Facades\DB;

/** Whether what the house needs is there, for whatever watches over the machine. */
final class Health
{
    /** What runs by itself gives a sign of life; after so long without one it is ill, s. */
    private const BEATS_S = ['queue' => 90, 'scheduler' => 150, 'devices' => 30];

    /** @return array<string, bool> by what it is */
    public function ready(): array
    {
        try {
            $database = DB::select('SELECT 1') !== [];
        } catch (\PDOException) {
            $database = false;
        }
        $ages = $this->beats();

        $ready = ['database' => $database];
        // What runs on another machine is that one's to say.
        $here = config()->array('kettle.parts');
        foreach (self::BEATS_S as $part => $most) {
            if ($here === [] || in_array($part, $here, true)) {
                $ready[$part] = ($ages[$part] ?? INF) <= $most;
            }
        }

        return $ready;
    }

    /** @return array<string, int> s since each part's last sign of life; those that gave none are not there */
    public function beats(): array
    {
        $folder = getenv('KETTLE_VAR');
        $ages = [];
        foreach (is_string($folder) ? (glob("{$folder}/run/*.beat") ?: []) : [] as $file) {
            // By the machine's own clock, as the file's time is.
            $ages[basename($file, '.beat')] = max(0, time() - (int) filemtime($file));
        }

        return $ages;
    }
}
