<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;
use Kettle\Material\Tables;

/** Bowls and pans stand on the house's list beside its jars; every house gets the common ones. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('jars', fn (Blueprint $table) => $table->string('kind', 8)->default('jar'));
        $vessels = Tables::shipped()->table('vessels');
        foreach (DB::table('houses')->pluck('id') as $house) {
            foreach (['bowl', 'pan'] as $kind) {
                foreach ($vessels->rows($kind.'s') as $row) {
                    DB::table('jars')->insert([
                        'house_id' => $house,
                        'uid' => Str::ulid()->toString(),
                        'called' => $row->text('called'),
                        'brim_ml' => $row->number('brim_ml'),
                        'height_mm' => $row->number('inner_height_mm'),
                        'kind' => $kind,
                        'created_at' => now(),
                        'updated_at' => now(),
                    ]);
                }
            }
        }
    }

    public function down(): void
    {
        DB::table('jars')->where('kind', '!=', 'jar')->delete();
        Schema::table('jars', fn (Blueprint $table) => $table->dropColumn('kind'));
    }
};
