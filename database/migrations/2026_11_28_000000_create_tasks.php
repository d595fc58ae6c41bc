<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What takes long and somebody waits for; an edit that is sent twice and made once; facts about the installation. */
return new class() extends Migration {
    public function up(): void
    {
        Schema::create('tasks', function (Blueprint $table) {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 20);
            $table->string('subject', 120);
            $table->json('payload');
            $table->string('state', 10)->default('waiting');
            $table->unsignedTinyInteger('urgency');
            $table->float('share')->default(0);
            $table->string('doing', 120)->default('In line');
            $table->string('error', 1000)->nullable();
            $table->json('result')->nullable();
            $table->binary('file')->nullable();
            $table->string('worker', 30)->nullable();
            $table->unsignedBigInteger('job_id')->nullable();
            $table->unsignedTinyInteger('tries')->default(0);
            $table->timestamp('started_at')->nullable();
            $table->timestamps();
            $table->unique(['kind', 'subject']);
            $table->index(['user_id', 'state']);
            $table->index(['state', 'updated_at']);
        });
        DB::statement('ALTER TABLE tasks MODIFY file MEDIUMBLOB NULL');
        Schema::create('facts', function (Blueprint $table) {
            $table->string('name', 40)->primary();
            $table->json('value');
        });
        Schema::table('draft_steps', function (Blueprint $table) {
            $table->string('client_id', 40)->nullable();
            $table->unique(['draft_id', 'client_id']);
        });
        // what was being worked out under the former scheme is asked for anew
        DB::table('jobs')->delete();
        DB::table('analyses')->whereNull('result')->delete();
        DB::table('attempts')
            ->whereNotNull('pairs')
            ->whereRaw("JSON_EXTRACT(pairs, '$.left') IS NULL")
            ->update(['pairs' => null]);
        Schema::table('attempts', function (Blueprint $table) {
            $table->dropColumn('marking');
            $table->unsignedSmallInteger('entries_count')->default(0);
        });
        DB::statement(
            'UPDATE attempts SET entries_count = LEAST(65535, (SELECT COUNT(*) FROM entries WHERE entries.attempt_id = attempts.id))',
        );
        Schema::table('analyses', fn (Blueprint $table) => $table->dropColumn(['doing', 'share', 'error']));
    }

    public function down(): void
    {
        Schema::table('analyses', function (Blueprint $table) {
            $table->string('doing')->default('');
            $table->float('share')->default(0);
            $table->text('error')->nullable();
        });
        Schema::table('attempts', function (Blueprint $table) {
            $table->dropColumn('entries_count');
            $table->json('marking')->nullable();
        });
        Schema::table('draft_steps', function (Blueprint $table) {
            $table->dropUnique(['draft_id', 'client_id']);
            $table->dropColumn('client_id');
        });
        Schema::dropIfExists('facts');
        Schema::dropIfExists('tasks');
    }
};
