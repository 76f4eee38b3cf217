<?php

declare(strict_types=1);

use App\Models\LabelCardVersion;
use App\Models\Record;
use App\Models\Sheet;
use App\Models\Stand;
use App\Models\Step;
use App\Models\User;

/* Several products in one tank, and what the ground may bear, through the API (rulings J7, J16). */

/** The newest version of a demo card by the start of its name. */
function versionOf(string $product): LabelCardVersion
{
    return LabelCardVersion::query()
        ->whereHas('card', fn($card) => $card->where('product', 'like', "{$product}%"))
        ->latest('version')
        ->firstOrFail();
}

/** Knapweed of the meadow to be spotted with clopyralid. */
function knapweed(Tests\AppTestCase $t): Step
{
    $t->as();
    $stand = $t->standId('spotted-knapweed');
    $etag = $t->api('GET', "/stands/{$stand}")->headers->get('ETag');
    $t->api(
        'PUT',
        "/stands/{$stand}/step",
        ['method' => 'foliar-spot', 'active' => 'clopyralid', 'cardVersionId' => versionOf('Clopyralid')->id],
        ['If-Match' => $etag],
    )->assertOk();

    return Stand::query()->findOrFail($stand)->steps()->firstOrFail();
}

/** The same with 2,4-D in the tank, saved. */
function tankOfTwo(Tests\AppTestCase $t): Step
{
    $step = knapweed($t);
    $second = versionOf('2,4-D')->id;
    $etag = $t
        ->api('GET', "/steps/{$step->id}/recipe?with={$second}")
        ->assertOk()
        ->headers->get('ETag');
    $t->api('PUT', "/steps/{$step->id}/recipe", ['with' => $second], ['If-Match' => $etag])
        ->assertOk()
        ->assertJsonPath('saved', true);

    return $step->refresh();
}

it('offers what may join, and refuses what may not', function () {
    $step = knapweed($this);
    $get = fn(string $query) => $this->api('GET', "/steps/{$step->id}/recipe?{$query}");
    $alone = $get('')->assertOk();
    expect(array_column($alone->json('mayJoin'), 'product'))
        ->toBe(['2,4-D amine 480 g/L, water-borne', 'Glyphosate 360 g/L, water-borne'])
        ->and($alone->json('products'))
        ->toHaveCount(1);
    $get('with=' . versionOf('Clopyralid')->id)
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/with');
    $get('with=nonsense')->assertStatus(422)->assertJsonPath('errors.0.pointer', '/with');
    $second = versionOf('2,4-D')->id;
    $get("with={$second}&withAlso={$second}")
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/withAlso');
    // the card of glyphosate says nothing of mixing: asked, not finished
    $asked = $get('with=' . versionOf('Glyphosate')->id)->assertOk();
    expect(array_column($asked->json('words'), 'code'))
        ->toContain('mix.mixing-not-on-card')
        ->and($asked->json('finished'))
        ->toBeFalse();
    // all of the meadow, so that the shelf is short
    $this->api(
        'POST',
        '/patches/' . Stand::query()->findOrFail($this->standId('spotted-knapweed'))->patch_id . '/observations',
        ['facts' => [['fact' => 'treated-area', 'value' => '0.4 ha', 'at' => '2026-09-03T08:00:00-05:00']]],
    )->assertCreated();
    $two = $get("with={$second}")->assertOk();
    expect(array_column($two->json('words'), 'code'))
        ->toContain('mix.jar-test')
        ->and($two->json('finished'))
        ->toBeTrue()
        ->and(array_column($two->json('products'), 'what'))
        ->toBe(['product', 'product-2'])
        ->and(array_column($two->json('loads.0.steps'), 'name'))
        ->toContain('2,4-D amine 480 g/L, water-borne')
        // more is wanted than stands on the shelf
        ->and($two->json('shelf.0.short.unit'))
        ->not->toBeNull();
    // bark takes one product
    $maple = maples($this);
    $this->api('GET', "/steps/{$maple->id}/recipe?with={$second}")
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/with');
});

it('takes the line of the stage once somebody has looked', function () {
    $this->as();
    $step = knapweed($this);
    $stand = Stand::query()->findOrFail($this->standId('spotted-knapweed'));
    $second = versionOf('2,4-D')->id;
    $strongest = fn() => $this->api('GET', "/steps/{$step->id}/recipe?with={$second}")->json(
        'products.1.strength.percent.value',
    );
    expect($strongest())->toBe('0.5');
    $this->api('POST', "/patches/{$stand->patch_id}/observations", [
        'facts' => [['fact' => 'stage', 'value' => 'rosette', 'at' => '2026-09-03T08:00:00-05:00']],
    ])->assertCreated();
    expect($strongest())->toBe('0.6');
});

it('draws each product from its own jug, labels both, and keeps what was put on the ground', function () {
    $step = tankOfTwo($this);
    $load = $this->api('GET', "/steps/{$step->id}/recipe")->json('loads.0');
    $order = array_column($load['steps'], 'what');
    [$one, $two, $other] = [shelf($this, 'C-0072'), shelf($this, 'B-1140'), shelf($this, 'G-0417')];
    $mix = fn(array $draws) => $this->api('POST', "/steps/{$step->id}/batches", [
        'load' => 0,
        'confirmed' => $order,
        'draws' => $draws,
    ]);
    $mix([['containerId' => $one['id']], ['containerId' => $other['id']]])
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/draws/1/containerId');
    $mix([['containerId' => $two['id'], 'amount' => '5 mL']])
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/draws');
    $batch = $mix([['containerId' => $one['id']], ['containerId' => $two['id']]])->assertCreated();
    expect($batch->json('label.contents'))
        ->toContain('Clopyralid')
        ->toContain('2,4-D amine')
        ->and($batch->json('label.registration'))
        ->toBe('DEMO-0036, DEMO-0024')
        ->and((float) shelf($this, 'C-0072')['left']['value'])
        ->toBeLessThan((float) $one['left']['value'])
        ->and((float) shelf($this, 'B-1140')['left']['value'])
        ->toBeLessThan((float) $two['left']['value'])
        // mixed once, they need no jar again
        ->and(array_column($this->api('GET', "/steps/{$step->id}/recipe")->json('words'), 'code'))
        ->not->toContain('mix.jar-test');
    // a leftover joins the very same two only
    $with = versionOf('2,4-D')->id;
    $words = fn(string $query): array => array_column(
        $this->api('GET', "/steps/{$step->id}/recipe?leftover=1 gal&leftoverFrom={$batch->json('id')}&{$query}")->json(
            'words',
        ),
        'code',
    );
    expect($words("with={$with}"))
        ->not->toContain('mix.leftover-other')
        ->and($words('with='))
        ->toContain('mix.leftover-other');
    // the sheet is a copy of another: its gates are not of this test
    $recipe = $this->api('GET', "/steps/{$step->id}/recipe")->json();
    $sheet = Sheet::create([
        'crew_id' => User::query()->firstOrFail()->crew_id,
        'number' => 9002,
        'snapshot' =>
            ['standId' => $this->standId('spotted-knapweed'), 'stepId' => $step->id, 'recipe' => $recipe] +
            Sheet::query()->firstOrFail()->snapshot,
        'issued_by' => User::query()->firstOrFail()->id,
        'issued_at' => now(),
    ]);
    $sheet->steps()->attach($step->id);
    $record = $this->api('POST', "/sheets/{$sheet->id}/records", [
        'workedOn' => '2026-09-03',
        'start' => '07:00',
        'stop' => '08:30',
        'people' => ['Ada'],
        'treated' => 40,
        'mixUsed' => '4 gal',
        'weather' => 'dry',
        'wind' => '3 mph',
        'temperature' => '64 F',
    ])
        ->assertCreated()
        ->json('body');
    // 4 US gal at 0.12 % are 18.17 mL of 360 g/L, at 0.5 % 75.71 mL of 480 g/L, over the 15 % of the meadow that the
    // weed covers
    $hectares =
        (0.15 * (float) Stand::query()->findOrFail($this->standId('spotted-knapweed'))->patch->outline?->area_m2) /
        10000;
    expect(array_column($record['activesPerArea'], 'active'))
        ->toBe(['clopyralid', '2-4-d'])
        ->and(
            (float) Thicket\Measure\Quantity::of(
                $record['activesPerArea'][0]['value'],
                Thicket\Measure\Unit::One,
            )->amount->toFloat(),
        )
        ->toEqualWithDelta((0.0181699 * 360) / $hectares, 0.001)
        ->and(
            (float) Thicket\Measure\Quantity::of(
                $record['activesPerArea'][1]['value'],
                Thicket\Measure\Unit::One,
            )->amount->toFloat(),
        )
        ->toEqualWithDelta((0.0757082 * 480) / $hectares, 0.001)
        ->and(array_column($record['productsUsed'], 'product'))
        ->toBe(['Clopyralid 360 g/L, water-borne', '2,4-D amine 480 g/L, water-borne'])
        ->and($record['batches'][0]['drawn'])
        ->toHaveCount(2);
    // and the next work with 2,4-D there reckons with it, whichever product it is in
    expect(
        collect(
            app(App\Repositories\PriorApplicationsRepository::class)
                ->before(Stand::query()->withTrail()->findOrFail($this->standId('wild-parsnip')), new Step(), ['2-4-d'])
                ['2-4-d']->loads('season'),
        )->count(),
    )->toBe(1);
});

it('shuts the gates of a tank by its strictest card, and takes a newer card of the second product too', function () {
    $step = tankOfTwo($this);
    $stand = $this->standId('spotted-knapweed');
    $gates = fn(): array => array_column($this->api('GET', "/stands/{$stand}/gates")->json('gates'), 'code');
    expect($gates())->not->toContain('card-newer', 'licence', 'ceiling-left');
    $version = versionOf('2,4-D');
    $this->api('POST', '/shed/cards', [
        'cardId' => $version->label_card_id,
        'card' =>
            ['licensedOnly' => true, 'siteLimits' => [['sites' => ['pasture'], 'perYear' => '0.1 kg ae/ha']]] +
            $version->body,
    ])->assertCreated();
    $newer = versionOf('2,4-D');
    $newer->update(['confirmed_at' => now(), 'confirmed_by' => User::query()->firstOrFail()->id]);
    expect($gates())->toContain('card-newer');
    $etag = $this->api('GET', "/steps/{$step->id}/recipe")
        ->assertJsonPath('partners.0.newer.version', $newer->version)
        ->headers->get('ETag');
    $this->api('PUT', "/steps/{$step->id}/card", [], ['If-Match' => $etag])
        ->assertOk()
        ->assertJsonPath('with', $newer->id)
        ->assertJsonPath('finished', false);
    App\Models\Person::query()->update(['licence_until' => '2020-01-01']);
    expect($gates())->toContain('licence', 'ceiling-left')->not->toContain('card-newer');
});

it('counts sheets that are out, how often, and what a silent card cannot tell', function () {
    $step = maples($this);
    $stand = Stand::query()->findOrFail($this->standId('norway-maple'));
    $planned = fn() => $this->api('GET', "/steps/{$step->id}/recipe")->json('ceiling');
    $before = $planned();
    // another job's sheet on the same patch, not signed yet, puts 5 kg there
    $other = Step::create([
        'patch_id' => $stand->patch_id,
        'position' => 9,
        'method' => 'basal-bark',
        'active' => 'triclopyr-ester',
        'schools' => [],
    ]);
    $sheet = Sheet::create([
        'crew_id' => User::query()->firstOrFail()->crew_id,
        'number' => 9003,
        'snapshot' => ['puts' => [['active' => 'triclopyr-ester', 'value' => '5000', 'unit' => 'g_ae/ha']]],
        'issued_by' => User::query()->firstOrFail()->id,
        'issued_at' => '2026-09-01 10:00:00',
    ]);
    $sheet->steps()->attach($other->id);
    expect((float) $planned()['planned']['value'])->toEqualWithDelta((float) $before['planned']['value'] + 5000, 0.01);
    $sheet->update(['withdrawn_at' => now()]);
    expect($planned()['planned']['value'])->toBe($before['planned']['value']);

    $version = LabelCardVersion::query()->findOrFail($step->label_card_version_id);
    $gates = function (array $body) use ($version, $stand): array {
        $version->update(['body' => $body + $version->body]);

        return collect($this->api('GET', "/stands/{$stand->id}/gates")->json('gates'))
            ->pluck('text.us', 'code')
            ->all();
    };
    $signed = Record::query()
        ->firstOrFail()
        ->replicate(['id']);
    $body = json_decode($signed->body, true);
    $signed
        ->fill([
            'id' => (string) Illuminate\Support\Str::uuid7(),
            'seq' => 990,
            'patch_id' => $stand->patch_id,
            'worked_on' => '2026-05-05',
            'body' => json_encode(
                ['activesPerArea' => [['active' => 'triclopyr-ester', 'value' => '10', 'unit' => 'g_ae/ha']]] + $body,
            ),
        ])
        ->save();
    expect($gates(['applications' => 1])['ceiling-times'] ?? '')
        ->toContain('1')
        ->and($gates(['applications' => 2, 'applicationMaximum' => '1 g ae/ha'])['ceiling-application'] ?? '')
        ->toContain('at once')
        ->and($gates(['applicationMaximum' => null, 'intervalDays' => null])['interval-unknown'] ?? '')
        ->toContain('5 May 2026')
        ->and($gates(['intervalDays' => 200])['interval'] ?? '')
        ->not->toBe('')
        ->and($gates(['intervalDays' => 30]))
        ->not->toHaveKeys(['interval', 'interval-unknown', 'ceiling-times', 'ceiling-application']);
});

it(
    'offers fuel oil only by a card that lists it, and lets it be mixed only where a lead has read the law',
    function () {
        $step = maples($this);
        $get = fn(string $query = '') => $this->api('GET', "/steps/{$step->id}/recipe?{$query}");
        expect($get()->json('carriers'))->toBe(['water', 'oil']);
        $version = LabelCardVersion::query()->findOrFail($step->label_card_version_id);
        $version->update(['body' => ['carriers' => ['oil', 'fuel-oil']] + $version->body]);
        expect($get()->json('carriers'))
            ->toBe(['water', 'oil', 'fuel-oil'])
            ->and(array_column($get('carrier=fuel-oil')->json('words'), 'code'))
            ->toContain('mix.fuel-oil-law');
        $revision = '"' . $this->api('GET', '/shed')->json('revision') . '"';
        $this->as('cleo')
            ->api('PATCH', '/shed/choices', ['fuelOil' => true], ['If-Match' => $revision])
            ->assertStatus(403);
        $this->as()
            ->api('PATCH', '/shed/choices', ['fuelOil' => true], ['If-Match' => $revision])
            ->assertOk()
            ->assertJsonPath('fuelOil', true);
        $lawful = $get('carrier=fuel-oil')->assertOk();
        expect(array_column($lawful->json('words'), 'code'))
            ->not->toContain('mix.fuel-oil-law')
            ->and(array_column($lawful->json('loads.0.steps'), 'what'))
            ->toContain('fuel-oil-to-mark');
        $get('carrier=petrol')->assertStatus(422)->assertJsonPath('errors.0.pointer', '/carrier');
    },
);

it('asks by water whether additives are permitted there, and keeps the answer', function () {
    $step = knapweed($this);
    $stand = Stand::query()->findOrFail($this->standId('spotted-knapweed'));
    $this->api('POST', "/patches/{$stand->patch_id}/observations", [
        'facts' => [['fact' => 'water-distance', 'value' => '20 m', 'at' => '2026-09-03T08:00:00-05:00']],
    ])->assertCreated();
    $asked = $this->api('GET', "/steps/{$step->id}/recipe?dye=0.25 fl oz/gal")->assertOk();
    expect(array_column($asked->json('words'), 'code'))
        ->toContain('mix.additives-for-water')
        ->and($asked->json('finished'))
        ->toBeFalse();
    $this->api(
        'PUT',
        "/steps/{$step->id}/recipe",
        ['dye' => '0.25 fl oz/gal', 'additivesForWater' => 'yes'],
        ['If-Match' => $asked->headers->get('ETag')],
    )
        ->assertOk()
        ->assertJsonPath('additivesForWater', true);
    expect(
        array_column($this->api('GET', "/steps/{$step->id}/recipe?additivesForWater=no")->json('words'), 'code'),
    )->toContain('mix.additives-not-for-water');
    $this->api('GET', "/steps/{$step->id}/recipe?additivesForWater=perhaps")
        ->assertStatus(422)
        ->assertJsonPath('errors.0.pointer', '/additivesForWater');
});
