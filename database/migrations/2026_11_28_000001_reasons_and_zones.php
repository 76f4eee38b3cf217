<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('steps', function (Blueprint $table): void {
            $table->string('why', 500)->nullable()->comment('why this way was chosen, in the words of who chose it');
        });
        Schema::table('grounds', function (Blueprint $table): void {
            $table->unsignedTinyInteger('hardiness_zone')->nullable()->comment('weighs naming, never excludes');
        });
    }
};
