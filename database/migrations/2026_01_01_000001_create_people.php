<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('installation', function (Blueprint $table): void {
            $table->string('key', 40)->primary();
            $table->string('value', 200);
        });
        Schema::create('crews', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->string('name', 120);
            $table->json('settings')->comment('schools, stance, tools, lever jaw, poison centre, jurisdiction');
            $table->unsignedInteger('revision')->default(1);
            $table->unsignedBigInteger('turn')->default(0)->comment('writes of the crew so far');
            $table->timestamp('closed_at')->nullable();
            $table->timestamps();
        });
        Schema::create('users', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('crew_id')->constrained();
            $table->string('role', 10)->comment('lead, member, viewer');
            $table->string('name', 120);
            // folded before it is kept (App\Support\Address), so a letter with an accent is another letter
            // null for who has left: their name stays with what they did
            $table->string('email', 190)->nullable()->charset('utf8mb4')->collation('utf8mb4_bin')->unique();
            $table->string('password');
            $table->text('second_factor')->nullable()->comment('secret, encrypted');
            $table
                ->timestamp('second_factor_at')
                ->nullable()
                ->comment('since when it is asked; null while it is set up');
            $table->unsignedBigInteger('second_factor_step')->nullable()->comment('of the last code taken');
            $table->json('recovery_codes')->nullable()->comment('hashes of those not used');
            $table->timestamp('gone_at')->nullable();
            $table->string('units', 6)->default('us');
            $table->string('light', 10)->default('day');
            $table->string('locale', 5)->default('en');
            $table->timestamps();
        });
        Schema::create('people', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('crew_id')->constrained();
            $table->foreignUuid('user_id')->nullable()->unique()->constrained();
            $table->string('name', 120);
            $table->string('licence', 60)->nullable();
            $table->date('licence_until')->nullable();
            $table->json('clearances');
            $table->timestamps();
            $table->string('licence_class', 80)->nullable();
            $table->unsignedInteger('revision')->default(1);
            $table->boolean('volunteer')->default(false)->comment('touches no product, poison or blade');
            $table->json('weekdays')->nullable()->comment('ISO days on which they work; null as usual');
            $table->unsignedSmallInteger('minutes_a_day')->nullable();
        });
        Schema::create('invites', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('crew_id')->constrained();
            $table->string('role', 10);
            $table->string('name', 120)->nullable();
            $table->string('email', 190)->nullable();
            $table->foreignUuid('person_id')->nullable()->comment('of the Shed, who is meant')->constrained('people');
            $table->char('token_hash', 64)->unique();
            $table->foreignUuid('made_by')->constrained('users');
            $table->foreignUuid('used_by')->nullable()->constrained('users');
            $table->timestamp('used_at')->nullable();
            $table->timestamp('expires_at');
            $table->timestamps();
        });
        Schema::create('password_resets', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('user_id')->constrained();
            $table->char('token_hash', 64)->unique()->comment('of a link, or of an account with the code of a lead');
            $table->foreignUuid('made_by')->nullable()->comment('the lead who gave a code')->constrained('users');
            $table->timestamp('used_at')->nullable();
            $table->timestamp('expires_at');
            $table->timestamps();
        });
        Schema::create('acts', function (Blueprint $table): void {
            $table->id();
            $table->foreignUuid('crew_id')->constrained();
            $table->foreignUuid('user_id')->constrained();
            $table->string('act', 80)->comment('method and route');
            $table->json('names')->comment('what it was done to, as it was called then');
            $table->json('changes')->nullable()->comment('settings: from, to');
            $table->timestamp('at')->index();
            $table->index(['crew_id', 'id']);
        });
        Schema::create('days_away', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('crew_id')->constrained();
            $table->foreignUuid('person_id')->nullable()->comment('null for the whole crew')->constrained('people');
            $table->date('first_on');
            $table->date('last_on');
            $table->string('note', 120)->nullable();
            $table->string('source', 10)->comment('typed, or calendar: read from a file and replaced by the next');
            $table->timestamps();
            $table->index(['crew_id', 'last_on']);
        });
        Schema::create('calendar_feeds', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('user_id')->unique()->constrained();
            $table->char('token_hash', 64)->unique();
            $table->timestamp('read_at')->nullable();
            $table->timestamps();
        });
        Schema::create('sessions', function (Blueprint $table): void {
            $table->string('id')->primary();
            $table->uuid('user_id')->nullable()->index();
            $table->string('ip_address', 45)->nullable();
            $table->text('user_agent')->nullable();
            $table->longText('payload');
            $table->integer('last_activity')->index();
        });
        Schema::create('cache', function (Blueprint $table): void {
            $table->string('key')->primary();
            $table->mediumText('value');
            $table->integer('expiration');
        });
        Schema::create('cache_locks', function (Blueprint $table): void {
            $table->string('key')->primary();
            $table->string('owner');
            $table->integer('expiration');
        });
        Schema::create('idempotency_keys', function (Blueprint $table): void {
            $table->uuid('user_id');
            $table->string('key', 80);
            $table->char('body_hash', 64);
            $table->unsignedSmallInteger('status');
            $table->longText('response')->nullable();
            $table->string('etag', 80)->nullable();
            $table->timestamp('created_at')->index();
            $table->primary(['user_id', 'key']);
        });
        Schema::create('tries', function (Blueprint $table): void {
            $table
                ->char('key', 64)
                ->primary()
                ->comment('hash of what is counted: an address, an account, both, a user');
            $table->unsignedInteger('count');
            $table->unsignedInteger('until')->index()->comment('Unix time at which the count begins anew');
        });
        Schema::create('personal_access_tokens', function (Blueprint $table): void {
            $table->id();
            $table->uuidMorphs('tokenable');
            $table->text('name');
            $table->string('token', 64)->unique();
            $table->text('abilities')->nullable();
            $table->timestamp('last_used_at')->nullable();
            $table->timestamp('expires_at')->nullable()->index();
            $table->timestamps();
        });
    }

    public function down(): void
    {
        foreach (
            [
                'personal_access_tokens',
                'tries',
                'idempotency_keys',
                'cache_locks',
                'cache',
                'sessions',
                'calendar_feeds',
                'days_away',
                'acts',
                'password_resets',
                'invites',
                'people',
                'users',
                'crews',
                'installation',
            ]
            as $table
        ) {
            Schema::dropIfExists($table);
        }
    }
};
