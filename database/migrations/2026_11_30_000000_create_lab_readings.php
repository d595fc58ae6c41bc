<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Readings that were taken on the real units of a school's lab, by the model that each is a unit of. */
return new class() extends Migration {
    public function up(): void
    {
        Schema::create('lab_readings', function (Blueprint $table) {
            $table->id();
            $table->foreignId('appliance_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete(); // who noted it
            foreach (['unit', 'by', 'meter', 'visit', 'fault', 'mode', 'red', 'black', 'tap', 'note'] as $text) {
                $table->string($text, 120)->default('');
            }
            $table->date('date');
            $table->double('at_s');
            $table->double('value');
            $table->timestamps();
            $table->index(['appliance_id', 'unit']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('lab_readings');
    }
};
