<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Jobs in which readings are said before they are taken: what is asked, and what each person said. */
return new class() extends Migration {
    public function up(): void
    {
        Schema::table('assignments', function (Blueprint $table) {
            $table->string('work', 20)->default('trace');
            $table->json('sheet')->nullable();
        });
        Schema::create('predictions', function (Blueprint $table) {
            $table->id();
            $table->foreignId('attempt_id')->constrained()->cascadeOnDelete();
            $table->unsignedSmallInteger('item'); // of the sheet, from 0
            $table->json('judgement')->nullable(); // as it was told, kept as fact; null: only hints were taken
            $table->unsignedTinyInteger('hints')->default(0); // grades that were taken, from the least
            $table->timestamp('created_at')->nullable();
            $table->unique(['attempt_id', 'item']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('predictions');
        Schema::table('assignments', function (Blueprint $table) {
            $table->dropColumn(['work', 'sheet']);
        });
    }
};
