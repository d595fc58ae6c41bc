<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Marks that were contested: a second marker marks without seeing what the first set; both are kept. */
return new class() extends Migration {
    public function up(): void
    {
        Schema::create('contests', function (Blueprint $table) {
            $table->id();
            $table->foreignId('attempt_id')->constrained()->cascadeOnDelete();
            $table->string('reason', 1000);
            $table->decimal('first_total', 5, 1);
            $table->boolean('first_passed');
            $table->foreignId('marker_id')->nullable()->constrained('users')->nullOnDelete();
            $table->decimal('second_total', 5, 1)->nullable();
            $table->timestamp('finished_at')->nullable();
            $table->timestamp('created_at')->useCurrent();
        });
        Schema::table('mark_overrides', function (Blueprint $table) {
            $table->foreignId('contest_id')->nullable()->constrained()->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        Schema::table('mark_overrides', fn (Blueprint $table) => $table->dropConstrainedForeignId('contest_id'));
        Schema::dropIfExists('contests');
    }
};
