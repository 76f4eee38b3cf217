<?php

declare(strict_types=1);

use App\Models\Crew;
use App\Models\Sheet;
use App\Models\Stand;
use App\Models\User;
use App\Print\MixingCardPdf;
use App\Print\ReentrySignPdf;
use App\Print\ReportPdf;
use App\Print\SeasonPdf;
use App\Print\SheetPdf;
use App\Repositories\CrewRows;
use App\Resources\StandResource;
use App\Text\Sentences;
use App\Workflow\RecipeDesk;

/** @return string what is printed, tags left out */
function printed(string $html): string
{
    return (string) preg_replace(
        '/\s+/',
        ' ',
        html_entity_decode(
            strip_tags(str_replace('<', ' <', (string) preg_replace('/<style.*?<\/style>/s', '', $html))),
        ),
    );
}

it('hangs up a sign whose time is the label\'s, to be written in until the work has ended', function () {
    $this->as();
    [, $sheet] = issuedTrees($this);
    $sign = static fn(): string => printed(
        app(ReentrySignPdf::class)->html(Sheet::query()->findOrFail($sheet), Crew::query()->firstOrFail()),
    );
    expect($sign())
        ->toContain('KEEP OUT')
        ->toContain('Write it in when the work ends: 12 h later, by the label')
        ->toContain('Triclopyr ester 480 g/L, oil-soluble, DEMO-0480')
        ->toContain('Lane edge, Fernshaw');
    $this->api('POST', "/sheets/{$sheet}/records", [
        'workedOn' => '2026-09-03',
        'start' => '08:00',
        'stop' => '08:40',
        'people' => ['Ada Thornbury'],
        'treated' => 12,
        'mixUsed' => '0.4 L',
        'weather' => 'dry',
        'wind' => '3 mph',
        'temperature' => '68 F',
    ])->assertCreated();
    expect($sign())->toContain('20:40 12 h after the work ended, by the label, and until all of it is dry.');
    $this->api('POST', '/papers', ['kind' => 're-entry-sign', 'of' => $sheet])->assertStatus(202);
    $this->api('POST', '/papers', ['kind' => 're-entry-sign'])
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/of');
});

it(
    'prints the records of a year with all that was told and the product in all, and says which were changed',
    function () {
        $this->as();
        $print = static function (int $year): string {
            $user = User::query()->where('role', 'lead')->firstOrFail();

            return printed(
                app(SeasonPdf::class)->html(CrewRows::recordsOf($user, $year), $user->crew, $year, 'metric'),
            );
        };
        // the stumps at Old rose corner: 1.5 fl oz of half-and-half mix
        expect($print(2025))
            ->toContain('1 record, taken out 2026-09-03')
            ->toContain('2025-09-02, Old rose corner')
            ->toContain('active per area glyphosate 106.9 g a.e./ha')
            ->toContain('Two stems left under the wren nest.')
            ->toContain('start 09:10 stop 11:40')
            ->toContain('mix used 1.5 fl oz')
            ->toContain('Glyphosate 360 g/L, water-borne 22.18 mL')
            ->not->toContain('Broom bank')
            ->not->toContain('Changed after they were signed');
        expect($print(2024))->toContain('Broom bank');
        expect($print(2023))->toContain('Nothing was signed that year.');
        $records = CrewRows::recordsOf(User::query()->where('role', 'lead')->firstOrFail(), 2025);
        $records[0]->body = '{';
        expect(printed(app(SeasonPdf::class)->html($records, Crew::query()->firstOrFail(), 2025, 'us')))->toContain(
            "Changed after they were signed, or not to be read: record {$records[0]->seq}.",
        );
        $this->api('POST', '/papers', ['kind' => 'season', 'year' => 2025])->assertStatus(202);
        $this->api('POST', '/papers', ['kind' => 'season', 'year' => 1999])->assertStatus(422);
    },
);

it('prints the name of a crew at the foot as it is, whatever letters are in it', function () {
    $this->as();
    $lead = User::query()->where('role', 'lead')->firstOrFail();
    $lead->crew->update(['name' => "O'Dell \"Two\" </style> \\ & Söhne"]);
    foreach (
        [
            app(SeasonPdf::class)->html(CrewRows::recordsOf($lead, 2025), $lead->crew, 2025, 'us'),
            app(ReportPdf::class)->review($lead, 2025),
            app(ReportPdf::class)->accounts($lead, 2025),
        ]
        as $paper
    ) {
        expect(explode('</style>', $paper)[0])
            ->toContain('O\\27 Dell \\22 Two\\22  \\3C \\2F style\\3E  \\5C  \\26  Söhne')
            ->and(strip_tags($paper))
            ->toContain('O&#039;Dell &quot;Two&quot; &lt;/style&gt; \\ &amp; Söhne');
    }
});

it('prints every paper in the language of whoever prints it, and the sign in the others too', function () {
    $this->as();
    $lead = User::query()->where('role', 'lead')->firstOrFail();
    // issued by somebody who reads English
    [, $id] = issuedTrees($this);
    $this->api('PATCH', '/session', ['locale' => 'es'])->assertOk();
    $sheet = Sheet::query()->findOrFail($id);
    $step = $sheet->steps->firstOrFail();
    $stand = Stand::query()->whereHas('steps', fn($steps) => $steps->whereKey($step->id))->withTrail()->firstOrFail();
    app(Sentences::class)->speak('es');
    $papers = [
        app(SheetPdf::class)->html($sheet, 'us'),
        app(MixingCardPdf::class)->html(
            app(StandResource::class)->recipe($stand, $step, app(RecipeDesk::class)->solve($stand, $step)),
            $stand,
            $step,
            'us',
        ),
        app(ReportPdf::class)->review($lead, 2026),
        app(ReportPdf::class)->accounts($lead, 2026),
        app(SeasonPdf::class)->html(CrewRows::recordsOf($lead, 2026), $lead->crew, 2026, 'us'),
    ];
    expect(printed(app(SeasonPdf::class)->html(CrewRows::recordsOf($lead, 2025), $lead->crew, 2025, 'us')))
        ->toContain('mezcla usada 1.5 fl oz')
        ->toContain('uso restringido no mezcla')
        ->toContain('incidente no observaciones')
        ->toContain('ingrediente activo por superficie');
    // what the label says stays as it was copied
    $label = array_filter(array_intersect_key($sheet->snapshot['product'], ['wearing' => 1, 'firstAid' => 1]));
    foreach ($papers as $paper) {
        expect($paper)->toContain('<html lang="es">');
        $own = str_replace($label, '', printed($paper));
        preg_match_all('/\b(?:the|and|with|from|not|your|of|is|are|until|where)\b[^.]*/i', $own, $english);
        expect($english[0])->toBe([]);
    }
    $sign = printed(app(ReentrySignPdf::class)->html($sheet, $lead->crew));
    expect($sign)->toContain('NO ENTRAR')->toContain('KEEP OUT Plants were treated with herbicide here.');
    app(Sentences::class)->speak('en');
});
