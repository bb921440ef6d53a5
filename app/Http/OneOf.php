<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Contracts\Validation\ValidationRule;

/** One of the names of a long list. Laravel's own rule takes its list apart again at every question it is asked. */
final readonly class OneOf implements ValidationRule
{
    /**
     * @param list<string> $names
     * @param string $fault what is said of any other
     */
    public function __construct(private array $names, private string $fault) {}

    public function validate(string $attribute, mixed $value, \Closure $fail): void
    {
        if (!in_array($value, $this->names, true)) {
            $fail($this->fault);
        }
    }
}
