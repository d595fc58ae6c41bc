<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** House rules by version, every mark that was ever made, and what an instructor set otherwise. */
return new class() extends Migration {
    public function up(): void
    {
        Schema::create('rule_sets', function (Blueprint $table) {
            $table->id();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete(); // null: shipped
            $table->string('name', 40);
            $table->unsignedInteger('version');
            $table->string('title', 80);
            $table->json('document');
            $table->timestamps();
            $table->unique(['name', 'version']);
        });
        Schema::create('marks', function (Blueprint $table) {
            $table->id();
            $table->foreignId('attempt_id')->constrained()->cascadeOnDelete();
            // who asked for it; null: the hand-back
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->unsignedInteger('engine');
            $table->json('rules');
            $table->longText('result');
            $table->timestamp('created_at')->nullable();
        });
        Schema::create('mark_overrides', function (Blueprint $table) {
            $table->id();
            $table->foreignId('attempt_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('line', 20);
            $table->double('share')->nullable(); // null: what was computed stands again
            $table->string('reason', 500);
            $table->timestamp('created_at')->nullable();
        });
        Schema::table('attempts', function (Blueprint $table) {
            $table->unsignedInteger('engine')->default(4)->after('seed');
            $table->json('marking')->nullable()->after('handed_back_at'); // how far the marking is
        });
    }

    public function down(): void
    {
        Schema::table('attempts', fn (Blueprint $table) => $table->dropColumn(['engine', 'marking']));
        foreach (['mark_overrides', 'marks', 'rule_sets'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
