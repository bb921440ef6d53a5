<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Http\Answers;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Quantity\Measures;
use Vinculum\Report\PantryItemReport;

/**
 * @phpstan-import-type ProductSent from ProductResource
 * @phpstan-type PantryList array{ingredients: list<PantryItemReport>, products: list<ProductSent>}
 */
final readonly class PantryController
{
    public function __construct(private Pantry $pantry, private Tools $tools) {}

    #[Answers('PantryList')]
    public function index(): JsonResponse
    {
        $spoons = $this->tools->spoons(Measures::Metric);

        return new JsonResponse([
            'ingredients' => array_map(
                static fn(Ingredient $one): PantryItemReport => PantryItemReport::of($one, $spoons),
                $this->pantry->catalogue()->all(),
            ),
            'products' => ProductResource::collection(Product::query()->latest('id')->get())->resolve(),
        ]);
    }

    #[Answers('ProductSent', 201)]
    public function store(ProductRequest $request): JsonResponse
    {
        $product = $request->into(new Product());
        $this->pantry->keep($product);

        return new JsonResponse((new ProductResource($product))->resolve(), 201);
    }

    #[Answers('ProductSent')]
    public function update(int $product, ProductRequest $request): JsonResponse
    {
        $found = $request->into(Product::query()->findOrFail($product));
        $this->pantry->keep($found);

        return new JsonResponse((new ProductResource($found))->resolve());
    }

    public function destroy(int $product): Response
    {
        Product::query()->findOrFail($product)->delete();

        return new Response('', 204);
    }
}
