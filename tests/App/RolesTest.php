<?php

declare(strict_types=1);

use App\Models\Crew;
use App\Models\User;
use App\Support\ImportProgress;
use App\Support\JobClock;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Illuminate\Support\Facades\Route;

/*
 * The table of routes x roles: who may at least ask for it. Every route of the API stands here, or the first test says
 * which does not.
 */
const ROUTES = [
    'anybody' => [
        'GET health',
        'GET session',
        'POST session',
        'POST setup',
        'GET calendar/{token}.ics',
        'GET invites/{token}',
        'POST invites/{token}',
        'POST password-reset',
        'PUT password-reset',
    ],
    'viewer' => [
        'DELETE session',
        'GET session/calendar',
        'POST session/calendar',
        'DELETE session/calendar',
        'GET calendar.ics',
        'POST session/password',
        'PATCH session',
        'GET me',
        'PATCH me',
        'PUT me/password',
        'POST me/second-factor',
        'PUT me/second-factor',
        'DELETE me/second-factor',
        'POST me/recovery-codes',
        'DELETE me/sessions',
        'DELETE me/sessions/{open}',
        'POST me/tokens',
        'DELETE me/tokens/{accessToken}',
        'GET me/data',
        'GET crew',
        'GET crew/acts',
        'GET today',
        'GET search',
        'POST readings',
        'GET handbook',
        'GET handbook/species',
        'GET handbook/comparison',
        'GET handbook/species/{id}',
        'GET grounds',
        'GET grounds/{ground}/patches',
        'GET grounds/{ground}/map',
        'GET grounds/{ground}/keepers',
        'GET grounds/{ground}/export',
        'POST outlines',
        'POST places',
        'GET patches/{patch}',
        'GET patches/{patch}/outlines',
        'GET stands/{stand}',
        'GET stands/{stand}/count',
        'GET stands/{stand}/tally.csv',
        'POST identify',
        'GET stands/{stand}/prospects',
        'GET sightings',
        'GET sightings/{sighting}',
        'GET records.csv',
        'GET accounts.csv',
        'GET accounts',
        'GET sightings.csv',
        'GET photos/{photo}/{size}',
        'GET stands/{stand}/board',
        'GET stands/{stand}/board/row',
        'GET stands/{stand}/programmes',
        'GET stands/{stand}/comparison',
        'GET stands/{stand}/costs',
        'GET stands/{stand}/outlook',
        'GET stands/{stand}/year',
        'GET stands/{stand}/gates',
        'GET steps/{step}/recipe',
        'GET sheets/{sheet}',
        'GET sheets/{sheet}/notes',
        'GET sheets/{sheet}/coverage',
        'GET stands/{stand}/sheet-draft',
        'GET records',
        'GET records/{record}',
        'GET seal',
        'GET shed',
        'GET shed/cards/{card}/export',
        'GET shed/shopping',
        'GET shed/shopping.csv',
        'GET mix/sums',
        'POST mix/sums',
        'POST mix/purchase',
        'GET steps/{step}/batches',
        'POST papers',
        'GET stands/{stand}/hours',
        'GET stands/{stand}/hours/hour',
        'GET today/hours',
        'GET papers/{paper}',
        'GET papers/{paper}/file',
        'GET stand-ins/gps',
        'PUT stand-ins/weather',
        'GET season-plan',
        'POST season-plan/proposal',
        'GET calendar',
        'GET grounds/{ground}/weather',
        'GET grounds/{ground}/probe',
    ],
    'member' => [
        'POST grounds/{ground}/imports/preview',
        'GET imports/{import}',
        'DELETE imports/{import}',
        'POST stands/{stand}/tally/csv',
        'POST grounds',
        'PATCH grounds/{ground}',
        'POST grounds/{ground}/patches',
        'POST grounds/{ground}/keepers',
        'POST grounds/{ground}/imports',
        'PATCH patches/{patch}',
        'POST patches/{patch}/split',
        'POST patches/{patch}/merge',
        'POST patches/{patch}/hole',
        'POST patches/{patch}/archive',
        'POST patches/{patch}/zones',
        'DELETE zones/{zone}',
        'POST patches/{patch}/keepers',
        'PUT keepers/{keeper}',
        'DELETE keepers/{keeper}',
        'POST patches/{patch}/observations',
        'POST patches/{patch}/stands',
        'POST stands/{stand}/sightings',
        'POST sightings',
        'PUT sightings/{sighting}',
        'POST sightings/{sighting}/photos',
        'PUT stands/{stand}/tally',
        'POST stands/{stand}/plot-plans',
        'PUT stands/{stand}/assignee',
        'POST stands/{stand}/close',
        'POST stands/{stand}/programme',
        'DELETE stands/{stand}/programme',
        'PUT stands/{stand}/weights',
        'PUT stands/{stand}/step',
        'PUT steps/{step}/recipe',
        'PUT steps/{step}/card',
        'POST steps/{step}/batches',
        'POST sheets/{sheet}/notes',
        'POST sheets/{sheet}/photos',
        'POST sheets/{sheet}/tracks',
        'POST sheets/{sheet}/records',
        'POST records/{record}/amendments',
        'POST standing-trees/{standing}/looks',
        'POST stands/{stand}/duties',
        'POST stands/{stand}/patrols',
        'POST records/{record}/round',
        'PUT stands/{stand}/outlook',
        'DELETE duties/{duty}',
        'POST records/{record}/look-backs',
        'POST shed/containers',
        'PATCH shed/containers/{container}',
        'DELETE shed/containers/{container}',
        'POST shed/containers/{container}/draws',
        'POST shed/sprayers',
        'PUT shed/sprayers/{sprayer}',
        'POST shed/sprayers/{sprayer}/cleanings',
        'POST shed/sprayers/{sprayer}/calibrations',
        'POST shed/tools',
        'DELETE shed/tools/{tool}',
        'POST shed/tools/{tool}/loans',
        'POST shed/loans/{loan}/return',
        'POST shed/cards',
        'POST season-plan',
        'PUT season-plan/terms',
        'PUT season-plan/jobs/{step}',
        'PUT season-plan/jobs/{step}/time',
        'POST season-plan/away',
        'DELETE season-plan/away/{away}',
        'POST season-plan/busy',
        'PUT stands/{stand}/priority',
        'POST grounds/{ground}/weather',
        'DELETE grounds/{ground}/weather',
    ],
    'lead' => [
        'DELETE photos/{photo}',
        'PUT handbook/species/{id}/listing',
        'POST stands/{stand}/sheets',
        'POST sheets/{sheet}/withdraw',
        'POST shed/people',
        'PUT shed/people/{person}',
        'PUT season-plan/people/{person}',
        'PUT shed/cards/{card}/packs',
        'POST shed/card-versions/{version}/confirm',
        'PATCH shed/choices',
        'PUT shed/lessons/{lesson}',
        'POST shed/cards/starters',
        'PATCH crew',
        'POST crew/close',
        'GET crew/bundle',
        'POST crew/invites',
        'DELETE crew/invites/{invite}',
        'PATCH crew/members/{member}',
        'DELETE crew/members/{member}',
        'POST crew/members/{member}/reset-code',
    ],
];
const ROLES = ['nobody' => 0, 'viewer' => 1, 'member' => 2, 'lead' => 3];

it('has every route in the table, and none that is not there', function () {
    $there = [];
    foreach (Route::getRoutes()->getRoutes() as $route) {
        foreach (str_starts_with($route->uri(), 'api/v1/') ? array_diff($route->methods(), ['HEAD']) : [] as $method) {
            $there[] = "{$method} " . substr($route->uri(), 7);
        }
    }
    expect($there)->toEqualCanonicalizing(array_merge(...array_values(ROUTES)));
});

it('lets in from the role of the table on, and nobody of another crew to what is ours', function (string $role) {
    $ids = ['size' => 'thumb', 'id' => 'garlic-mustard'];
    config(['thicket.probe_url' => 'http://probe.example']);
    Http::fake([
        'probe.example/*' => Http::response([
            'at' => app(JobClock::class)->now()->setTimezone(new DateTimeZone('UTC'))->format('Y-m-d\TH:i:s\Z'),
            'soilC' => 18,
        ]),
    ]);
    foreach (
        [
            'ground' => 'grounds',
            'patch' => 'patches',
            'stand' => 'stands',
            'sheet' => 'sheets',
            'record' => 'records',
            'sighting' => 'sightings',
            'photo' => 'photos',
            'card' => 'label_cards',
            'version' => 'label_card_versions',
            'container' => 'containers',
            'sprayer' => 'sprayers',
            'tool' => 'tools',
            'person' => 'people',
            'loan' => 'loans',
            'away' => 'days_away',
            'lesson' => 'record_lessons',
            'keeper' => 'keepers',
        ]
        as $name => $table
    ) {
        $ids[$name] = (string) DB::table($table)->orderBy('id')->value('id');
    }
    $ids['step'] = (string) DB::table('steps')->whereNotNull('active')->orderBy('id')->value('id');
    $ids['stand'] = (string) DB::table('stand_step')->where('step_id', $ids['step'])->value('stand_id');
    $lead = User::query()->where('role', 'lead')->firstOrFail();
    $ids['paper'] = App\Models\Paper::create([
        'crew_id' => $lead->crew_id,
        'asked_by' => $lead->id,
        'kind' => 'sheet',
        'name' => 'x.pdf',
        'digest' => str_repeat('0', 64),
        'state' => 'ready',
    ])->id;
    $ids['duty'] = App\Models\SettledDuty::query()->firstOrFail()->id;
    $ids['standing'] = App\Models\StandingTree::create([
        'crew_id' => $lead->crew_id,
        'record_id' => DB::table('records')->orderBy('id')->value('id'),
        'patch_id' => $ids['patch'],
        'count' => 3,
        'snags' => false,
        'since' => '2025-09-02',
    ])->id;
    $ids['zone'] = App\Models\Zone::create([
        'patch_id' => $ids['patch'],
        'name' => 'Edge',
        'outline' => ['type' => 'Polygon', 'coordinates' => []],
        'area_m2' => '1',
    ])->id;
    $other = Crew::create(['name' => 'Elsewhere', 'settings' => []]);
    $user = match ($role) {
        'nobody' => null,
        'lead' => $lead,
        'stranger' => User::create([
            'crew_id' => $other->id,
            'role' => 'lead',
            'name' => 'Odo Farrow',
            'email' => 'odo@elsewhere.example',
            'password' => 'nine grey barrows',
            'units' => 'us',
            'light' => 'day',
        ])->refresh(),
        default => User::create([
            'crew_id' => $lead->crew_id,
            'role' => $role,
            'name' => 'Ida Moss',
            'email' => 'ida@alderbrook.example',
            'password' => 'nine grey barrows',
            'units' => 'us',
            'light' => 'day',
        ])->refresh(),
    };
    $ids['member'] = User::create([
        'crew_id' => $lead->crew_id,
        'role' => 'viewer',
        'name' => 'Nan Reed',
        'email' => 'nan@alderbrook.example',
        'password' => 'nine grey barrows',
    ])->id;
    $ids['invite'] = App\Models\Invite::create([
        'crew_id' => $lead->crew_id,
        'role' => 'viewer',
        'token_hash' => str_repeat('0', 64),
        'made_by' => $lead->id,
        'expires_at' => now()->addDay(),
    ])->id;
    $ids['token'] = str_repeat('a', 43);
    if ($user !== null) {
        $ids['accessToken'] = (string) $user->createToken('script')->accessToken->getKey();
        DB::table('sessions')->insert([
            'id' => 'another browser',
            'user_id' => $user->id,
            'payload' => '',
            'last_activity' => time(),
        ]);
        $ids['open'] = App\Repositories\OpenSessions::of($user, '')[0]['id'];
    } else {
        [$ids['accessToken'], $ids['open']] = ['1', str_repeat('0', 32)];
    }
    $ids['import'] = '0198c1d2-7e4a-7b3c-8f10-2a9b6d5e4c31';
    (new ImportProgress())->begin(($role === 'stranger' || $user === null ? $lead : $user)->id, $ids['import'], 3);
    mildWeather();
    $wrong = [];
    foreach (ROUTES as $least => $routes) {
        foreach ($routes as $route) {
            [$method, $path] = explode(' ', $route);
            // holds its line open; StandInTest has it
            if ($route === 'GET stand-ins/gps') {
                continue;
            }
            $this->flushSession();
            app('auth')->forgetGuards();
            $user === null || $this->actingAs($user, 'web')->withSession(["password_given.{$user->id}" => time()]);
            DB::beginTransaction();
            $url = preg_replace_callback(
                '/\{(\w+)\}/',
                static fn(array $m): string => $m[1] === 'id' && str_contains($path, 'sightings')
                    ? $ids['sighting']
                    : $ids[$m[1]],
                $path,
            );
            $headers = [
                'CONTENT_TYPE' => str_ends_with($path, '/photos') ? 'multipart/form-data' : 'application/json',
                'HTTP_ACCEPT' => 'application/json',
                'HTTP_REFERER' => config('app.url'),
            ];
            $status = $this->call(
                $method,
                "/api/v1/{$url}",
                [],
                [],
                [],
                $headers,
                $method === 'GET' ? null : '{}',
            )->getStatusCode();
            DB::rollBack();
            $ours = preg_match('/\{(?!id|size|open|accessToken)\w+\}/', $path) === 1;
            $right = match (true) {
                $least === 'anybody' => !in_array($status, [401, 403], true) && $status < 500,
                $role === 'nobody' => $status === 401,
                $role === 'stranger' => $ours ? $status === 404 : $status < 500,
                ROLES[$role] < ROLES[$least] => $status === 403,
                default => !in_array($status, [401, 403, 404], true) && $status < 500,
            };
            $right || ($wrong[] = "{$role}: {$route} answered {$status}");
        }
    }
    expect($wrong)->toBe([]);
})->with(['nobody', 'viewer', 'member', 'lead', 'stranger']);
