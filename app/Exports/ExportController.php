<?php

declare(strict_types=1);

namespace App\Exports;

use App\Exchange\KitchenFile;
use App\Exchange\Tables;
use App\Http\Answers;
use App\Recipes\Sauce;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Vinculum\Exchange\RecipeWriter;

/** Taking out: nothing is locked in. */
final readonly class ExportController
{
    #[Answers('application/json')]
    public function kitchen(KitchenFile $file): StreamedResponse
    {
        return new StreamedResponse(static function () use ($file): void {
            set_time_limit(0);
            foreach ($file->write() as $piece) {
                echo $piece;
            }
        }, 200, self::headers('application/json', 'kitchen.json'));
    }

    #[Answers('application/schema+json')]
    public function schema(): Response
    {
        return self::file(
            (string) file_get_contents(base_path('docs/kitchen.schema.json')),
            'application/schema+json',
            'kitchen.schema.json',
        );
    }

    #[Answers('text/plain')]
    public function sauce(int $sauce, string $form): Response
    {
        $recipe = Sauce::query()->findOrFail($sauce)->recipe;
        $name = trim((string) preg_replace('/[^a-z0-9]+/', '-', strtolower($recipe->title)), '-') ?: 'sauce';

        return $form === 'text'
            ? self::file(RecipeWriter::text($recipe), 'text/plain', "{$name}.txt")
            : self::file(
                json_encode(
                    RecipeWriter::jsonLd($recipe),
                    JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT,
                ),
                'application/ld+json',
                "{$name}.json",
            );
    }

    #[Answers('text/csv')]
    public function table(string $table, Tables $tables): Response
    {
        return self::file(
            ($tables->named($table) ?? throw new NotFoundHttpException())->write(),
            'text/csv',
            "{$table}.csv",
        );
    }

    private static function file(string $contents, string $kind, string $name): Response
    {
        return new Response($contents, 200, self::headers($kind, $name));
    }

    /** @return array<string, string> */
    private static function headers(string $kind, string $name): array
    {
        return [
            'Content-Type' => "{$kind}; charset=utf-8",
            'Content-Disposition' => "attachment; filename=\"{$name}\"",
        ];
    }
}
