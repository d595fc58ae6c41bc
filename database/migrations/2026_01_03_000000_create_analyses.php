<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class() extends Migration {
    public function up(): void
    {
        Schema::create('analyses', function (Blueprint $table) {
            $table->id();
            $table->string('hash', 64);
            $table->unsignedInteger('engine');
            $table->string('visit', 60);
            $table->string('doing', 80)->default('');
            $table->float('share')->default(0);
            $table->text('error')->nullable();
            $table->longText('result')->nullable();
            $table->timestamps();
            $table->unique(['hash', 'engine', 'visit']);
        });
        Schema::create('failed_jobs', function (Blueprint $table) {
            $table->id();
            $table->string('uuid')->unique();
            $table->text('connection');
            $table->text('queue');
            $table->longText('payload');
            $table->longText('exception');
            $table->timestamp('failed_at')->useCurrent();
        });
    }

    public function down(): void
    {
        Schema::drop('failed_jobs');
        Schema::drop('analyses');
    }
};
