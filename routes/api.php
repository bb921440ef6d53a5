<?php

declare(strict_types=1);

use App\Auth\SessionController;
use App\Backups\BackupController;
use App\Backups\KitchenEpoch;
use App\Batches\BatchController;
use App\Batches\BatchLogController;
use App\Batches\CookSessionController;
use App\Database\InOneMove;
use App\Exports\ExportController;
use App\Imports\ImportController;
use App\Imports\UploadController;
use App\Instruments\InstrumentController;
use App\Kitchen\FamilyController;
use App\Kitchen\KitchenController;
use App\Palate\PalateController;
use App\Palate\TrainerController;
use App\Pantry\PantryController;
use App\Plans\PlanController;
use App\Recipes\AdviceController;
use App\Recipes\BalanceController;
use App\Recipes\DesignController;
use App\Recipes\SauceController;
use App\Recipes\ScaleController;
use App\Recipes\SheetController;
use App\Recipes\SpoonfulController;
use App\Recipes\SwapController;
use App\Recipes\ThicknessController;
use App\Recipes\ToldController;
use App\Recipes\VersionController;
use App\Recipes\WritingController;
use Illuminate\Support\Facades\Route;

Route::patterns([
    ...array_fill_keys(
        ['sauce', 'batch', 'product', 'plan', 'jar', 'import', 'before', 'after'],
        '[0-9]{1,15}',
    ),
    'version' => '[0-9]{1,9}',
    'upload' => '[0-9a-f]{24}',
    'style' => '[a-z-]{1,60}',
    'axis' => '[a-z]{1,20}',
]);

Route::get('/idle', static fn() => response()->json(['idle' => true]))->withoutMiddleware(KitchenEpoch::class);
Route::get('/session', [SessionController::class, 'show']);
Route::post('/session', [SessionController::class, 'enter']);
Route::delete('/session', [SessionController::class, 'leave']);

// questions: what is asked changes nothing, so that a process which stays between requests may answer (App\Server)
Route::group(['reads' => true], static function (): void {
    Route::post('/balance', BalanceController::class);
    Route::post('/advise', AdviceController::class);
    Route::post('/design', DesignController::class);

    Route::get('/sauces/{sauce}/told', ToldController::class);
    Route::get('/families/{style}/known', [FamilyController::class, 'known']);

    Route::post('/suggest', [WritingController::class, 'suggest']);
    Route::post('/nudge', [WritingController::class, 'nudge']);
    Route::post('/ratio', [WritingController::class, 'ratio']);
    Route::post('/swap', [SwapController::class, 'line']);
    Route::post('/convert', [SwapController::class, 'whole']);
    Route::post('/scale', ScaleController::class);
    Route::post('/sheet', SheetController::class);
    Route::post('/reduce', [ThicknessController::class, 'reduce']);
    Route::post('/thicken', [ThicknessController::class, 'thicken']);
    Route::post('/compare', [VersionController::class, 'compare']);

    Route::post('/keep', [BatchLogController::class, 'keep']);
    Route::post('/pages', [SauceController::class, 'read']);
});
Route::post('/plans/draft', [PlanController::class, 'draft']);
Route::post('/batches/{batch}/advise', [BatchController::class, 'advise']);

Route::get('/instruments', [InstrumentController::class, 'index']);
Route::get('/instruments/scale', [InstrumentController::class, 'scale']);
Route::get('/instruments/scale/live', [InstrumentController::class, 'live']);
Route::post('/instruments/scale/tare', [InstrumentController::class, 'tare']);
Route::get('/instruments/probe', [InstrumentController::class, 'temperature']);
Route::get('/instruments/refractometer', [InstrumentController::class, 'solids']);
Route::get('/instruments/ph-meter', [InstrumentController::class, 'ph']);
Route::post('/instruments/ph-meter/buffer', [InstrumentController::class, 'calibrate']);
Route::post('/instruments/stand-in', [InstrumentController::class, 'standIn']);

// what is stored, and the answer to it, are one move
Route::middleware(InOneMove::class)->group(static function (): void {
    Route::put('/kitchen', [KitchenController::class, 'update']);

    Route::put('/palate', [PalateController::class, 'switch']);
    Route::delete('/palate/{style}', [PalateController::class, 'reset']);

    Route::post('/products', [PantryController::class, 'store']);
    Route::put('/products/{product}', [PantryController::class, 'update']);
    Route::delete('/products/{product}', [PantryController::class, 'destroy']);

    Route::post('/sauces', [SauceController::class, 'store']);
    Route::post('/sauces/written', [SauceController::class, 'written']);
    Route::put('/sauces/{sauce}', [SauceController::class, 'update']);
    Route::delete('/sauces/{sauce}', [SauceController::class, 'destroy']);
    Route::post('/sauces/{sauce}/return', [SauceController::class, 'restore']);

    Route::post('/sauces/{sauce}/versions', [VersionController::class, 'store']);
    Route::get('/sauces/{sauce}/versions/{version}', [VersionController::class, 'show']);

    Route::post('/sauces/{sauce}/batches', [BatchController::class, 'store']);
    Route::put('/batches/{batch}', [BatchController::class, 'weigh']);
    Route::post('/batches/{batch}/doses', [BatchController::class, 'dose']);
    Route::delete('/batches/{batch}/doses', [BatchController::class, 'undose']);
    Route::post('/batches/{batch}/tastings', [BatchController::class, 'taste']);
    Route::post('/batches/{batch}/into-the-sauce', [BatchController::class, 'intoTheSauce']);

    Route::post('/sauces/{sauce}/cooks', [CookSessionController::class, 'start']);
    Route::post('/batches/{batch}/cook', [CookSessionController::class, 'recordEvent']);

    Route::post('/batches/{batch}/record', [BatchLogController::class, 'write']);
    Route::post('/batches/{batch}/jars', [BatchLogController::class, 'fill']);
    Route::post('/batches/{batch}/split', [BatchLogController::class, 'split']);
    Route::get('/batches/{before}/against/{after}', [BatchLogController::class, 'between']);
    Route::put('/jars/{jar}', [BatchLogController::class, 'jar']);

    Route::post('/plans', [PlanController::class, 'store']);
    Route::delete('/plans/{plan}', [PlanController::class, 'destroy']);
    Route::get('/plans/{plan}/calendar', [PlanController::class, 'calendar']);

    Route::post('/trainer', [TrainerController::class, 'answer']);
    Route::delete('/trainer/{axis}', [TrainerController::class, 'reset']);

    Route::group(['reads' => true], static function (): void {
        Route::get('/kitchen', [KitchenController::class, 'show']);
        Route::get('/palate', [PalateController::class, 'show']);
        Route::get('/pantry', [PantryController::class, 'index']);
        Route::get('/sauces', [SauceController::class, 'index']);
        Route::get('/sauces/{sauce}', [SauceController::class, 'show']);
        Route::get('/sauces/{sauce}/spoonfuls', [SpoonfulController::class, 'index']);
        Route::get('/sauces/{sauce}/versions', [VersionController::class, 'index']);
        Route::get('/sauces/{sauce}/batches', [BatchController::class, 'index']);
        Route::get('/batches/{batch}', [BatchController::class, 'show']);
        Route::get('/batches/{batch}/cook', [CookSessionController::class, 'show']);
        Route::get('/sauces/{sauce}/log', [BatchLogController::class, 'over']);
        Route::get('/batches/{batch}/record', [BatchLogController::class, 'show']);
        Route::get('/plans', [PlanController::class, 'index']);
        Route::get('/plans/{plan}', [PlanController::class, 'show']);
        Route::get('/trainer', [TrainerController::class, 'show']);
    });
});

Route::post('/uploads', [UploadController::class, 'begin']);
Route::put('/uploads/{upload}', [UploadController::class, 'add']);
Route::get('/uploads/{upload}', [UploadController::class, 'show']);
Route::delete('/uploads/{upload}', [UploadController::class, 'forget']);
Route::post('/imports/preview', [ImportController::class, 'preview']);
Route::post('/imports', [ImportController::class, 'store']);
Route::delete('/imports/{import}', [ImportController::class, 'undo']);
Route::get('/export/kitchen', [ExportController::class, 'kitchen']);
Route::get('/export/schema', [ExportController::class, 'schema']);
Route::get('/export/{table}', [ExportController::class, 'table'])->where('table', 'ingredients|products|batches');
Route::get(
    '/sauces/{sauce}/export/{form}',
    [ExportController::class, 'sauce'],
)->where('form', 'text|recipe');
Route::get('/backups', [BackupController::class, 'index']);
Route::post('/backups', [BackupController::class, 'store']);
Route::post(
    '/backups/{name}/restore',
    [BackupController::class, 'putBack'],
)->where('name', 'kitchen-[a-z0-9-]{1,80}\.sqlite');
