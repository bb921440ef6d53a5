<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Http\Description\Answers;
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
    public function __construct(private BalanceService $balanceService, private Pantry $pantry) {}

    #[Answers(SwapsReport::class)]
    public function line(SwapRequest $request): JsonResponse
    {
        $edit = $request->edit();
        $formula = $this->balanceService->formula($edit);
        $catalogue = $this->balanceService->catalogue();
        $named = $request->substitute();
        if ($named !== null && !$catalogue->has($named)) {
            throw ValidationException::withMessages(['for' => "There is no ingredient \"{$named}\"."]);
        }
        try {
            $line = SwapTask::lineOf($formula, $request->line());
            $search = new SwapSearch(
                $formula,
                $line,
                $request->reason($this->pantry),
                $catalogue,
                $edit->measures,
            );
        } catch (SwapFault $fault) {
            throw Faults::in('line', $fault);
        }
        $swaps = $named === null
            ? $search->substitutes()
            : array_values(array_filter([$search->with($catalogue->get($named))]));

        return new JsonResponse(
            SwapsReport::of(
                $formula,
                $line,
                $swaps,
                $this->balanceService->style($edit)?->target,
                $edit->measures,
            ),
        );
    }

    #[Answers(ConversionReport::class)]
    public function whole(SwapRequest $request): JsonResponse
    {
        $edit = $request->edit();
        $formula = $this->balanceService->formula($edit);
        try {
            $conversion = Conversion::of(
                $formula,
                [$request->avoids()],
                $this->balanceService->catalogue(),
                $edit->measures,
            );
        } catch (SwapFault $fault) {
            throw Faults::in('lines', $fault);
        }

        return new JsonResponse(
            ConversionReport::of($formula, $conversion, $this->balanceService->style($edit)?->target, $edit->measures),
        );
    }
}
