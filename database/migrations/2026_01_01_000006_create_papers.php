<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('jobs', function (Blueprint $table): void {
            $table->id();
            $table->string('queue')->index();
            $table->longText('payload');
            $table->unsignedTinyInteger('attempts');
            $table->unsignedInteger('reserved_at')->nullable();
            $table->unsignedInteger('available_at');
            $table->unsignedInteger('created_at');
        });
        Schema::create('failed_jobs', function (Blueprint $table): void {
            $table->id();
            $table->string('uuid')->unique();
            $table->text('connection');
            $table->text('queue');
            $table->longText('payload');
            $table->longText('exception');
            $table->timestamp('failed_at')->useCurrent();
        });
        // files on the way to paper; the files themselves lie in the storage, a day long
        Schema::create('papers', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('crew_id')->constrained();
            $table->foreignUuid('asked_by')->constrained('users');
            $table->string('kind', 20);
            $table->string('name', 120)->comment('of the file');
            $table->char('digest', 64)->comment('of what is printed: the same again is not made again');
            $table->string('state', 10)->comment('waiting, making, ready, failed');
            $table->timestamps();
            $table->index(['state', 'created_at']);
            $table->index(['crew_id', 'digest']);
        });
    }

    public function down(): void
    {
        foreach (['papers', 'failed_jobs', 'jobs'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
