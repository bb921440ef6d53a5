<?php

declare(strict_types=1);

namespace App\Instruments;

use Illuminate\Foundation\Http\FormRequest;

/** What the stand-in instruments are to do, for trying things out without any. */
final class SimulatedRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'do' => ['required', 'in:pour,clear,dip'],
            'grams' => ['required_if:do,pour', 'numeric', 'between:-10000,10000'],
            'seconds' => ['sometimes', 'numeric', 'between:0.05,60'],
            'ph' => ['required_if:do,dip', 'numeric', 'between:0,14'],
            'percent' => ['required_if:do,dip', 'numeric', 'between:0,95'],
            'celsius' => ['required_if:do,dip', 'numeric', 'between:-20,120'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'do' => 'The stand-in can pour, clear and dip.',
            'grams*' => 'Say how many grams to pour.',
            'seconds' => 'Pouring takes up to a minute.',
            'ph*' => 'Say what it is dipped into.',
            'percent*' => 'Say what it is dipped into.',
            'celsius*' => 'Say what it is dipped into.',
        ];
    }

    /** @return array<string, mixed> */
    public function deed(): array
    {
        return match ((string) $this->string('do')) {
            'pour' => [
                'do' => 'pour',
                'grams' => $this->float('grams'),
                'seconds' => $this->filled('seconds') ? $this->float('seconds') : 2.0,
            ],
            'dip' => [
                'do' => 'dip',
                'ph' => $this->float('ph'),
                'percent' => $this->float('percent'),
                'celsius' => $this->float('celsius'),
            ],
            default => ['do' => 'clear'],
        };
    }
}
