<?php

declare(strict_types=1);

namespace App\Backups;

use App\Http\Answers;
use App\Http\Faults;
use App\Plain\Copies\BackupFault;
use App\Plain\Copies\Backups;
use Illuminate\Http\JsonResponse;

/**
 * When the last copy of the kitchen was made, and whether it opens.
 *
 * @phpstan-type BackupList array{
 *     epoch: int,
 *     copies: list<array{name: string, why: string, bytes: int, at: int, opens: bool}>,
 * }
 */
final readonly class BackupController
{
    private const SHOWN = 20;

    #[Answers('BackupList')]
    public function index(): JsonResponse
    {
        $backups = Backups::ofThisKitchen(RowCheck::here());

        return new JsonResponse([
            'epoch' => $backups->epoch(),
            'copies' => array_map(
                static fn(array $copy): array => [
                    'name' => $copy['name'],
                    'why' => $copy['why'],
                    'bytes' => $copy['bytes'],
                    'at' => $copy['at'],
                    'opens' => $backups->check->opens($copy['file']),
                ],
                array_slice($backups->folder->all(), 0, self::SHOWN),
            ),
        ]);
    }

    #[Answers('BackupList', 201)]
    public function store(): JsonResponse
    {
        return $this->attempt(
            static fn() => Backups::ofThisKitchen(RowCheck::here())->make(null, 'by-hand', new \DateTimeImmutable()),
            201,
        );
    }

    #[Answers('BackupList')]
    public function putBack(string $name): JsonResponse
    {
        return $this->attempt(static function () use ($name): void {
            $backups = Backups::ofThisKitchen(RowCheck::here());
            foreach ($backups->folder->all() as $copy) {
                if ($copy['name'] === $name) {
                    $backups->putBack($copy['file'], new \DateTimeImmutable());

                    return;
                }
            }
            throw BackupFault::notThere($name);
        }, 200);
    }

    private function attempt(callable $work, int $status): JsonResponse
    {
        try {
            $work();
        } catch (BackupFault $fault) {
            throw Faults::in('copy', $fault);
        }

        return $this->index()->setStatusCode($status);
    }
}
