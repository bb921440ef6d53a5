<?php

declare(strict_types=1);

namespace Vinculum\Facts;

/** One section of a facts file as it is written, for the scripts that write what follows from other facts into it. */
final readonly class FactsSection
{
    public function __construct(public string $text) {}

    /**
     * Every section of a file, in order; what stands before the first comes under ''.
     *
     * @return array<string, self> by key
     */
    public static function ofFile(string $path): array
    {
        $sections = [];
        foreach (preg_split('/^(?=\[)/m', (string) file_get_contents($path)) ?: [] as $text) {
            $key = preg_match('/^\[(.+?)\]/', $text, $found) === 1 ? $found[1] : '';
            $sections[$key] = new self($text);
        }

        return $sections;
    }

    /**
     * @param array<string, self> $sections
     */
    public static function write(string $path, array $sections): void
    {
        file_put_contents($path, implode('', array_map(static fn(self $one): string => $one->text, $sections)));
    }

    /** What a field says; '' where it is not there. */
    public function value(string $field): string
    {
        return preg_match("/^{$field} = (.*)$/m", $this->text, $found) === 1 ? trim($found[1]) : '';
    }

    /** @return list<string> what a field lists */
    public function list(string $field): array
    {
        return preg_split('/\s*,\s*/', $this->value($field), -1, PREG_SPLIT_NO_EMPTY) ?: [];
    }

    /** With a field set; a new one stands after another. */
    public function with(string $field, string $value, string $after): self
    {
        $line = "{$field} = {$value}";
        $pattern = "/^{$field} = .*$/m";

        return new self(
            preg_match($pattern, $this->text) === 1
                ? (string) preg_replace($pattern, $line, $this->text)
                : (string) preg_replace("/^{$after} = .*$/m", "\$0\n{$line}", $this->text, 1),
        );
    }

    /** With a source more: where a table is named already, or names the food in it, it stands once. */
    public function withSource(string $source): self
    {
        if (in_array($source, $this->list('sources'), true)) {
            return $this;
        }
        $table = strtok($source, ' ');
        $others = array_filter(
            $this->list('sources'),
            static fn(string $one): bool => strtok($one, ' ') !== $table,
        );

        return $this->with('sources', implode(', ', [...$others, $source]), 'grades');
    }
}
