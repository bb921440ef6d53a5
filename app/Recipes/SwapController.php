<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Http\Answers;
use App\Http\Faults;
use App\Pantry\Pantry;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use Vinculum\Report\ConversionReport;
use Vinculum\Report\SwapsReport;
use Vinculum\Substitution\Conversion;
use Vinculum\Substitution\SwapFault;
use Vinculum\Substitution\SwapSearch;
use Vinculum\Substitution\SwapTask;

final readonly class SwapController
{
    public function __construct(private HomeKitchen $homeKitchen, private Pantry $pantry) {}

    #[Answers(SwapsReport::class)]
    public function line(SwapRequest $request): JsonResponse
    {
        $sauce = $this->homeKitchen->weigh($request->edit());
        $catalogue = $sauce->catalogue();
        $named = $request->substitute();
        if ($named !== null && !$catalogue->has($named)) {
            throw ValidationException::withMessages(['for' => "There is no ingredient \"{$named}\"."]);
        }
        try {
            $line = SwapTask::lineWithId($sauce->formula, $request->line(), $request->part());
            $search = new SwapSearch($sauce, $line, $request->reason($this->pantry));
        } catch (SwapFault $fault) {
            throw Faults::in('line', $fault);
        }
        $swaps = $named === null
            ? $search->substitutes()
            : array_values(array_filter([$search->with($catalogue->get($named))]));

        return new JsonResponse(
            SwapsReport::of($sauce, $line, $swaps)
        );
    }

    #[Answers(ConversionReport::class)]
    public function whole(SwapRequest $request): JsonResponse
    {
        try {
            $conversion = Conversion::of($this->homeKitchen->weigh($request->edit()), [$request->avoids()]);
        } catch (SwapFault $fault) {
            throw Faults::in('lines', $fault);
        }

        return new JsonResponse(ConversionReport::of($conversion));
    }
}
