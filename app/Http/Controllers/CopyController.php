<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Faults;
use App\Safe\Copies;
use App\Safe\CopyFault;
use Illuminate\Http\JsonResponse;

/** When the last copy of the kitchen was made, and whether it opens. */
final readonly class CopyController
{
    private const SHOWN = 20;

    public function index(): JsonResponse
    {
        $copies = Copies::ofThisKitchen();

        return new JsonResponse(['epoch' => $copies->epoch(), 'copies' => array_map(static fn(array $copy): array => ['name' => $copy['name'], 'why' => $copy['why'], 'bytes' => $copy['bytes'], 'at' => $copy['at'], 'opens' => $copies->opens($copy['file'])], array_slice($copies->all(), 0, self::SHOWN))]);
    }

    public function store(): JsonResponse
    {
        return $this->attempt(static fn() => Copies::ofThisKitchen()->make(null, 'by-hand', new \DateTimeImmutable()), 201);
    }

    public function putBack(string $name): JsonResponse
    {
        return $this->attempt(static function () use ($name): void {
            $copies = Copies::ofThisKitchen();
            foreach ($copies->all() as $copy) {
                if ($copy['name'] === $name) {
                    $copies->putBack($copy['file'], new \DateTimeImmutable());

                    return;
                }
            }
            throw CopyFault::notThere($name);
        }, 200);
    }

    private function attempt(callable $work, int $status): JsonResponse
    {
        try {
            $work();
        } catch (CopyFault $fault) {
            throw Faults::in('copy', $fault);
        }

        return $this->index()->setStatusCode($status);
    }
}
