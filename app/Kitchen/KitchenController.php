<?php

declare(strict_types=1);

namespace App\Kitchen;

use App\Http\Answers;
use App\Palate\PalateService;
use App\Pantry\Tools;
use Illuminate\Http\JsonResponse;
use Vinculum\Cooking\Heat;
use Vinculum\Correction\Complaint;
use Vinculum\Facts\FactsFile;
use Vinculum\Family\FamilyBook;
use Vinculum\Ingredient\Suitability;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Units;
use Vinculum\Report\FamilyReport;
use Vinculum\Report\Named;
use Vinculum\Scaling\TargetSize;

/**
 * What a page needs to know once: the styles and the systems of measures.
 *
 * @phpstan-type Kitchen array{
 *     styles: list<FamilyReport>,
 *     complaints: list<array{key: string, says: string, is_taste: bool}>,
 *     allergens: list<string>,
 *     diets: list<string>,
 *     heats: list<string>,
 *     own_steps: Named<float>,
 *     usual_loss: float,
 *     has_scale: bool,
 *     readies_first: bool,
 *     vessels: list<array{name: string, ml: array<value-of<Measures>, float>}>,
 *     measures: list<array{key: value-of<Measures>, name: string}>,
 * }
 */
final readonly class KitchenController
{
    /** What a cook may take as one part. */
    private const VESSELS = ['tablespoon', 'ladle', 'glass', 'cup', 'mug'];

    public function __construct(private PalateService $palateService, private Tools $tools) {}

    #[Answers('Kitchen')]
    public function update(ToolsRequest $request): JsonResponse
    {
        if ($request->has('has_scale')) {
            $this->tools->keepScale($request->boolean('has_scale'));
        }
        if ($request->has('readies_first')) {
            $this->tools->keepOrder($request->boolean('readies_first'));
        }

        return $this->show();
    }

    #[Answers('Kitchen')]
    public function show(): JsonResponse
    {
        return new JsonResponse([
            'styles' => array_map(FamilyReport::of(...), FamilyBook::all()),
            'complaints' => array_map(
                static fn(string $key): array => [
                    'key' => $key,
                    'says' => str_replace('-', ' ', $key),
                    'is_taste' => in_array($key, Complaint::ofTaste(), true),
                ],
                Complaint::keys(),
            ),
            'allergens' => array_keys(FactsFile::named('allergens')),
            'diets' => Suitability::allDiets(),
            'heats' => Heat::keys(),
            'own_steps' => new Named($this->palateService->ownSteps()),
            'usual_loss' => TargetSize::USUAL_LOSS,
            'has_scale' => $this->tools->hasScale(),
            'readies_first' => $this->tools->readiesFirst(),
            'vessels' => array_map(self::vessel(...), self::VESSELS),
            'measures' => array_map(
                static fn(Measures $measures): array => ['key' => $measures->value, 'name' => $measures->title()],
                Measures::cases(),
            ),
        ]);
    }

    /** @return array{name: string, ml: array<string, float|null>} */
    private static function vessel(string $name): array
    {
        $millilitres = [];
        foreach (Measures::cases() as $measures) {
            $millilitres[$measures->value] = Units::get($name, $measures)->millilitres;
        }

        return ['name' => $name, 'ml' => $millilitres];
    }
}
