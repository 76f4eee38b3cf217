<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('steps', function (Blueprint $table): void {
            $table->string('programme', 60)->nullable()->comment('the programme this job belongs to');
            $table->uuid('run')->nullable()->comment('one acceptance of a programme');
            $table->string('note', 60)->nullable()->comment('code of what to do in this job');
            $table->date('due_from')->nullable();
            $table->date('due_to')->nullable();
        });
    }
};
