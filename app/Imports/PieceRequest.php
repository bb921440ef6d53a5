<?php

declare(strict_types=1);

namespace App\Imports;

use Illuminate\Foundation\Http\FormRequest;

/** A piece of a file, its bytes in base64, and where in the file it belongs. */
final class PieceRequest extends FormRequest
{
    private const LONGEST = 4_500_000;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'at' => ['required', 'integer', 'between:0,1000000000000'],
            'bytes' => ['present', 'string', 'max:' . self::LONGEST, 'regex:~^[A-Za-z0-9+/]*={0,2}$~D'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'at' => 'Say where in the file the piece belongs, in bytes.',
            'bytes' => 'A piece is up to 3 MB, written in base64.',
        ];
    }

    public function at(): int
    {
        return $this->integer('at');
    }

    public function piece(): string
    {
        return (string) base64_decode((string) $this->string('bytes'), true);
    }
}
