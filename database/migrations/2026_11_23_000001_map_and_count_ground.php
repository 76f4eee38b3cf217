<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        $box = static function (Blueprint $table): void {
            foreach (['west', 'south', 'east', 'north'] as $side) {
                $table->decimal($side, 10, 7)->nullable();
            }
        };
        Schema::table('patches', function (Blueprint $table) use ($box): void {
            // copies of the newest outline, for lists and for what lies in the picture
            $table->decimal('area_m2', 24, 9)->nullable();
            $box($table);
            $table->json('properties')->nullable()->comment('what an imported file said beyond name and shape');
            $table->timestamp('archived_at')->nullable();
            $table->string('archived_reason', 300)->nullable();
            $table->index(['ground_id', 'archived_at', 'name']);
            $table->index(['ground_id', 'west', 'east']);
        });
        Schema::table('patch_outlines', function (Blueprint $table): void {
            $table->json('coarse')->nullable()->comment('few corners, for far-off views');
            $table->foreignUuid('made_by')->nullable()->constrained('users');
            $table->string('how', 40)->nullable()->comment('drawn, walked, imported, split ...');
        });
        Schema::table('keepers', function (Blueprint $table) use ($box): void {
            $table->uuid('patch_id')->nullable()->change();
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
        Schema::table('observations', function (Blueprint $table): void {
            $table->foreignUuid('ground_id')->nullable()->constrained();
            $table->string('species', 60)->nullable();
            $table->index(['ground_id', 'fact', 'at']);
        });
        Schema::table('tallies', function (Blueprint $table): void {
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
        DB::statement('UPDATE keepers k JOIN patches p ON p.id = k.patch_id SET k.ground_id = p.ground_id');
        DB::statement('UPDATE observations o JOIN patches p ON p.id = o.patch_id SET o.ground_id = p.ground_id');
        DB::statement(
            'UPDATE patches p JOIN patch_outlines o ON o.patch_id = p.id AND o.id = (SELECT n.id FROM ' .
                'patch_outlines n WHERE n.patch_id = p.id ORDER BY n.valid_from DESC, n.id DESC LIMIT 1) SET ' .
                'p.area_m2 = o.area_m2, p.west = o.west, p.south = o.south, p.east = o.east, p.north = o.north',
        );
    }

    public function down(): void
    {
        Schema::dropIfExists('plot_plans');
        Schema::table('tallies', fn(Blueprint $table) => $table->dropConstrainedForeignId('zone_id'));
        Schema::table('tallies', fn(Blueprint $table) => $table->dropColumn(['kind', 'diameter_at', 'body']));
        Schema::table('observations', fn(Blueprint $table) => $table->dropConstrainedForeignId('ground_id'));
        Schema::table('observations', fn(Blueprint $table) => $table->dropColumn('species'));
        Schema::dropIfExists('zones');
        Schema::table('keepers', fn(Blueprint $table) => $table->dropConstrainedForeignId('ground_id'));
        Schema::table(
            'keepers',
            fn(Blueprint $table) => $table->dropColumn([
                'shape',
                'west',
                'south',
                'east',
                'north',
                'properties',
                'archived_at',
                'revision',
            ]),
        );
        Schema::table('patch_outlines', fn(Blueprint $table) => $table->dropConstrainedForeignId('made_by'));
        Schema::table('patch_outlines', fn(Blueprint $table) => $table->dropColumn(['coarse', 'how']));
        Schema::table(
            'patches',
            fn(Blueprint $table) => $table->dropColumn([
                'area_m2',
                'west',
                'south',
                'east',
                'north',
                'properties',
                'archived_at',
                'archived_reason',
            ]),
        );
    }
};
