<?php

declare(strict_types=1);

namespace App\Http;

use App\Database\Trouble;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Log;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Vinculum\Ingredient\LabelFault;
use Vinculum\Scaling\ScaleFault;

/**
 * What the server says when it cannot do what was asked: plain words, and the way out.
 *
 * @phpstan-type Fault array{message: string, fields?: array<string, list<string>>}
 */
final class Faults
{
    /** A fault of the core, told as one of a field of the request: a whole sentence, whatever it was. */
    public static function in(string $field, \Throwable $fault): ValidationException
    {
        return ValidationException::withMessages([$field => ucfirst(rtrim($fault->getMessage(), '.')) . '.']);
    }

    public static function register(Exceptions $exceptions): void
    {
        $exceptions->shouldRenderJsonWhen(static fn(Request $request): bool => $request->is('api/*'));
        $exceptions->dontReport([ScaleFault::class]);
        $exceptions->render(static fn(ValidationException $fault): JsonResponse => new JsonResponse([
            'message' => collect($fault->errors())->flatten()->first()
                ?? 'Something in the request is not as expected.',
            'fields' => $fault->errors(),
        ], 422));
        $exceptions->render(static fn(LabelFault $fault): JsonResponse => new JsonResponse([
            'message' => $fault->getMessage(),
            'fields' => [$fault->field => [$fault->getMessage()]],
        ], 422));
        $exceptions->render(static fn(\PDOException $fault): JsonResponse => Trouble::isOfAReference($fault)
            ? new JsonResponse(
                [
                    'message' => 'What this belongs to is not there any more: it was deleted meanwhile. Go back to the shelf.',
                ],
                404,
            )
            : new JsonResponse(['message' => Trouble::says($fault)], 503));
        // trouble that is known is told in one line, without the way it took
        $exceptions->report(static function (\PDOException $fault): bool {
            Log::warning(Trouble::line($fault));

            return false;
        })->stop();
        $exceptions->render(
            static fn(ScaleFault $fault): JsonResponse => new JsonResponse(
                ['message' => $fault->getMessage(), 'fields' => ['to' => [$fault->getMessage()]]],
                422,
            ),
        );
        $exceptions->render(static fn(
            HttpExceptionInterface $fault,
            Request $request,
        ): ?JsonResponse => $request->is('api/*') ? new JsonResponse([
            'message' => match ($fault->getStatusCode()) {
                404 => 'There is no such thing here: it may have been put away. Go back to the shelf.',
                413 => 'That is larger than the 5 MB that are taken at once: split it, and send it in parts.',
                default => 'This address does not do that.',
            },
        ], $fault->getStatusCode()) : null);
    }
}
