<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class() extends Migration {
    public function up(): void
    {
        Schema::table('attempts', function (Blueprint $table) {
            $table->json('pairs')->nullable()->after('debrief');
        });
    }

    public function down(): void
    {
        Schema::table('attempts', fn (Blueprint $table) => $table->dropColumn('pairs'));
    }
};
