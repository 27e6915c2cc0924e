<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * A trigger acts with the rights of who made it. Those that keep the logbooks append-only were made by the application's own
 * account, which is to have none over tables: they are made anew, word for word, by whoever migrates. And what could not be
 * changed but could be taken away is kept, too.
 */
return new class extends Migration
{
    private const KEPT = ['lot_moves', 'lot_checks', 'recipe_versions'];

    public function up(): void
    {
        $triggers = DB::select(
            'SELECT TRIGGER_NAME AS name, ACTION_TIMING AS timing, EVENT_MANIPULATION AS event, EVENT_OBJECT_TABLE AS of_table,
                ACTION_STATEMENT AS does FROM information_schema.TRIGGERS WHERE TRIGGER_SCHEMA = DATABASE()',
        );
        /** @var object{name: string, timing: string, event: string, of_table: string, does: string} $each */
        foreach ($triggers as $each) {
            DB::unprepared("DROP TRIGGER `{$each->name}`");
            DB::unprepared(
                "CREATE TRIGGER `{$each->name}` {$each->timing} {$each->event} ON `{$each->of_table}` FOR EACH ROW {$each->does}",
            );
        }
        foreach (self::KEPT as $table) {
            DB::unprepared(
                "CREATE TRIGGER {$table}_kept BEFORE DELETE ON {$table} FOR EACH ROW ".
                    "SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'the logbook is append-only'",
            );
        }
    }

    public function down(): void
    {
        foreach (self::KEPT as $table) {
            DB::unprepared("DROP TRIGGER {$table}_kept");
        }
    }
};
