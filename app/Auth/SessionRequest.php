<?php

declare(strict_types=1);

namespace App\Auth;

use App\Plain\Door\Passphrase;
use Illuminate\Foundation\Http\FormRequest;

/** A device that wants to come in. */
final class SessionRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['passphrase' => ['required', 'string', 'max:' . Passphrase::MOST_BYTES]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['passphrase' => 'Enter the passphrase.'];
    }

    public function passphrase(): string
    {
        return (string) $this->string('passphrase');
    }
}
