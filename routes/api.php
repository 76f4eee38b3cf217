<?php

declare(strict_types=1);

use App\Http\Controllers\AccessTokenController;
use App\Http\Controllers\AccountController;
use App\Http\Controllers\AmendmentController;
use App\Http\Controllers\BatchController;
use App\Http\Controllers\BoardController;
use App\Http\Controllers\CalendarController;
use App\Http\Controllers\CalibrationController;
use App\Http\Controllers\CleaningController;
use App\Http\Controllers\ComparisonController;
use App\Http\Controllers\ContainerController;
use App\Http\Controllers\CountController;
use App\Http\Controllers\CrewController;
use App\Http\Controllers\DutyController;
use App\Http\Controllers\ExchangeController;
use App\Http\Controllers\FieldController;
use App\Http\Controllers\GroundController;
use App\Http\Controllers\HandbookController;
use App\Http\Controllers\HoursController;
use App\Http\Controllers\IdentifyController;
use App\Http\Controllers\InviteController;
use App\Http\Controllers\LabelCardController;
use App\Http\Controllers\LessonController;
use App\Http\Controllers\ListingController;
use App\Http\Controllers\LoanController;
use App\Http\Controllers\LookBackController;
use App\Http\Controllers\MeController;
use App\Http\Controllers\MemberController;
use App\Http\Controllers\ObservationController;
use App\Http\Controllers\OpenSessionController;
use App\Http\Controllers\OutlineController;
use App\Http\Controllers\OutlookController;
use App\Http\Controllers\PaperController;
use App\Http\Controllers\PasswordResetController;
use App\Http\Controllers\PatchController;
use App\Http\Controllers\PatchOutlineController;
use App\Http\Controllers\PatchStandController;
use App\Http\Controllers\PatrolController;
use App\Http\Controllers\PersonController;
use App\Http\Controllers\PhotoController;
use App\Http\Controllers\PlotPlanController;
use App\Http\Controllers\ProgrammeController;
use App\Http\Controllers\ProtectedFeatureController;
use App\Http\Controllers\ReadingController;
use App\Http\Controllers\RecipeController;
use App\Http\Controllers\RecordController;
use App\Http\Controllers\RoundController;
use App\Http\Controllers\SealController;
use App\Http\Controllers\SearchController;
use App\Http\Controllers\SeasonController;
use App\Http\Controllers\SecondFactorController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\ShedController;
use App\Http\Controllers\SheetController;
use App\Http\Controllers\ShoppingController;
use App\Http\Controllers\SightingController;
use App\Http\Controllers\SprayerController;
use App\Http\Controllers\StandController;
use App\Http\Controllers\StandInController;
use App\Http\Controllers\StandingTreeController;
use App\Http\Controllers\StandSightingController;
use App\Http\Controllers\StepCardController;
use App\Http\Controllers\StepController;
use App\Http\Controllers\SumController;
use App\Http\Controllers\TallyController;
use App\Http\Controllers\TallyTableController;
use App\Http\Controllers\TodayController;
use App\Http\Controllers\ToolController;
use App\Http\Controllers\WeatherController;
use App\Http\Controllers\WeightController;
use App\Http\Controllers\ZoneController;
use App\Http\Middleware\ByToken;
use App\Http\Middleware\InTurn;
use App\Http\Middleware\KeepsTrail;
use App\Http\Middleware\KeptAnswers;
use App\Photos\PhotoStore;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Route;

Route::get('health', static fn(): JsonResponse => new JsonResponse(['status' => 'ok']))->withoutMiddleware('api');
Route::get('session', [SessionController::class, 'show']);
Route::post('session', [SessionController::class, 'store']);
Route::post('setup', [SessionController::class, 'setup']);
Route::get('invites/{token}', [InviteController::class, 'show']);
Route::post('invites/{token}', [InviteController::class, 'accept']);
Route::post('password-reset', [PasswordResetController::class, 'store']);
Route::put('password-reset', [PasswordResetController::class, 'update']);

// opened as pages of their own, so by the plain session: a browser may send no referer there
Route::get('papers/{paper}/file', [PaperController::class, 'file'])
    ->withoutMiddleware('api')
    ->middleware(['web', 'auth:web']);
Route::get('calendar.ics', [CalendarController::class, 'file'])
    ->withoutMiddleware('api')
    ->middleware(['web', 'auth:web']);
// read by calendar programs: the address is the key
Route::get('calendar/{token}.ics', [CalendarController::class, 'subscribed'])
    ->where('token', '[A-Za-z0-9]{43}')
    ->withoutMiddleware('api')
    ->middleware('throttle:60,1');
Route::get('grounds/{ground}/export', [ExchangeController::class, 'export'])
    ->withoutMiddleware('api')
    ->middleware(['web', 'auth:web']);
Route::get('stands/{stand}/tally.csv', [TallyTableController::class, 'show'])
    ->withoutMiddleware('api')
    ->middleware(['web', 'auth:web']);

Route::get('seal', [SealController::class, 'show'])
    ->withoutMiddleware('api')
    ->middleware(['web', 'auth:web']);
Route::get('shed/shopping.csv', [ShoppingController::class, 'csv'])
    ->withoutMiddleware('api')
    ->middleware(['web', 'auth:web']);
Route::get('accounts.csv', [AccountController::class, 'csv'])
    ->withoutMiddleware('api')
    ->middleware(['web', 'auth:web']);
Route::get('records.csv', [RecordController::class, 'csv'])
    ->withoutMiddleware('api')
    ->middleware(['web', 'auth:web']);
Route::get('sightings.csv', [SightingController::class, 'csv'])
    ->withoutMiddleware('api')
    ->middleware(['web', 'auth:web']);
Route::get('photos/{photo}/{size}', [PhotoController::class, 'file'])
    ->whereIn('size', PhotoStore::SIZES)
    ->withoutMiddleware('api')
    ->middleware(['web', 'auth:web']);

Route::get('me/data', [MeController::class, 'data'])
    ->withoutMiddleware('api')
    ->middleware(['web', 'auth:web']);
Route::get('crew/bundle', [CrewController::class, 'bundle'])
    ->withoutMiddleware('api')
    ->middleware(['web', 'auth:web', 'can:lead']);

Route::middleware(['auth:sanctum', ByToken::class])->group(static function (): void {
    // dear to work out, and the same till somebody of the crew writes
    Route::middleware(KeptAnswers::class)->group(static function (): void {
        Route::get('today', TodayController::class);
        Route::get('handbook', [HandbookController::class, 'show']);
        Route::get('grounds', [GroundController::class, 'index']);
        Route::get('grounds/{ground}/patches', [GroundController::class, 'patches']);
        Route::get('stands/{stand}', [StandController::class, 'show']);
        Route::get('stands/{stand}/board', [BoardController::class, 'show']);
        Route::get('stands/{stand}/board/row', [BoardController::class, 'row']);
        Route::get('stands/{stand}/programmes', [ProgrammeController::class, 'index']);
        Route::get('stands/{stand}/comparison', [ComparisonController::class, 'show']);
        Route::get('stands/{stand}/costs', [ComparisonController::class, 'costs']);
        Route::get('stands/{stand}/outlook', [OutlookController::class, 'show']);
        Route::get('stands/{stand}/year', [BoardController::class, 'year']);
        Route::get('season-plan', [SeasonController::class, 'show']);
        Route::get('calendar', [CalendarController::class, 'days']);
    });
    Route::get('session/calendar', [CalendarController::class, 'show']);
    // in turn, for a person has one address; no answer is kept, for it tells the secret
    Route::post('session/calendar', [CalendarController::class, 'store'])->middleware(InTurn::class);
    Route::delete('session/calendar', [CalendarController::class, 'destroy'])->middleware(InTurn::class);
    Route::delete('session', [SessionController::class, 'destroy']);
    Route::post('session/password', [SessionController::class, 'password']);
    Route::patch('session', [SessionController::class, 'update']);
    // one's own account
    Route::get('me', [MeController::class, 'show']);
    Route::patch('me', [MeController::class, 'update']);
    Route::put('me/password', [MeController::class, 'password']);
    Route::post('me/second-factor', [SecondFactorController::class, 'store']);
    Route::put('me/second-factor', [SecondFactorController::class, 'update']);
    Route::delete('me/second-factor', [SecondFactorController::class, 'destroy']);
    Route::post('me/recovery-codes', [SecondFactorController::class, 'recoveryCodes']);
    Route::delete('me/sessions', [OpenSessionController::class, 'destroyOthers']);
    Route::delete('me/sessions/{open}', [OpenSessionController::class, 'destroy']);
    Route::post('me/tokens', [AccessTokenController::class, 'store']);
    Route::delete('me/tokens/{accessToken}', [AccessTokenController::class, 'destroy']);
    // the crew
    Route::get('crew', [CrewController::class, 'show']);
    Route::get('crew/acts', [CrewController::class, 'acts']);
    // in turn and on the trail; no answer is kept, for some tell a secret
    Route::middleware([InTurn::class, KeepsTrail::class])->group(static function (): void {
        Route::patch('crew', [CrewController::class, 'update']);
        Route::post('crew/close', [CrewController::class, 'close']);
        Route::post('crew/invites', [InviteController::class, 'store']);
        Route::delete('crew/invites/{invite}', [InviteController::class, 'destroy']);
        Route::patch('crew/members/{member}', [MemberController::class, 'update']);
        Route::delete('crew/members/{member}', [MemberController::class, 'destroy']);
        Route::post('crew/members/{member}/reset-code', [MemberController::class, 'resetCode']);
    });
    Route::post('papers', [PaperController::class, 'store'])->middleware(InTurn::class);
    Route::get('papers/{paper}', [PaperController::class, 'show']);
    Route::get('search', [SearchController::class, 'index']);
    Route::post('readings', [ReadingController::class, 'store']);
    Route::get('handbook/species', [HandbookController::class, 'find']);
    Route::get('handbook/comparison', [HandbookController::class, 'compare']);
    Route::get('handbook/species/{id}', [HandbookController::class, 'species']);
    Route::get('grounds/{ground}/map', [GroundController::class, 'map']);
    Route::get('grounds/{ground}/keepers', [ProtectedFeatureController::class, 'index']);
    // looks into files for those who may keep what is in them
    Route::post('grounds/{ground}/imports/preview', [ExchangeController::class, 'preview'])->middleware('can:write');
    // beside the import itself, which holds the crew's turn
    Route::get('imports/{import}', [ExchangeController::class, 'progress'])->middleware('can:write');
    Route::delete('imports/{import}', [ExchangeController::class, 'stop'])->middleware('can:write');
    Route::post('outlines', [OutlineController::class, 'trace']);
    Route::post('places', [OutlineController::class, 'place']);
    Route::get('patches/{patch}', [PatchController::class, 'show']);
    Route::get('patches/{patch}/outlines', [PatchOutlineController::class, 'index']);
    Route::get('stands/{stand}/count', [CountController::class, 'show']);
    Route::post('stands/{stand}/tally/csv', [TallyTableController::class, 'read'])->middleware('can:write');
    if (app()->environment('demo', 'testing')) {
        Route::get('stand-ins/gps', [StandInController::class, 'gps']);
        Route::put('stand-ins/weather', [StandInController::class, 'weather']);
    }
    // reckons, and keeps nothing
    Route::post('season-plan/proposal', [SeasonController::class, 'propose']);
    Route::post('identify', [IdentifyController::class, 'rank']);
    Route::get('stands/{stand}/hours', [HoursController::class, 'show']);
    Route::get('stands/{stand}/hours/hour', [HoursController::class, 'hour']);
    Route::get('today/hours', [HoursController::class, 'today']);
    Route::get('grounds/{ground}/weather', [WeatherController::class, 'show']);
    Route::get('grounds/{ground}/probe', [WeatherController::class, 'probe']);
    Route::get('stands/{stand}/prospects', [StandController::class, 'prospects']);
    Route::get('sightings', [SightingController::class, 'index']);
    Route::get('sightings/{sighting}', [SightingController::class, 'show'])->whereUuid('sighting');
    Route::get('stands/{stand}/gates', [SheetController::class, 'gates']);
    Route::get('steps/{step}/recipe', [RecipeController::class, 'show']);
    Route::get('sheets/{sheet}', [SheetController::class, 'show']);
    Route::get('sheets/{sheet}/notes', [FieldController::class, 'show']);
    Route::get('sheets/{sheet}/coverage', [FieldController::class, 'coverage']);
    Route::get('stands/{stand}/sheet-draft', [SheetController::class, 'draft']);
    Route::get('accounts', [AccountController::class, 'show']);
    Route::get('records', [RecordController::class, 'index']);
    Route::get('records/{record}', [RecordController::class, 'show']);
    Route::get('shed', [ShedController::class, 'show']);
    Route::get('shed/cards/{card}/export', [LabelCardController::class, 'export']);
    Route::get('shed/shopping', [ShoppingController::class, 'show']);
    Route::get('mix/sums', [SumController::class, 'index']);
    Route::post('mix/sums', [SumController::class, 'solve']);
    Route::post('mix/purchase', [SumController::class, 'purchase']);
    Route::get('steps/{step}/batches', [BatchController::class, 'index']);

    Route::middleware('writes')->group(static function (): void {
        Route::post('grounds', [GroundController::class, 'store']);
        Route::patch('grounds/{ground}', [GroundController::class, 'update']);
        Route::post('grounds/{ground}/patches', [PatchController::class, 'store']);
        Route::post('grounds/{ground}/keepers', [ProtectedFeatureController::class, 'store']);
        Route::post('grounds/{ground}/imports', [ExchangeController::class, 'store']);
        Route::patch('patches/{patch}', [PatchController::class, 'update']);
        Route::post('patches/{patch}/split', [PatchOutlineController::class, 'split']);
        Route::post('patches/{patch}/merge', [PatchOutlineController::class, 'merge']);
        Route::post('patches/{patch}/hole', [PatchOutlineController::class, 'hole']);
        Route::post('patches/{patch}/archive', [PatchController::class, 'archive']);
        Route::post('patches/{patch}/zones', [ZoneController::class, 'store']);
        Route::delete('zones/{zone}', [ZoneController::class, 'destroy']);
        Route::post('patches/{patch}/keepers', [ProtectedFeatureController::class, 'storeBesidePatch']);
        Route::put('keepers/{keeper}', [ProtectedFeatureController::class, 'update']);
        Route::delete('keepers/{keeper}', [ProtectedFeatureController::class, 'destroy']);
        Route::post('patches/{patch}/observations', [ObservationController::class, 'store']);
        Route::post('patches/{patch}/stands', [PatchStandController::class, 'store']);
        Route::post('stands/{stand}/sightings', [StandSightingController::class, 'store']);
        Route::put('handbook/species/{id}/listing', [ListingController::class, 'update']);
        Route::post('sightings', [SightingController::class, 'store']);
        Route::put('sightings/{sighting}', [SightingController::class, 'update']);
        Route::post('sightings/{sighting}/photos', [PhotoController::class, 'store']);
        Route::delete('photos/{photo}', [PhotoController::class, 'destroy']);
        Route::put('stands/{stand}/tally', [TallyController::class, 'update']);
        Route::post('stands/{stand}/plot-plans', [PlotPlanController::class, 'store']);
        Route::put('stands/{stand}/assignee', [StandController::class, 'assign']);
        Route::post('stands/{stand}/close', [StandController::class, 'close']);
        Route::post('stands/{stand}/programme', [ProgrammeController::class, 'store']);
        Route::delete('stands/{stand}/programme', [ProgrammeController::class, 'destroy']);
        Route::put('stands/{stand}/weights', [WeightController::class, 'update']);
        Route::put('stands/{stand}/outlook', [OutlookController::class, 'update']);
        Route::put('stands/{stand}/step', [StepController::class, 'update']);
        Route::put('steps/{step}/recipe', [RecipeController::class, 'update']);
        Route::post('stands/{stand}/duties', [DutyController::class, 'store']);
        Route::delete('duties/{duty}', [DutyController::class, 'destroy']);
        Route::post('stands/{stand}/sheets', [SheetController::class, 'store']);
        Route::post('sheets/{sheet}/notes', [FieldController::class, 'store']);
        Route::post('sheets/{sheet}/photos', [PhotoController::class, 'storeOfSheet']);
        Route::post('sheets/{sheet}/tracks', [FieldController::class, 'storeTracks']);
        Route::post('sheets/{sheet}/records', [RecordController::class, 'store']);
        Route::post('standing-trees/{standing}/looks', [StandingTreeController::class, 'store']);
        Route::post('records/{record}/amendments', [AmendmentController::class, 'store']);
        Route::post('records/{record}/look-backs', [LookBackController::class, 'store']);
        Route::post('records/{record}/round', [RoundController::class, 'store']);
        Route::post('stands/{stand}/patrols', [PatrolController::class, 'store']);
        Route::put('steps/{step}/card', [StepCardController::class, 'update']);
        Route::post('sheets/{sheet}/withdraw', [SheetController::class, 'withdraw']);
        Route::post('steps/{step}/batches', [BatchController::class, 'store']);
        Route::post('shed/containers', [ContainerController::class, 'store']);
        Route::patch('shed/containers/{container}', [ContainerController::class, 'update']);
        Route::delete('shed/containers/{container}', [ContainerController::class, 'destroy']);
        Route::post('shed/containers/{container}/draws', [ContainerController::class, 'draw']);
        Route::post('shed/sprayers', [SprayerController::class, 'store']);
        Route::put('shed/sprayers/{sprayer}', [SprayerController::class, 'update']);
        Route::post('shed/sprayers/{sprayer}/cleanings', [CleaningController::class, 'store']);
        Route::post('shed/sprayers/{sprayer}/calibrations', [CalibrationController::class, 'store']);
        Route::put('shed/lessons/{lesson}', [LessonController::class, 'update']);
        Route::post('shed/tools', [ToolController::class, 'store']);
        Route::delete('shed/tools/{tool}', [ToolController::class, 'destroy']);
        Route::post('shed/tools/{tool}/loans', [LoanController::class, 'store']);
        Route::post('shed/loans/{loan}/return', [LoanController::class, 'takeBack']);
        Route::post('shed/people', [PersonController::class, 'store']);
        Route::put('shed/people/{person}', [PersonController::class, 'update']);
        Route::post('grounds/{ground}/weather', [WeatherController::class, 'store']);
        Route::delete('grounds/{ground}/weather', [WeatherController::class, 'destroy']);
        Route::post('season-plan', [SeasonController::class, 'store']);
        Route::put('season-plan/terms', [SeasonController::class, 'updateTerms']);
        Route::put('season-plan/jobs/{step}', [SeasonController::class, 'move']);
        Route::put('season-plan/jobs/{step}/time', [SeasonController::class, 'updateTime']);
        Route::put('season-plan/people/{person}', [SeasonController::class, 'updatePerson']);
        Route::post('season-plan/away', [SeasonController::class, 'storeAway']);
        Route::delete('season-plan/away/{away}', [SeasonController::class, 'destroyAway']);
        Route::post('season-plan/busy', [SeasonController::class, 'readBusy']);
        Route::put('stands/{stand}/priority', [SeasonController::class, 'updatePriority']);
        Route::put('shed/cards/{card}/packs', [ShoppingController::class, 'updatePacks']);
        Route::post('shed/cards', [LabelCardController::class, 'store']);
        Route::post('shed/cards/starters', [LabelCardController::class, 'starters']);
        Route::post('shed/card-versions/{version}/confirm', [LabelCardController::class, 'confirm']);
        Route::patch('shed/choices', [ShedController::class, 'updateChoices']);
    });
});
