<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What may be there only once is unique in the database too, whoever asks; addresses are told apart to the letter. */
return new class extends Migration {
    public function up(): void
    {
        // keys of writes that died before keys were kept with their work
        DB::table('idempotency_keys')->where('status', null)->delete();
        Schema::table('idempotency_keys', function (Blueprint $table): void {
            $table->unsignedSmallInteger('status')->nullable(false)->change();
            $table->string('etag', 80)->nullable()->after('response');
        });
        // one record for each step and patch of a sheet (rulings B7)
        Schema::table('records', function (Blueprint $table): void {
            $table->unique(['sheet_id', 'step_id', 'patch_id']);
        });
        // a tool is out once: the column holds the tool while the loan is open, nothing once it is back
        Schema::table('loans', function (Blueprint $table): void {
            $table->uuid('out_tool_id')->virtualAs('IF(returned_on IS NULL, tool_id, NULL)')->nullable()->unique();
        });
        // folded before it is kept (App\Support\Address), so a letter with an accent is another letter
        DB::statement('ALTER TABLE users MODIFY email VARCHAR(190) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL');
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
        Schema::dropIfExists('personal_access_tokens');
        Schema::dropIfExists('tries');
        DB::statement('ALTER TABLE users MODIFY email VARCHAR(190) NOT NULL');
        Schema::table('loans', fn(Blueprint $table) => $table->dropColumn('out_tool_id'));
        Schema::table('records', fn(Blueprint $table) => $table->dropUnique(['sheet_id', 'step_id', 'patch_id']));
        Schema::table('idempotency_keys', fn(Blueprint $table) => $table->dropColumn('etag'));
    }
};
