<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('grounds', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('crew_id')->constrained();
            $table->string('name', 120);
            $table->decimal('latitude', 9, 6);
            $table->decimal('longitude', 9, 6);
            $table->decimal('elevation_m', 7, 1);
            $table->string('time_zone', 60);
            $table->unsignedInteger('revision')->default(1);
            $table->timestamps();
        });
        Schema::create('patches', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('ground_id')->constrained();
            $table->string('name', 120);
            $table->string('setting', 30);
            $table->unsignedInteger('revision')->default(1);
            $table->timestamps();
        });
        // never updated: a new outline is a new row (rulings B7)
        Schema::create('patch_outlines', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('patch_id')->constrained();
            $table->date('valid_from');
            $table->json('outline');
            $table->decimal('area_m2', 24, 9);
            $table->decimal('west', 10, 7);
            $table->decimal('south', 10, 7);
            $table->decimal('east', 10, 7);
            $table->decimal('north', 10, 7);
            $table->timestamp('created_at')->nullable();
            $table->index(['patch_id', 'valid_from']);
        });
        Schema::create('keepers', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('patch_id')->constrained();
            $table->string('kind', 20);
            $table->string('name', 80);
            $table->json('body')->comment('as given: distance, species, crownRadius, height, downhill');
            $table->timestamps();
        });
        Schema::create('stands', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('patch_id')->constrained();
            $table->string('species', 60)->nullable();
            $table->boolean('marked_unknown')->default(false);
            $table->timestamp('closed_at')->nullable();
            $table->string('closed_reason', 300)->nullable();
            $table->unsignedInteger('revision')->default(1);
            $table->timestamps();
        });
        Schema::create('sightings', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('stand_id')->constrained();
            $table->json('seen');
            $table->json('ranked')->comment('the result as it was shown');
            $table->json('tests')->comment('look-alike tests made, or who confirmed');
            $table->string('species', 60)->nullable();
            $table->foreignUuid('confirmed_by')->nullable()->constrained('users');
            $table->timestamps();
        });
        Schema::create('observations', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('patch_id')->constrained();
            $table->string('fact', 40);
            $table->json('body')->comment('as given: fact, value, certainty, at');
            $table->dateTime('at');
            $table->foreignUuid('made_by')->constrained('users');
            $table->timestamps();
            $table->index(['patch_id', 'fact', 'at']);
        });
        Schema::create('tallies', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('stand_id')->constrained();
            $table->date('visited_on');
            $table->json('rows')->comment('size classes or single stems as typed');
            $table->foreignUuid('made_by')->constrained('users');
            $table->timestamps();
        });
    }

    public function down(): void
    {
        foreach (
            ['tallies', 'observations', 'sightings', 'stands', 'keepers', 'patch_outlines', 'patches', 'grounds']
            as $table
        ) {
            Schema::dropIfExists($table);
        }
    }
};
