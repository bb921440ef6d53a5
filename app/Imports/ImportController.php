<?php

declare(strict_types=1);

namespace App\Imports;

use App\Database\InOneMove;
use App\Exchange\ImportFault;
use App\Http\Answers;
use App\Http\Faults;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use Vinculum\Exchange\RecipeFault;

/**
 * Taking in: what would happen, that it happens, and that it never did.
 *
 * @phpstan-type Imported array{id: int, says: string, sauces: list<int>, undone: bool}
 * @phpstan-import-type ImportPreview from Importer
 */
final readonly class ImportController
{
    public function __construct(private Importer $importer, private Uploads $uploads) {}

    #[Answers('ImportPreview')]
    public function preview(ImportRequest $request): JsonResponse
    {
        return new JsonResponse(
            self::attempt(fn(): array => $this->importer->preview($request->incoming($this->uploads))),
        );
    }

    #[Answers('Imported', 201)]
    public function store(ImportRequest $request): JsonResponse
    {
        $import = self::attempt(
            fn(): Import => $this->importer->take(
                $request->incoming($this->uploads),
                $request->measures(),
                $request->merges(),
                InOneMove::keyOf($request),
            ),
        );

        return new JsonResponse(self::shape($import), 201);
    }

    #[Answers('Imported')]
    public function undo(int $import): JsonResponse
    {
        $found = Import::query()->findOrFail($import);
        if ($found->undone_at !== null) {
            throw ValidationException::withMessages(['import' => 'That was undone already.']);
        }
        self::attempt(fn() => $this->importer->undo($found));

        return new JsonResponse(self::shape($found));
    }

    /**
     * @template T
     *
     * @param callable(): T $work
     *
     * @return T
     */
    private static function attempt(callable $work): mixed
    {
        try {
            return $work();
        } catch (RecipeFault|ImportFault $fault) {
            throw Faults::in('contents', $fault);
        }
    }

    /** @return Imported */
    private static function shape(Import $import): array
    {
        return [
            'id' => $import->id,
            'says' => $import->says,
            'sauces' => array_map(intval(...), $import->made['sauces'] ?? []),
            'undone' => $import->undone_at !== null,
        ];
    }
}
