<?php

declare(strict_types=1);

namespace App\Kitchen;

use App\Http\Answers;
use Illuminate\Http\JsonResponse;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Vinculum\Family\FamilyBook;
use Vinculum\Report\KnownRecipesReport;

/** What a family's windows are made of. */
final readonly class FamilyController
{
    #[Answers(KnownRecipesReport::class)]
    public function known(string $style): JsonResponse
    {
        return new JsonResponse(
            FamilyBook::has($style) ? KnownRecipesReport::of($style) : throw new NotFoundHttpException(),
        );
    }
}
