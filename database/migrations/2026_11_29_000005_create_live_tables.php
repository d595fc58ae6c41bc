<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A class at work: benches that are stopped, hands that are up, what is said, and what is noted of who was away. */
return new class() extends Migration {
    public function up(): void
    {
        Schema::table('courses', function (Blueprint $table) {
            $table->timestamp('stopped_at')->nullable();
        });
        Schema::table('attempts', function (Blueprint $table) {
            $table->timestamp('stopped_at')->nullable();
            $table->unsignedInteger('stopped_s')->default(0);
            $table->unsignedSmallInteger('lost_s')->default(0);
            $table->timestamp('hand_at')->nullable();
            $table->json('curve')->nullable();
        });
        Schema::create('attempt_events', function (Blueprint $table) {
            $table->id();
            $table->foreignId('attempt_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('what', 20);
            $table->string('text', 500)->nullable();
            $table->unsignedInteger('seconds')->nullable();
            $table->timestamp('created_at')->useCurrent();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('attempt_events');
        Schema::table(
            'attempts',
            fn (Blueprint $table) => $table->dropColumn(['stopped_at', 'stopped_s', 'lost_s', 'hand_at', 'curve']),
        );
        Schema::table('courses', fn (Blueprint $table) => $table->dropColumn('stopped_at'));
    }
};
