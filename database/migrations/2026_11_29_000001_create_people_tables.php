<?php

use App\Models\AuditEntry;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How people come into a class: by a code that expires, or by a link of their own; and who did what to whom. */
return new class() extends Migration {
    public function up(): void
    {
        Schema::table('courses', function (Blueprint $table) {
            $table->string('join_code', 12)->nullable()->unique();
            $table->timestamp('join_until')->nullable();
        });
        Schema::create('access_links', function (Blueprint $table) {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('created_by')->constrained('users')->cascadeOnDelete();
            $table->uuid('batch')->nullable()->index();
            $table->char('token_hash', 64)->unique();
            $table->timestamp('expires_at');
            $table->timestamp('used_at')->nullable();
            $table->timestamps();
        });
        // by ids, without names, and without a key to what may be deleted: what was done stays done
        Schema::create('audit_entries', function (Blueprint $table) {
            $table->id();
            $table->unsignedBigInteger('actor_id')->nullable()->index();
            $table->string('act', 40);
            $table->string('of', 40);
            $table->unsignedBigInteger('of_id')->nullable();
            $table->json('more')->nullable();
            $table->timestamp('created_at')->useCurrent();
        });
        AuditEntry::seal();
    }

    public function down(): void
    {
        Schema::dropIfExists('audit_entries');
        Schema::dropIfExists('access_links');
        Schema::table('courses', fn (Blueprint $table) => $table->dropColumn(['join_code', 'join_until']));
    }
};
