<?php

declare(strict_types=1);

namespace App\Batches;

use App\Recipes\AsksForASize;
use Illuminate\Foundation\Http\FormRequest;
use Vinculum\Scaling\RequestedSize;

/** The size a batch is to be cooked in; as it is written when nothing is said. */
final class CookStartRequest extends FormRequest
{
    use AsksForASize;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return self::sizeRules();
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return self::sizeMessages();
    }

    public function wish(): RequestedSize
    {
        return $this->size() ?? RequestedSize::once();
    }
}
