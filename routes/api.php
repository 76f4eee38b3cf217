<?php

declare(strict_types=1);

use App\Http\Controllers\BoardController;
use App\Http\Controllers\CatalogueController;
use App\Http\Controllers\FieldDayController;
use App\Http\Controllers\GroundController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\ShedController;
use App\Http\Controllers\StandController;
use App\Http\Controllers\TodayController;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Route;

Route::get('health', static fn (): JsonResponse => new JsonResponse(['status' => 'ok']))->withoutMiddleware('api');
Route::get('session', [SessionController::class, 'show']);
Route::post('session', [SessionController::class, 'store'])->middleware('throttle:sign-in');
Route::post('setup', [SessionController::class, 'setup'])->middleware('throttle:sign-in');

// opened as a page of its own, so by the plain session: a browser may send no referer there
Route::get('sheets/{sheet}/pdf', [FieldDayController::class, 'pdf'])->withoutMiddleware('api')->middleware(['web', 'auth:web']);

Route::middleware('auth:sanctum')->group(static function (): void {
    Route::delete('session', [SessionController::class, 'destroy']);
    Route::post('session/password', [SessionController::class, 'password'])->middleware('throttle:sign-in');
    Route::patch('session', [SessionController::class, 'update']);
    Route::get('today', TodayController::class);
    Route::get('search', [CatalogueController::class, 'search']);
    Route::post('readings', [CatalogueController::class, 'reading']);
    Route::get('handbook', [CatalogueController::class, 'handbook']);
    Route::get('handbook/species/{id}', [CatalogueController::class, 'species']);
    Route::get('grounds', [GroundController::class, 'index']);
    Route::get('patches/{patch}', [GroundController::class, 'showPatch']);
    Route::get('stands/{stand}', [StandController::class, 'show']);
    Route::post('identify', [StandController::class, 'identify']);
    Route::get('stands/{stand}/board', [BoardController::class, 'board']);
    Route::get('stands/{stand}/year', [BoardController::class, 'year']);
    Route::get('stands/{stand}/gates', [FieldDayController::class, 'gates']);
    Route::get('steps/{step}/recipe', [BoardController::class, 'recipe']);
    Route::get('sheets/{sheet}', [FieldDayController::class, 'sheet']);
    Route::get('records/{record}', [FieldDayController::class, 'record']);
    Route::get('shed', [ShedController::class, 'show']);

    Route::middleware('can:write')->group(static function (): void {
        Route::post('grounds', [GroundController::class, 'store']);
        Route::post('grounds/{ground}/patches', [GroundController::class, 'storePatch']);
        Route::patch('patches/{patch}', [GroundController::class, 'updatePatch']);
        Route::post('patches/{patch}/keepers', [GroundController::class, 'storeKeeper']);
        Route::post('patches/{patch}/observations', [GroundController::class, 'storeObservations']);
        Route::post('patches/{patch}/stands', [GroundController::class, 'storeStand']);
        Route::post('stands/{stand}/sightings', [StandController::class, 'storeSighting']);
        Route::put('stands/{stand}/tally', [StandController::class, 'putTally']);
        Route::post('stands/{stand}/close', [StandController::class, 'close']);
        Route::put('stands/{stand}/step', [BoardController::class, 'putStep']);
        Route::put('steps/{step}/recipe', [BoardController::class, 'putRecipe']);
        Route::post('stands/{stand}/sheets', [FieldDayController::class, 'issue']);
        Route::post('sheets/{sheet}/records', [FieldDayController::class, 'sign']);
        Route::post('records/{record}/look-backs', [FieldDayController::class, 'lookBack']);
        Route::post('shed/cards', [ShedController::class, 'storeCard']);
        Route::post('shed/card-versions/{version}/confirm', [ShedController::class, 'confirm']);
        Route::patch('shed/choices', [ShedController::class, 'updateChoices']);
    });
});
