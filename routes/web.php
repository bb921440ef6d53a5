<?php

declare(strict_types=1);

use App\Http\PageController;
use Illuminate\Support\Facades\Route;

// every place of the app is one page; the front end reads the address
Route::get('/{place?}', PageController::class)->where('place', '(?!api/|build/).*');
