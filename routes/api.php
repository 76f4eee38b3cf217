<?php

declare(strict_types=1);

use App\Http\Controllers\BoardController;
use App\Http\Controllers\CatalogueController;
use App\Http\Controllers\ChoiceController;
use App\Http\Controllers\EquipmentController;
use App\Http\Controllers\ExchangeController;
use App\Http\Controllers\FieldDayController;
use App\Http\Controllers\GroundController;
use App\Http\Controllers\MixController;
use App\Http\Controllers\OutlineController;
use App\Http\Controllers\PaperController;
use App\Http\Controllers\PatchController;
use App\Http\Controllers\ProtectedFeatureController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\ShedController;
use App\Http\Controllers\SightingController;
use App\Http\Controllers\StandController;
use App\Http\Controllers\StandInController;
use App\Http\Controllers\StockController;
use App\Http\Controllers\TallyController;
use App\Http\Controllers\TodayController;
use App\Http\Middleware\InTurn;
use App\Http\Middleware\KeptAnswers;
use App\Photos\PhotoStore;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Route;

Route::get('health', static fn(): JsonResponse => new JsonResponse(['status' => 'ok']))->withoutMiddleware('api');
Route::get('session', [SessionController::class, 'show']);
Route::post('session', [SessionController::class, 'store']);
Route::post('setup', [SessionController::class, 'setup']);

// opened as pages of their own, so by the plain session: a browser may send no referer there
Route::get('papers/{paper}/file', [PaperController::class, 'file'])
    ->withoutMiddleware('api')
    ->middleware(['web', 'auth:web']);
Route::get('grounds/{ground}/export', [ExchangeController::class, 'export'])
    ->withoutMiddleware('api')
    ->middleware(['web', 'auth:web']);
Route::get('stands/{stand}/tally.csv', [TallyController::class, 'csv'])
    ->withoutMiddleware('api')
    ->middleware(['web', 'auth:web']);

Route::get('seal', [FieldDayController::class, 'head'])
    ->withoutMiddleware('api')
    ->middleware(['web', 'auth:web']);
Route::get('shed/shopping.csv', [MixController::class, 'shoppingCsv'])
    ->withoutMiddleware('api')
    ->middleware(['web', 'auth:web']);
Route::get('sightings.csv', [SightingController::class, 'csv'])
    ->withoutMiddleware('api')
    ->middleware(['web', 'auth:web']);
Route::get('photos/{photo}/{size}', [SightingController::class, 'photoFile'])
    ->whereIn('size', PhotoStore::SIZES)
    ->withoutMiddleware('api')
    ->middleware(['web', 'auth:web']);

Route::middleware('auth:sanctum')->group(static function (): void {
    // dear to work out, and the same till somebody of the crew writes
    Route::middleware(KeptAnswers::class)->group(static function (): void {
        Route::get('today', TodayController::class);
        Route::get('handbook', [CatalogueController::class, 'handbook']);
        Route::get('grounds', [GroundController::class, 'index']);
        Route::get('grounds/{ground}/patches', [GroundController::class, 'patches']);
        Route::get('stands/{stand}', [StandController::class, 'show']);
        Route::get('stands/{stand}/board', [BoardController::class, 'board']);
        Route::get('stands/{stand}/board/row', [BoardController::class, 'row']);
        Route::get('stands/{stand}/programmes', [ChoiceController::class, 'programmes']);
        Route::get('stands/{stand}/comparison', [ChoiceController::class, 'compare']);
        Route::get('stands/{stand}/costs', [ChoiceController::class, 'costs']);
        Route::get('stands/{stand}/year', [BoardController::class, 'year']);
    });
    Route::delete('session', [SessionController::class, 'destroy']);
    Route::post('session/password', [SessionController::class, 'password']);
    Route::patch('session', [SessionController::class, 'update']);
    Route::post('papers', [PaperController::class, 'store'])->middleware(InTurn::class);
    Route::get('papers/{paper}', [PaperController::class, 'show']);
    Route::get('search', [CatalogueController::class, 'search']);
    Route::post('readings', [CatalogueController::class, 'reading']);
    Route::get('handbook/species', [CatalogueController::class, 'find']);
    Route::get('handbook/comparison', [CatalogueController::class, 'compare']);
    Route::get('handbook/species/{id}', [CatalogueController::class, 'species']);
    Route::get('grounds/{ground}/map', [GroundController::class, 'map']);
    Route::get('grounds/{ground}/keepers', [ProtectedFeatureController::class, 'index']);
    // looks into files for those who may keep what is in them
    Route::post('grounds/{ground}/imports/preview', [ExchangeController::class, 'preview'])->middleware('can:write');
    Route::post('outlines', [OutlineController::class, 'trace']);
    Route::get('patches/{patch}', [PatchController::class, 'show']);
    Route::get('patches/{patch}/outlines', [PatchController::class, 'outlines']);
    Route::get('stands/{stand}/count', [TallyController::class, 'count']);
    Route::post('stands/{stand}/tally/csv', [TallyController::class, 'readCsv'])->middleware('can:write');
    if (app()->environment('demo', 'testing')) {
        Route::get('stand-ins/gps', [StandInController::class, 'gps']);
    }
    Route::post('identify', [StandController::class, 'identify']);
    Route::get('stands/{stand}/prospects', [StandController::class, 'prospects']);
    Route::get('sightings', [SightingController::class, 'index']);
    Route::get('sightings/{sighting}', [SightingController::class, 'show'])->whereUuid('sighting');
    Route::get('stands/{stand}/gates', [FieldDayController::class, 'gates']);
    Route::get('steps/{step}/recipe', [BoardController::class, 'recipe']);
    Route::get('sheets/{sheet}', [FieldDayController::class, 'sheet']);
    Route::get('records/{record}', [FieldDayController::class, 'record']);
    Route::get('shed', [ShedController::class, 'show']);
    Route::get('shed/cards/{card}/export', [ShedController::class, 'exportCard']);
    Route::get('shed/shopping', [MixController::class, 'shopping']);
    Route::get('mix/sums', [MixController::class, 'sums']);
    Route::post('mix/sums', [MixController::class, 'solve']);
    Route::post('mix/purchase', [MixController::class, 'purchase']);
    Route::get('steps/{step}/batches', [MixController::class, 'batches']);

    Route::middleware('writes')->group(static function (): void {
        Route::post('grounds', [GroundController::class, 'store']);
        Route::patch('grounds/{ground}', [GroundController::class, 'update']);
        Route::post('grounds/{ground}/patches', [PatchController::class, 'store']);
        Route::post('grounds/{ground}/keepers', [ProtectedFeatureController::class, 'store']);
        Route::post('grounds/{ground}/imports', [ExchangeController::class, 'store']);
        Route::patch('patches/{patch}', [PatchController::class, 'update']);
        Route::post('patches/{patch}/split', [PatchController::class, 'split']);
        Route::post('patches/{patch}/merge', [PatchController::class, 'merge']);
        Route::post('patches/{patch}/hole', [PatchController::class, 'hole']);
        Route::post('patches/{patch}/archive', [PatchController::class, 'archive']);
        Route::post('patches/{patch}/zones', [PatchController::class, 'storeZones']);
        Route::delete('zones/{zone}', [PatchController::class, 'dropZone']);
        Route::post('patches/{patch}/keepers', [ProtectedFeatureController::class, 'storeBesidePatch']);
        Route::put('keepers/{keeper}', [ProtectedFeatureController::class, 'update']);
        Route::delete('keepers/{keeper}', [ProtectedFeatureController::class, 'destroy']);
        Route::post('patches/{patch}/observations', [PatchController::class, 'storeObservations']);
        Route::post('patches/{patch}/stands', [PatchController::class, 'storeStand']);
        Route::post('stands/{stand}/sightings', [StandController::class, 'storeSighting']);
        Route::put('handbook/species/{id}/listing', [CatalogueController::class, 'putListing']);
        Route::post('sightings', [SightingController::class, 'store']);
        Route::put('sightings/{sighting}', [SightingController::class, 'update']);
        Route::post('sightings/{sighting}/photos', [SightingController::class, 'storePhoto']);
        Route::delete('photos/{photo}', [SightingController::class, 'dropPhoto']);
        Route::put('stands/{stand}/tally', [TallyController::class, 'put']);
        Route::post('stands/{stand}/plot-plans', [TallyController::class, 'plan']);
        Route::post('stands/{stand}/close', [StandController::class, 'close']);
        Route::post('stands/{stand}/programme', [ChoiceController::class, 'follow']);
        Route::delete('stands/{stand}/programme', [ChoiceController::class, 'leave']);
        Route::put('stands/{stand}/weights', [ChoiceController::class, 'weigh']);
        Route::put('stands/{stand}/step', [BoardController::class, 'putStep']);
        Route::put('steps/{step}/recipe', [BoardController::class, 'putRecipe']);
        Route::post('stands/{stand}/sheets', [FieldDayController::class, 'issue']);
        Route::post('sheets/{sheet}/records', [FieldDayController::class, 'sign']);
        Route::post('records/{record}/look-backs', [FieldDayController::class, 'lookBack']);
        Route::put('steps/{step}/card', [MixController::class, 'takeCard']);
        Route::post('sheets/{sheet}/withdraw', [FieldDayController::class, 'withdraw']);
        Route::post('steps/{step}/batches', [MixController::class, 'storeBatch']);
        Route::post('shed/containers', [StockController::class, 'store']);
        Route::patch('shed/containers/{container}', [StockController::class, 'update']);
        Route::delete('shed/containers/{container}', [StockController::class, 'drop']);
        Route::post('shed/containers/{container}/draws', [StockController::class, 'draw']);
        Route::post('shed/sprayers', [EquipmentController::class, 'storeSprayer']);
        Route::put('shed/sprayers/{sprayer}', [EquipmentController::class, 'updateSprayer']);
        Route::post('shed/sprayers/{sprayer}/calibrations', [EquipmentController::class, 'calibrate']);
        Route::post('shed/tools', [EquipmentController::class, 'storeTool']);
        Route::delete('shed/tools/{tool}', [EquipmentController::class, 'dropTool']);
        Route::post('shed/tools/{tool}/loans', [EquipmentController::class, 'lend']);
        Route::post('shed/loans/{loan}/return', [EquipmentController::class, 'takeBack']);
        Route::post('shed/people', [EquipmentController::class, 'storePerson']);
        Route::put('shed/people/{person}', [EquipmentController::class, 'updatePerson']);
        Route::put('shed/cards/{card}/packs', [MixController::class, 'putPacks']);
        Route::post('shed/cards', [ShedController::class, 'storeCard']);
        Route::post('shed/card-versions/{version}/confirm', [ShedController::class, 'confirm']);
        Route::patch('shed/choices', [ShedController::class, 'updateChoices']);
    });
});
