<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        $box = static function (Blueprint $table): void {
            foreach (['west', 'south', 'east', 'north'] as $side) {
                $table->decimal($side, 10, 7)->nullable();
            }
        };
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
            $table->unsignedTinyInteger('hardiness_zone')->nullable()->comment('weighs naming, never excludes');
        });
        Schema::create('patches', function (Blueprint $table) use ($box): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('ground_id')->constrained();
            $table->string('name', 120);
            $table->string('setting', 30);
            $table->unsignedInteger('revision')->default(1);
            $table->timestamps();
            // copies of the newest outline, for lists and for what lies in the picture
            $table->decimal('area_m2', 24, 9)->nullable();
            $box($table);
            $table->json('properties')->nullable()->comment('what an imported file said beyond name and shape');
            $table->timestamp('archived_at')->nullable();
            $table->string('archived_reason', 300)->nullable();
            $table->index(['ground_id', 'archived_at', 'name']);
            $table->index(['ground_id', 'west', 'east']);
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
            $table->json('coarse')->nullable()->comment('few corners, for far-off views');
            $table->foreignUuid('made_by')->nullable()->constrained('users');
            $table->string('how', 40)->nullable()->comment('drawn, walked, imported, split ...');
        });
        Schema::create('keepers', function (Blueprint $table) use ($box): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('patch_id')->nullable()->constrained();
            $table->string('kind', 20);
            $table->string('name', 80);
            $table->json('body')->comment('as given: distance, species, crownRadius, height, downhill');
            $table->timestamps();
            $table->foreignUuid('ground_id')->nullable()->constrained();
            $table->json('shape')->nullable()->comment('GeoJSON; none where it is known by words and distance only');
            $box($table);
            $table->json('properties')->nullable();
            $table->timestamp('archived_at')->nullable();
            $table->unsignedInteger('revision')->default(1);
            $table->index(['ground_id', 'west', 'east']);
        });
        Schema::create('zones', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('patch_id')->constrained();
            $table->string('name', 80);
            $table->json('outline');
            $table->decimal('area_m2', 24, 9);
            $table->timestamp('archived_at')->nullable();
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
            $table->json('weights')->nullable()->comment('how this plan is weighed; null as the crew weighs');
            $table->foreignUuid('person_id')->nullable()->comment('who does what is next')->constrained('people');
            $table->boolean('spreads')->default(false)->comment('it spreads from here');
            $table->date('promised_by')->nullable()->comment('to somebody, by that day');
            $table
                ->json('outlook')
                ->nullable()
                ->comment('how its years ahead are looked at: years, threshold, figures');
        });
        Schema::create('sightings', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('stand_id')->nullable()->constrained();
            $table->json('seen');
            $table->json('ranked')->comment('the result as it was shown');
            $table->json('tests')->comment('look-alike tests made, or who confirmed');
            $table->string('species', 60)->nullable();
            $table->foreignUuid('confirmed_by')->nullable()->constrained('users');
            $table->timestamps();
            $table->foreignUuid('ground_id')->nullable()->constrained();
            $table->foreignUuid('patch_id')->nullable()->constrained();
            $table->decimal('latitude', 10, 7)->nullable();
            $table->decimal('longitude', 10, 7)->nullable();
            $table->decimal('accuracy_m', 8, 1)->nullable();
            $table->dateTime('seen_at')->nullable();
            $table->foreignUuid('made_by')->nullable()->constrained('users');
            $table->string('observer', 120)->nullable()->comment('who saw it, where that is not who wrote it down');
            $table->string('confidence', 10)->default('likely')->comment('certain, likely, guess');
            $table
                ->string('confirmer', 160)
                ->nullable()
                ->comment('who confirmed the name, in words: extension, herbarium, forester');
            $table->date('confirmed_on')->nullable();
            $table->string('remarks', 2000)->nullable();
            $table->unsignedInteger('revision')->default(1);
            $table->index(['ground_id', 'seen_at']);
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
            $table->foreignUuid('ground_id')->nullable()->constrained();
            $table->string('species', 60)->nullable();
            $table->index(['ground_id', 'fact', 'at']);
        });
        Schema::create('tallies', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('stand_id')->constrained();
            $table->date('visited_on');
            $table->json('rows')->comment('size classes or single stems as typed');
            $table->foreignUuid('made_by')->constrained('users');
            $table->timestamps();
            $table->foreignUuid('zone_id')->nullable()->constrained();
            $table->string('kind', 20)->default('stems');
            $table->string('diameter_at', 20)->nullable();
            $table->json('body')->nullable()->comment('plots or cover as given, read by the core');
        });
        Schema::create('plot_plans', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('stand_id')->constrained();
            $table->foreignUuid('zone_id')->nullable()->constrained();
            $table->string('radius', 40);
            $table->string('placement', 20);
            $table->unsignedBigInteger('seed');
            $table->json('plots');
            $table->foreignUuid('made_by')->constrained('users');
            $table->timestamps();
        });
        Schema::create('photos', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('sighting_id')->nullable()->constrained();
            $table->string('file', 80)->comment('name under the photo store, outside the web root');
            $table->unsignedInteger('width');
            $table->unsignedInteger('height');
            $table->unsignedInteger('bytes');
            $table->char('sha256', 64);
            $table->dateTime('taken_at')->nullable();
            $table->foreignUuid('made_by')->constrained('users');
            $table->timestamps();
        });
        Schema::create('brought_weather', function (Blueprint $table): void {
            $table->foreignUuid('ground_id')->primary()->constrained();
            $table->json('hours')->comment('as a service tells them');
            $table->string('way', 10)->comment('file, or typed');
            $table->timestamp('issued_at');
            $table->foreignUuid('user_id')->constrained();
            $table->timestamps();
        });
    }

    public function down(): void
    {
        foreach (
            [
                'brought_weather',
                'photos',
                'plot_plans',
                'tallies',
                'observations',
                'sightings',
                'stands',
                'zones',
                'keepers',
                'patch_outlines',
                'patches',
                'grounds',
            ]
            as $table
        ) {
            Schema::dropIfExists($table);
        }
    }
};
