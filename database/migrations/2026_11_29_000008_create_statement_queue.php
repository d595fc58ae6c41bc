<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Statements that a record store has not taken yet. */
return new class() extends Migration {
    public function up(): void
    {
        Schema::create('statement_queue', function (Blueprint $table) {
            $table->id();
            $table->uuid('statement_id')->unique();
            $table->text('statement');
            $table->unsignedSmallInteger('tries')->default(0);
            $table->timestamp('next_at')->useCurrent()->index();
            $table->string('refused', 500)->nullable();
            $table->timestamp('created_at')->useCurrent();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('statement_queue');
    }
};
