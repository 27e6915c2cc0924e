<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** The oil a pot was bottled as, folded from its logbook, so that a bottle is followed back to its pot by an index. */
return new class extends Migration
{
    public function up(): void
    {
        // There for a while as a part of the migration before: a database that took it then has the column already.
        if (Schema::hasColumn('boils', 'batch')) {
            return;
        }
        Schema::table('boils', function (Blueprint $table) {
            $table->ulid('batch')->nullable()->after('stands');
            $table->index(['house_id', 'batch']);
        });
        DB::statement(
            "UPDATE boils JOIN boil_entries ON boil_entries.boil_id = boils.id AND boil_entries.kind = 'made'
            SET boils.batch = JSON_UNQUOTE(JSON_EXTRACT(boil_entries.data, '$.batch'))
            WHERE JSON_TYPE(JSON_EXTRACT(boil_entries.data, '$.batch')) = 'STRING'",
        );
    }

    public function down(): void
    {
        Schema::table('boils', function (Blueprint $table) {
            $table->dropIndex(['house_id', 'batch']);
            $table->dropColumn('batch');
        });
    }
};
