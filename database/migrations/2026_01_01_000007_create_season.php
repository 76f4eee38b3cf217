<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('season_plans', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('crew_id')->unique()->constrained();
            $table->date('last_on')->comment('it runs from today to this day');
            $table->unsignedBigInteger('money')->nullable()->comment('for all jobs, in the smallest coin');
            $table->unsignedInteger('litres_a_day')->nullable();
            $table->timestamp('kept_at')->nullable()->comment('when its days were last kept');
            $table->unsignedInteger('revision')->default(1);
            $table->timestamps();
        });
        Schema::create('placements', function (Blueprint $table): void {
            $table->foreignUuid('step_id')->primary()->constrained()->cascadeOnDelete();
            $table->foreignUuid('crew_id')->constrained();
            $table->date('first_on');
            $table->json('parts')->comment('day, people with who leads first, minutes of each');
            $table->boolean('pinned')->default(false);
            $table->timestamps();
            $table->index(['crew_id', 'first_on']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('placements');
        Schema::dropIfExists('season_plans');
    }
};
