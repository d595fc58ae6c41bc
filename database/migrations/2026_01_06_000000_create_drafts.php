<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Models that are being made, every step of them, who is at one, and the school's own kinds of parts. */
return new class() extends Migration {
    public function up(): void
    {
        Schema::create('drafts', function (Blueprint $table) {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name', 60)->unique();
            $table->string('title');
            $table->unsignedInteger('step')->default(0);
            $table->longText('document');
            $table->longText('drawn');
            $table->foreignId('appliance_id')->nullable()->constrained()->nullOnDelete();
            $table->timestamps();
        });
        Schema::create('draft_steps', function (Blueprint $table) {
            $table->id();
            $table->foreignId('draft_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('number');
            $table->unsignedInteger('parent')->nullable();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->text('words');
            $table->string('label', 80)->nullable();
            $table->binary('document');
            $table->timestamp('created_at')->nullable();
            $table->unique(['draft_id', 'number']);
            $table->index(['draft_id', 'parent']);
        });
        if (Schema::getConnection()->getDriverName() !== 'sqlite') {
            Schema::getConnection()->statement('ALTER TABLE draft_steps MODIFY document MEDIUMBLOB NOT NULL');
        }
        Schema::create('draft_visitors', function (Blueprint $table) {
            $table->foreignId('draft_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->timestamp('seen_at');
            $table->primary(['draft_id', 'user_id']);
        });
        Schema::create('part_kinds', function (Blueprint $table) {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name', 60)->unique();
            $table->string('title');
            $table->longText('document');
            $table->timestamps();
        });
    }

    public function down(): void
    {
        foreach (['part_kinds', 'draft_visitors', 'draft_steps', 'drafts'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
