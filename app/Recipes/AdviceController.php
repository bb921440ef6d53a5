<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Http\Answers;
use Illuminate\Http\JsonResponse;
use Vinculum\Correction\Adviser;
use Vinculum\Correction\Wish;
use Vinculum\Report\AdviceReport;

final readonly class AdviceController
{
    #[Answers(AdviceReport::class)]
    public function __invoke(AdviceRequest $request, HomeKitchen $homeKitchen): JsonResponse
    {
        $sauce = $homeKitchen->weigh($request->edit());
        $advice = (new Adviser($sauce))->answer(new Wish(
            $request->complaint(),
            $request->with(),
            $request->most(),
            $request->capacity(),
            $request->pulled($sauce->balance()->taste)
                ?? $request->target()
                ?? $homeKitchen->targetOf($request->liked()),
            $request->wish(),
            $request->boolean('is_presumed'),
        ));

        return new JsonResponse(AdviceReport::of($advice, $sauce));
    }
}
