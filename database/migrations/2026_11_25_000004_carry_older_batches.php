<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Batches made before the Press are for what their plan says, and their bottles as full as they were filled. */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement("UPDATE batches SET purpose = COALESCE(JSON_VALUE(plan, '$.purpose'), 'skin') WHERE purpose = ''");
        DB::statement("UPDATE bottles SET left_ml = filled_ml WHERE left_ml = 0 AND state = 'in'");
    }

    public function down(): void
    {
        // What was filled in is right for the older shape too.
    }
};
