<?php

declare(strict_types=1);

namespace App\Exchange;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;

/** The published schema of a kitchen, docs/kitchen.schema.json, which every row is held to that comes from outside. */
final readonly class RowSchema
{
    private const NAME = 'https://vinculum.invalid/kitchen.schema.json';

    private Validator $validator;

    /** @param string $root of the project */
    public function __construct(string $root)
    {
        $this->validator = new Validator();
        $this->validator->resolver()?->registerRaw(
            (string) file_get_contents("{$root}/docs/kitchen.schema.json"),
            self::NAME,
        );
    }

    /** @return array{where: string, why: string}|null what of a row is not as the schema says; null where all is */
    public function oddIn(string $table, object $row): ?array
    {
        $result = $this->validator->validate($row, self::NAME . "#/properties/{$table}/items");
        if ($result->isValid()) {
            return null;
        }
        $found = $result->error() === null ? [] : (new ErrorFormatter())->format($result->error(), false);

        return [
            'where' => ltrim((string) array_key_first($found), '/'),
            'why' => self::plain(array_values($found)[0] ?? ''),
        ];
    }

    private static function plain(mixed $says): string
    {
        return is_array($says)
            ? self::plain(array_values($says)[0] ?? '')
            : rtrim(is_string($says) ? $says : 'is not as the schema says', '.');
    }
}
