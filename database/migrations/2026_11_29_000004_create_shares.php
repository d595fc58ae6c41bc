<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Models, kinds of parts and house rules belong to their maker, who shares them. Till now all instructors had all: what
 * there is stays shared so.
 */
return new class() extends Migration {
    public function up(): void
    {
        Schema::create('shares', function (Blueprint $table) {
            $table->id();
            $table->string('of', 12);
            $table->string('name', 60);
            $table->foreignId('course_id')->nullable()->constrained()->cascadeOnDelete(); // null: all who teach
            $table->string('may', 4);
            $table->timestamps();
            $table->unique(['of', 'name', 'course_id']);
        });
        Schema::table('appliances', function (Blueprint $table) {
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete(); // null: shipped
        });
        DB::statement('UPDATE appliances a JOIN drafts d ON d.appliance_id = a.id SET a.user_id = d.user_id');
        foreach (['model' => 'drafts', 'kind' => 'part_kinds', 'rules' => 'rule_sets'] as $of => $table) {
            $names = DB::table($table)->when(
                $of === 'rules',
                fn ($q) => $q->whereNotNull('user_id'),
            )->distinct()->pluck('name');
            foreach ($names as $name) {
                DB::table('shares')->insert(['of' => $of, 'name' => $name, 'may' => 'edit']);
            }
        }
    }

    public function down(): void
    {
        Schema::dropIfExists('shares');
        Schema::table('appliances', fn (Blueprint $table) => $table->dropConstrainedForeignId('user_id'));
    }
};
