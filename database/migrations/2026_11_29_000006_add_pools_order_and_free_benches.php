<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Jobs whose fault is drawn for each, jobs that open after others, and models that can be practised on at will. */
return new class() extends Migration {
    public function up(): void
    {
        Schema::table('assignments', function (Blueprint $table) {
            $table->uuid('pool')->nullable()->index();
            $table->foreignId('after_id')->nullable()->constrained('assignments')->nullOnDelete();
            $table->unsignedTinyInteger('after_mark')->nullable();
        });
        Schema::create('free_benches', function (Blueprint $table) {
            $table->foreignId('course_id')->constrained()->cascadeOnDelete();
            $table->foreignId('appliance_id')->constrained()->cascadeOnDelete();
            $table->primary(['course_id', 'appliance_id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('free_benches');
        Schema::table('assignments', function (Blueprint $table) {
            $table->dropConstrainedForeignId('after_id');
            $table->dropColumn(['pool', 'after_mark']);
        });
    }
};
