<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Jobs that somebody who teaches keeps to give again: what a job is, without to whom and when. */
return new class() extends Migration {
    public function up(): void
    {
        Schema::create('job_templates', function (Blueprint $table) {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('appliance_id')->constrained()->cascadeOnDelete();
            $table->string('name', 60)->unique(); // by which it is shared
            $table->string('title', 120);
            $table->json('job');
            $table->timestamps();
            $table->unique(['user_id', 'appliance_id', 'title']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('job_templates');
    }
};
