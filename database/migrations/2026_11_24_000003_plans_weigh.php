<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('stands', function (Blueprint $table): void {
            $table->json('weights')->nullable()->comment('how this plan is weighed; null as the crew weighs');
        });
    }
};
