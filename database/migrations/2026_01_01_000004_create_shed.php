<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('calibrations', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('sprayer_id')->constrained();
            $table->string('way', 20);
            $table->json('body')->comment('as measured');
            $table->string('gives_value', 30);
            $table->string('gives_unit', 30);
            $table->date('made_on');
            $table->foreignUuid('made_by')->constrained('users');
            $table->timestamps();
        });
        Schema::create('sprayer_uses', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('sprayer_id')->constrained();
            $table->string('kind', 20)->comment('filled, cleaned');
            $table->dateTime('at');
            $table->json('held')->nullable()->comment('cards, carrier and names of what it was filled with');
            $table->foreignUuid('sheet_id')->nullable()->constrained()->comment('whose clean-up list says so');
            $table->string('note', 300)->nullable();
            $table->foreignUuid('noted_by')->constrained('users');
            $table->index(['sprayer_id', 'at']);
        });
        Schema::create('containers', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('crew_id')->constrained();
            $table->foreignUuid('label_card_id')->constrained();
            $table->string('size_value', 30);
            $table->string('size_unit', 30);
            $table->string('lot', 60)->nullable();
            $table->string('place', 120)->nullable();
            $table->date('opened_on')->nullable();
            $table->date('expires_on')->nullable();
            $table->string('tare_value', 30)->nullable();
            $table->string('tare_unit', 30)->nullable();
            // litres, or grams of a dry product; sums only go through DrawStock, which holds the row
            $table->decimal('remaining', 24, 9);
            $table->timestamp('gone_at')->nullable()->comment('empty and rinsed, or taken to a collection');
            $table->unsignedInteger('revision')->default(1);
            $table->timestamps();
        });
        Schema::create('batches', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('crew_id')->constrained();
            $table->foreignUuid('step_id')->constrained();
            $table->foreignUuid('record_id')->nullable()->constrained();
            $table->unsignedInteger('number');
            $table->json('body')->comment('what was put in, in order, with the label of the finished mix');
            $table->foreignUuid('mixed_by')->constrained('users');
            $table->timestamp('mixed_at');
            $table->timestamps();
            $table->unique(['crew_id', 'number']);
        });
        // which cards went into a batch together, kept by the database itself
        Schema::create('batch_cards', function (Blueprint $table): void {
            $table->foreignUuid('batch_id')->constrained();
            $table->foreignUuid('crew_id')->constrained();
            $table->uuid('label_card_id');
            $table->primary(['batch_id', 'label_card_id']);
            $table->index(['crew_id', 'label_card_id']);
        });
        DB::unprepared(
            <<<'SQL'
            CREATE TRIGGER batches_cards AFTER INSERT ON batches FOR EACH ROW
                INSERT INTO batch_cards (batch_id, crew_id, label_card_id)
                SELECT DISTINCT NEW.id, NEW.crew_id, product.card
                FROM JSON_TABLE(NEW.body, '$.products[*]' COLUMNS (card CHAR(36) PATH '$.cardId')) AS product
                WHERE product.card IS NOT NULL
            SQL
            ,
        );
        Schema::create('draws', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('container_id')->constrained();
            $table->foreignUuid('batch_id')->nullable()->constrained();
            $table->string('kind', 12)->comment('mixed, measured, spilled, disposed');
            $table->decimal('amount', 24, 9)->comment('taken out; below nought where a measure found more');
            $table->decimal('left', 24, 9);
            $table->string('typed', 60);
            $table->string('reason', 300)->nullable();
            $table->foreignUuid('drawn_by')->constrained('users');
            $table->timestamp('drawn_at');
            $table->timestamps();
        });
        Schema::create('tools', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('crew_id')->constrained();
            $table->string('kind', 30);
            $table->string('name', 80);
            $table->json('details')->nullable()->comment('jaw or blade, graduation and what it holds, who may use it');
            $table->timestamp('gone_at')->nullable();
            $table->unsignedInteger('revision')->default(1);
            $table->timestamps();
        });
        Schema::create('loans', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('tool_id')->constrained();
            $table->string('borrower', 120);
            $table->date('lent_on');
            $table->date('due_on')->nullable();
            $table->date('returned_on')->nullable();
            $table->foreignUuid('lent_by')->constrained('users');
            $table->timestamps();
            // a tool is out once: the column holds the tool while the loan is open, nothing once it is back
            $table->uuid('out_tool_id')->virtualAs('IF(returned_on IS NULL, tool_id, NULL)')->nullable()->unique();
        });
    }

    public function down(): void
    {
        foreach (
            ['loans', 'tools', 'draws', 'batch_cards', 'batches', 'containers', 'sprayer_uses', 'calibrations']
            as $table
        ) {
            Schema::dropIfExists($table);
        }
    }
};
