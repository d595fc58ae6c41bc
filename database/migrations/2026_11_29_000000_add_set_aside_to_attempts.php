<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What was done in an attempt before it was given anew, because the computation had changed. */
return new class() extends Migration {
    public function up(): void
    {
        Schema::table('attempts', function (Blueprint $table) {
            $table->json('set_aside')->nullable()->after('pairs');
        });
    }

    public function down(): void
    {
        Schema::table('attempts', fn (Blueprint $table) => $table->dropColumn('set_aside'));
    }
};
