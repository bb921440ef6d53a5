<?php

declare(strict_types=1);

namespace App\Plans;

use App\Http\Answers;
use App\Http\Faults;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Vinculum\Planning\PlanFault;
use Vinculum\Scaling\ScaleFault;

/**
 * Plans: kept as what was wished for, and worked out whenever they are looked at.
 *
 * @phpstan-import-type PlanDraft from PlanService
 * @phpstan-type PlanKept array{
 *     id: int,
 *     title: string,
 *     ready: string,
 *     zone: string,
 *     rings: int,
 *     items: list<array{sauce: int, size: string}>,
 * }
 * @phpstan-type PlanAnswer array{plan: PlanKept, draft: PlanDraft|null, says: string|null}
 * @phpstan-type Plans array{plans: list<PlanKept>, next: int|null}
 */
final readonly class PlanController
{
    private const MOST = 50;

    public function __construct(private PlanService $planService) {}

    #[Answers('Plans')]
    public function index(): JsonResponse
    {
        /** @var list<Plan> $plans */
        $plans = Plan::query()->latest('id')->limit(self::MOST)->get()->all();

        $left = [];
        foreach ($plans as $plan) {
            $left[$plan->id] = $plan->secondsLeft(CarbonImmutable::now());
        }
        $due = array_filter($left, is_int(...));

        return new JsonResponse([
            'plans' => array_map(self::wish(...), $plans),
            'next' => $due === [] ? null : array_search(min($due), $due, true),
        ]);
    }

    #[Answers('PlanDraft')]
    public function draft(PlanRequest $request): JsonResponse
    {
        return new JsonResponse($this->workedOut($request->plan(new Plan())));
    }

    #[Answers('PlanAnswer', 201)]
    public function store(PlanRequest $request): JsonResponse
    {
        $plan = $request->plan(new Plan());
        $draft = $this->workedOut($plan);
        $plan->save();

        return new JsonResponse(['plan' => self::wish($plan), 'draft' => $draft, 'says' => null], 201);
    }

    #[Answers('PlanAnswer')]
    public function show(int $plan): JsonResponse
    {
        $found = Plan::query()->findOrFail($plan);
        try {
            return new JsonResponse([
                'plan' => self::wish($found),
                'draft' => $this->planService->draft($found),
                'says' => null,
            ]);
        } catch (PlanFault|ScaleFault $fault) {
            // a plan whose day is over is still a plan
            return new JsonResponse(['plan' => self::wish($found), 'draft' => null, 'says' => $fault->getMessage()]);
        }
    }

    public function destroy(int $plan): JsonResponse
    {
        Plan::query()->findOrFail($plan)->delete();

        return new JsonResponse(null, 204);
    }

    #[Answers('text/calendar')]
    public function calendar(int $plan): Response
    {
        $found = Plan::query()->findOrFail($plan);
        try {
            return new Response(
                $this->planService->calendar($found),
                200,
                [
                    'Content-Type' => 'text/calendar; charset=utf-8',
                    'Content-Disposition' => "attachment; filename=\"plan-{$found->id}.ics\"",
                ],
            );
        } catch (PlanFault|ScaleFault $fault) {
            return new Response($fault->getMessage() . "\n", 422, ['Content-Type' => 'text/plain; charset=utf-8']);
        }
    }

    /** @return PlanDraft */
    private function workedOut(Plan $plan): array
    {
        try {
            return $this->planService->draft($plan);
        } catch (PlanFault $fault) {
            throw Faults::in('ready', $fault);
        } catch (ScaleFault $fault) {
            throw Faults::in('items', $fault);
        }
    }

    /** @return PlanKept */
    private static function wish(Plan $plan): array
    {
        return [
            'id' => $plan->id,
            'title' => $plan->title,
            'ready' => $plan->ready,
            'zone' => $plan->zone,
            'rings' => $plan->rings,
            'items' => $plan->items,
        ];
    }
}
