<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** When a job can be worked on, and for how long; and what one person has more. */
return new class() extends Migration {
    public function up(): void
    {
        Schema::table('assignments', function (Blueprint $table) {
            $table->timestamp('opens_at')->nullable();
            $table->timestamp('closes_at')->nullable();
            $table->unsignedSmallInteger('minutes')->nullable();
        });
        Schema::table('assignment_user', function (Blueprint $table) {
            $table->unsignedSmallInteger('extra_minutes')->default(0);
        });
        Schema::table('attempts', function (Blueprint $table) {
            $table->timestamp('begun_at')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('attempts', fn (Blueprint $table) => $table->dropColumn('begun_at'));
        Schema::table('assignment_user', fn (Blueprint $table) => $table->dropColumn('extra_minutes'));
        Schema::table('assignments', fn (Blueprint $table) => $table->dropColumn(['opens_at', 'closes_at', 'minutes']));
    }
};
