<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('sightings', function (Blueprint $table): void {
            $table->uuid('stand_id')->nullable()->change();
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
        Schema::create('photos', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('sighting_id')->constrained();
            $table->string('file', 80)->comment('name under the photo store, outside the web root');
            $table->unsignedInteger('width');
            $table->unsignedInteger('height');
            $table->unsignedInteger('bytes');
            $table->char('sha256', 64);
            $table->dateTime('taken_at')->nullable();
            $table->foreignUuid('made_by')->constrained('users');
            $table->timestamps();
        });
        DB::statement(
            'UPDATE sightings s JOIN stands t ON t.id = s.stand_id JOIN patches p ON p.id = t.patch_id SET ' .
                's.patch_id = p.id, s.ground_id = p.ground_id, s.seen_at = s.created_at, s.made_by = s.confirmed_by',
        );
    }

    public function down(): void
    {
        Schema::dropIfExists('photos');
        // sightings that belong to no stand have no place in the older table
        DB::table('sightings')->where('stand_id', null)->delete();
        Schema::table('sightings', function (Blueprint $table): void {
            $table->dropForeign(['ground_id']);
            $table->dropForeign(['patch_id']);
            $table->dropForeign(['made_by']);
            $table->dropIndex(['ground_id', 'seen_at']);
            $table->dropColumn([
                'ground_id',
                'patch_id',
                'latitude',
                'longitude',
                'accuracy_m',
                'seen_at',
                'made_by',
                'observer',
                'confidence',
                'confirmer',
                'confirmed_on',
                'remarks',
                'revision',
            ]);
            $table->uuid('stand_id')->nullable(false)->change();
        });
    }
};
