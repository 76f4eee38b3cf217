<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('label_cards', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('crew_id')->constrained();
            $table->string('product', 120);
            $table->timestamps();
            $table->json('packs')->nullable()->comment('sizes it is sold in: size, price, day of the price');
        });
        // never updated but for its confirmation: a change of the label is a new row (rulings B8)
        Schema::create('label_card_versions', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('label_card_id')->constrained();
            $table->unsignedInteger('version');
            $table->json('body')->comment('the card as typed');
            $table->boolean('template')->default(false)->comment('to be copied from a label; never confirmed');
            $table->foreignUuid('entered_by')->constrained('users');
            $table->foreignUuid('confirmed_by')->nullable()->constrained('users');
            $table->timestamp('confirmed_at')->nullable();
            $table->timestamps();
            $table->unique(['label_card_id', 'version']);
        });
        Schema::create('sprayers', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('crew_id')->constrained();
            $table->string('name', 80);
            $table->string('tank_value', 30);
            $table->string('tank_unit', 30);
            $table->date('calibrated_on')->nullable();
            $table->timestamps();
            $table->string('kind', 20)->default('backpack');
            $table->json('details')->nullable()->comment('tank material, seals, nozzle with its rated flow');
            $table->string('gives_value', 30)->nullable()->comment('what the newest calibration found');
            $table->string('gives_unit', 30)->nullable();
            $table->date('due_on')->nullable()->comment('calibrate again');
            $table->unsignedInteger('revision')->default(1);
        });
        Schema::create('steps', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('patch_id')->constrained();
            $table->unsignedInteger('position')->default(1);
            $table->string('method', 60);
            $table->string('active', 60)->nullable();
            $table->foreignUuid('label_card_version_id')->nullable()->constrained();
            $table->json('schools')->comment('copied when chosen (rulings B12)');
            $table->foreignUuid('sprayer_id')->nullable()->constrained();
            $table->json('recipe')->nullable()->comment('the recipe as saved');
            $table
                ->char('recipe_basis', 64)
                ->nullable()
                ->comment('hash of what the recipe was made from; differs = check again');
            $table->unsignedInteger('revision')->default(1);
            $table->timestamps();
            $table->string('programme', 60)->nullable()->comment('the programme this job belongs to');
            $table->uuid('run')->nullable()->comment('one acceptance of a programme');
            $table->string('note', 60)->nullable()->comment('code of what to do in this job');
            $table->date('due_from')->nullable();
            $table->date('due_to')->nullable();
            $table->unsignedInteger('told_minutes')->nullable()->comment('how long it takes, as somebody told');
            $table->string('why', 500)->nullable()->comment('why this way was chosen, in the words of who chose it');
        });
        Schema::create('stand_step', function (Blueprint $table): void {
            $table->foreignUuid('stand_id')->constrained();
            $table->foreignUuid('step_id')->constrained();
            $table->primary(['stand_id', 'step_id']);
        });
        Schema::create('sheets', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('crew_id')->constrained();
            $table->unsignedInteger('number');
            $table->json('snapshot')->comment('all that the sheet says; never read from elsewhere');
            $table->foreignUuid('issued_by')->constrained('users');
            $table->timestamp('issued_at');
            $table->timestamp('withdrawn_at')->nullable();
            $table->timestamps();
            $table->unique(['crew_id', 'number']);
            $table->string('withdrawn_by', 120)->nullable();
            $table->string('withdrawn_why', 300)->nullable();
        });
        Schema::create('sheet_step', function (Blueprint $table): void {
            $table->foreignUuid('sheet_id')->constrained();
            $table->foreignUuid('step_id')->constrained();
            $table->primary(['sheet_id', 'step_id']);
        });
        // each is a link of the chain of seals (rulings B17)
        Schema::create('records', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('crew_id')->constrained();
            $table->unsignedInteger('seq');
            $table->foreignUuid('sheet_id')->constrained();
            $table->foreignUuid('step_id')->constrained();
            $table->foreignUuid('patch_id')->constrained();
            $table->date('worked_on');
            $table->date('judge_after');
            $table->longText('body')->comment('canonical JSON, never changed');
            $table->foreignUuid('signed_by')->constrained('users');
            $table->timestamp('signed_at');
            $table->timestamps();
            $table->unique(['crew_id', 'seq']);
            // one record for each step and patch of a sheet (rulings B7)
            $table->unique(['sheet_id', 'step_id', 'patch_id']);
        });
        // what was noted on a field day, each note as a device made it; never changed, taken back by another note
        Schema::create('field_notes', function (Blueprint $table): void {
            $table->bigIncrements('number')->comment('in the order in which they came');
            $table->uuid('id')->unique();
            $table->foreignUuid('crew_id')->constrained();
            $table->foreignUuid('sheet_id')->constrained();
            $table->foreignUuid('sent_by')->constrained('users');
            $table->string('kind', 20);
            $table->dateTime('at', 6)->comment('by the clock of the device, UTC');
            $table->string('device', 60);
            $table->unsignedInteger('seq');
            $table->string('by', 120)->comment('whose work it tells of');
            $table->json('body');
            $table->timestamp('received_at');
            $table->foreignUuid('record_id')->nullable()->constrained()->comment('the record that it was signed with');
            $table->index(['sheet_id', 'number']);
        });
        // which actives a record put on the ground, kept by the database itself from what was signed; '' stands for a
        // record that cannot be read, and may have put any
        Schema::create('record_actives', function (Blueprint $table): void {
            $table->foreignUuid('record_id')->constrained();
            $table->foreignUuid('crew_id')->constrained();
            $table->string('active', 60);
            $table->primary(['record_id', 'active']);
            $table->index(['crew_id', 'active']);
        });
        DB::unprepared(
            <<<'SQL'
            CREATE TRIGGER records_actives AFTER INSERT ON records FOR EACH ROW BEGIN
                IF JSON_VALID(NEW.body) THEN
                    INSERT INTO record_actives (record_id, crew_id, active)
                    SELECT DISTINCT NEW.id, NEW.crew_id, put.active
                    FROM JSON_TABLE(NEW.body, '$.activesPerArea[*]' COLUMNS (active VARCHAR(60) PATH '$.active')) AS put
                    WHERE put.active IS NOT NULL;
                ELSE
                    INSERT INTO record_actives (record_id, crew_id, active) VALUES (NEW.id, NEW.crew_id, '');
                END IF;
            END
            SQL
            ,
        );
        // corrections of records: added, never written over
        Schema::create('record_amendments', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('record_id')->constrained();
            $table->string('field', 40);
            $table->string('text', 2000);
            $table->string('why', 500);
            $table->foreignUuid('made_by')->constrained('users');
            $table->timestamp('created_at');
        });
        Schema::table('photos', function (Blueprint $table): void {
            $table->foreignUuid('sheet_id')->nullable()->after('sighting_id')->constrained()->comment('of a field day');
        });
        // what was settled with others before a job: papers of a ground or patch, notices of one step; never changed,
        // but taken back
        Schema::create('settled_duties', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('crew_id')->constrained();
            $table->foreignUuid('ground_id')->constrained();
            $table->foreignUuid('patch_id')->nullable()->constrained()->comment('null: the whole ground');
            $table->foreignUuid('step_id')->nullable()->constrained()->comment('of a notice');
            $table->string('kind', 20);
            $table->string('state', 12)->comment('under-way, done, not-needed');
            $table->string('keeper', 80)->nullable()->comment('name of what it is about');
            $table->string('who', 120)->comment('who gave it, who was told, who says that none is needed');
            $table->string('number', 80)->nullable();
            $table->boolean('boundary_checked')->default(false);
            $table->date('on')->comment('given, told; of what is under way: the day by which');
            $table->date('until')->nullable()->comment('last day on which it holds');
            $table->string('text', 1000)->nullable();
            $table->foreignUuid('noted_by')->constrained('users');
            $table->timestamp('noted_at', 6);
            $table->timestamp('taken_back_at')->nullable();
            $table->foreignUuid('taken_back_by')->nullable()->constrained('users');
            $table->index(['ground_id', 'taken_back_at']);
            $table->index(['crew_id', 'state', 'on']);
        });
        // trees that a record left dying on their feet
        Schema::create('standing_trees', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('crew_id')->constrained();
            $table->foreignUuid('record_id')->unique()->constrained();
            $table->foreignUuid('patch_id')->constrained();
            $table->unsignedInteger('count');
            $table->json('reach')->nullable()->comment('two heights');
            $table->boolean('snags')->comment('left on purpose');
            $table->date('since');
            $table->date('looked_on')->nullable();
            $table->foreignUuid('looked_by')->nullable()->constrained('users');
            $table->date('down_on')->nullable();
        });
        // what each record says of the figures that plans go by; worked out of the record, so it may be made anew
        Schema::create('record_lessons', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('crew_id')->constrained();
            $table->foreignUuid('record_id')->constrained();
            $table->string('of', 10)->comment('mix, hands: figures that are off together');
            $table->string('path', 80)->comment('of the figure in the table of coefficients');
            $table->string('planned', 20)->comment('in the unit of the table');
            $table->string('seen', 20);
            $table->decimal('weight', 5, 4);
            $table->string('asked', 20)->nullable()->comment('unusual, amended: counts only once somebody says so');
            $table->boolean('counts')->nullable();
            $table->string('why', 500)->nullable();
            $table->foreignUuid('answered_by')->nullable()->constrained('users');
            $table->timestamp('answered_at')->nullable();
            $table->unique(['record_id', 'path']);
            $table->index(['crew_id', 'path']);
        });
        // looks at ground that was cleared, for as long as seed lasts in it
        Schema::create('patrols', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('stand_id')->constrained();
            $table->date('looked_on');
            $table->string('found', 12)->comment('none, seedlings, seeding');
            $table->unsignedInteger('count')->nullable();
            $table->string('text', 500)->nullable();
            $table->foreignUuid('made_by')->constrained('users');
            $table->timestamp('created_at');
            $table->index(['stand_id', 'looked_on']);
        });
        Schema::create('look_backs', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('record_id')->constrained();
            $table->date('looked_on');
            $table->boolean('scored')->comment('false: before the judge-after date, a sign only');
            $table->json('body');
            $table->foreignUuid('made_by')->constrained('users');
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::table('photos', fn(Blueprint $table) => $table->dropConstrainedForeignId('sheet_id'));
        foreach (
            [
                'look_backs',
                'patrols',
                'record_amendments',
                'field_notes',
                'record_actives',
                'record_lessons',
                'standing_trees',
                'settled_duties',
                'records',
                'sheet_step',
                'sheets',
                'stand_step',
                'steps',
                'sprayers',
                'label_card_versions',
                'label_cards',
            ]
            as $table
        ) {
            Schema::dropIfExists($table);
        }
    }
};
