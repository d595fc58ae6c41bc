<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Who teaches or marks in a class beside the one who leads it; the second factor; accounts that are closed. */
return new class() extends Migration {
    public function up(): void
    {
        Schema::create('course_staff', function (Blueprint $table) {
            $table->foreignId('course_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('part', 12);
            $table->primary(['course_id', 'user_id']);
        });
        Schema::table('users', function (Blueprint $table) {
            $table->text('totp_secret')->nullable();
            $table->timestamp('totp_since')->nullable();
            $table->unsignedBigInteger('totp_step')->default(0);
            $table->json('recovery_codes')->nullable();
            $table->timestamp('closed_at')->nullable();
            $table->timestamp('seen_at')->nullable();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('course_staff');
        Schema::table('users', fn (Blueprint $table) => $table->dropColumn([
            'totp_secret', 'totp_since', 'totp_step', 'recovery_codes', 'closed_at', 'seen_at',
        ]));
    }
};
