<?php

declare(strict_types=1);

namespace App\Imports;

use App\Exchange\ImportFault;
use App\Http\Answers;
use App\Http\Faults;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/**
 * Files that come in piece by piece, so that they may be of any size, show how far they are, and be cancelled.
 *
 * @phpstan-type Upload array{upload: string, bytes: int, read: int}
 */
final readonly class UploadController
{
    public function __construct(private Uploads $uploads) {}

    #[Answers('Upload', 201)]
    public function begin(): JsonResponse
    {
        return $this->attempt(fn(): array => ['upload' => $this->uploads->begin(), 'bytes' => 0, 'read' => 0], 201);
    }

    #[Answers('Upload')]
    public function add(string $upload, PieceRequest $request): JsonResponse
    {
        return $this->attempt(
            fn(): array => [
                'upload' => $upload,
                'bytes' => $this->uploads->add($upload, $request->at(), $request->piece()),
                'read' => 0,
            ],
        );
    }

    #[Answers('Upload')]
    public function show(string $upload): JsonResponse
    {
        return $this->attempt(fn(): array => ['upload' => $upload, ...$this->uploads->state($upload)]);
    }

    public function forget(string $upload): Response
    {
        $this->uploads->forget($upload);

        return new Response('', 204);
    }

    /** @param callable(): Upload $work */
    private function attempt(callable $work, int $status = 200): JsonResponse
    {
        try {
            return new JsonResponse($work(), $status);
        } catch (ImportFault $fault) {
            throw Faults::in('upload', $fault);
        }
    }
}
