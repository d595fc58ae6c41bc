<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** People and classes, appliances, the jobs given on them, and what was done. */
return new class() extends Migration {
    public function up(): void
    {
        Schema::create('users', function (Blueprint $table) {
            $table->id();
            $table->string('name');
            $table->string('email')->unique();
            $table->string('role', 20);
            $table->string('password');
            $table->rememberToken();
            $table->timestamps();
        });
        Schema::create('courses', function (Blueprint $table) {
            $table->id();
            $table->foreignId('instructor_id')->constrained('users')->cascadeOnDelete();
            $table->string('name');
            $table->timestamps();
        });
        Schema::create('course_user', function (Blueprint $table) {
            $table->foreignId('course_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->primary(['course_id', 'user_id']);
        });
        Schema::create('appliances', function (Blueprint $table) {
            $table->id();
            $table->string('name')->unique();
            $table->string('title');
            $table->char('hash', 64);
            $table->longText('document');
            $table->longText('board');
            $table->timestamps();
        });
        // what a job holds is frozen when it is given: the resolved document, its hash, the fault, the arrivals
        Schema::create('assignments', function (Blueprint $table) {
            $table->id();
            $table->foreignId('appliance_id')->constrained();
            $table->foreignId('instructor_id')->constrained('users')->cascadeOnDelete();
            $table->foreignId('course_id')->constrained()->cascadeOnDelete();
            $table->string('title');
            $table->text('complaint');
            $table->string('kind', 20);
            $table->string('visit');
            $table->string('fault');
            $table->unsignedInteger('seed');
            $table->unsignedInteger('engine');
            $table->char('hash', 64);
            $table->json('rules');
            $table->json('said');
            $table->longText('document');
            $table->longText('board');
            $table->longText('arrivals');
            $table->timestamps();
        });
        Schema::create('assignment_user', function (Blueprint $table) {
            $table->foreignId('assignment_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->primary(['assignment_id', 'user_id']);
        });
        Schema::create('attempts', function (Blueprint $table) {
            $table->id();
            $table->foreignId('assignment_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('seed');
            $table->mediumText('state');
            $table->mediumText('record');
            $table->timestamp('handed_back_at')->nullable();
            $table->longText('mark')->nullable();
            $table->longText('debrief')->nullable();
            $table->timestamps();
            $table->unique(['assignment_id', 'user_id']);
        });
        Schema::create('entries', function (Blueprint $table) {
            $table->id();
            $table->foreignId('attempt_id')->constrained()->cascadeOnDelete();
            $table->string('client_id', 40);
            $table->unsignedInteger('tick');
            $table->text('act');
            $table->text('outcome');
            $table->text('sentence');
            $table->timestamp('created_at')->nullable();
            $table->unique(['attempt_id', 'client_id']);
        });
    }

    public function down(): void
    {
        foreach (
            [
                'entries',
                'attempts',
                'assignment_user',
                'assignments',
                'appliances',
                'course_user',
                'courses',
                'users',
            ] as $table
        ) {
            Schema::dropIfExists($table);
        }
    }
};
