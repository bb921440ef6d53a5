<?php

declare(strict_types=1);

use App\Http\Controllers\AdviceController;
use App\Http\Controllers\BalanceController;
use App\Http\Controllers\DesignController;
use App\Http\Controllers\KitchenController;
use App\Http\Controllers\PantryController;
use App\Http\Controllers\SauceController;
use Illuminate\Support\Facades\Route;

Route::get('/idle', static fn() => response()->json(['idle' => true]));
Route::get('/kitchen', KitchenController::class);

Route::post('/balance', BalanceController::class);
Route::post('/advise', AdviceController::class);
Route::post('/design', DesignController::class);

Route::get('/pantry', [PantryController::class, 'index']);
Route::post('/products', [PantryController::class, 'store']);
Route::put('/products/{product}', [PantryController::class, 'update'])->where('product', '[0-9]{1,15}');
Route::delete('/products/{product}', [PantryController::class, 'destroy'])->where('product', '[0-9]{1,15}');

Route::get('/sauces', [SauceController::class, 'index']);
Route::post('/sauces', [SauceController::class, 'store']);
Route::get('/sauces/{sauce}', [SauceController::class, 'show'])->where('sauce', '[0-9]{1,15}');
Route::put('/sauces/{sauce}', [SauceController::class, 'update'])->where('sauce', '[0-9]{1,15}');
Route::delete('/sauces/{sauce}', [SauceController::class, 'destroy'])->where('sauce', '[0-9]{1,15}');
Route::post('/sauces/{sauce}/return', [SauceController::class, 'restore'])->where('sauce', '[0-9]{1,15}');
