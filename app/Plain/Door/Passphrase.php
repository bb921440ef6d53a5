<?php

declare(strict_types=1);

namespace App\Plain\Door;

/**
 * What lets somebody else in the house into the kitchen: kept only as a hash, beside the kitchen and never within it,
 * so that no copy carries it away.
 */
final readonly class Passphrase
{
    public const LEAST_LETTERS = 12;
    private const LEAST_DIFFERENT = 5;
    /** Neighbours in a row that count as one stretch of counting. */
    private const STRETCH = 4;
    /** The hash reads no further. */
    public const MOST_BYTES = 72;

    /** @param string $file where its hash is */
    public function __construct(private string $file) {}

    public static function ofThisKitchen(): self
    {
        $named = getenv('VINCULUM_DOOR');

        return new self(
            (is_string($named) && $named !== '' ? $named : dirname(__DIR__, 3) . '/storage/door') . '/passphrase',
        );
    }

    /** @throws AuthFault when it is too short, too long, or cannot be kept */
    public function set(#[\SensitiveParameter] string $phrase): void
    {
        if (mb_strlen($phrase) < self::LEAST_LETTERS) {
            throw AuthFault::tooShort(self::LEAST_LETTERS);
        }
        if (strlen($phrase) > self::MOST_BYTES) {
            throw AuthFault::tooLong(self::MOST_BYTES);
        }
        if (self::isPlain($phrase)) {
            throw AuthFault::tooPlain();
        }
        $unfinished = "{$this->file}.unfinished";
        $isKept = (is_dir(dirname($this->file)) || @mkdir(dirname($this->file), 0o700, true))
            && @touch($unfinished) && chmod($unfinished, 0o600)
            && file_put_contents($unfinished, password_hash($phrase, PASSWORD_BCRYPT, ['cost' => 12])) !== false
            && rename($unfinished, $this->file);
        if (!$isKept) {
            throw AuthFault::cannotKeep($this->file);
        }
    }

    public function isSet(): bool
    {
        return is_file($this->file);
    }

    public function matches(#[\SensitiveParameter] string $phrase): bool
    {
        return $this->isSet() && strlen($phrase) <= self::MOST_BYTES && password_verify($phrase, $this->hash());
    }

    /** Changes whenever the passphrase does: who came in with an older one is no longer in. */
    public function mark(): ?string
    {
        return $this->isSet() ? hash('sha256', $this->hash()) : null;
    }

    /** Whether it is long and yet no secret: few letters, the same again and again, or counting up or down. */
    private static function isPlain(#[\SensitiveParameter] string $phrase): bool
    {
        $letters = mb_str_split(mb_strtolower((string) preg_replace('/[\s\-_.,]+/u', '', $phrase)));
        $text = implode('', $letters);
        if (
            count(array_unique($letters)) < self::LEAST_DIFFERENT
            || preg_match('/^(.{1,6}?)\1+.{0,5}$/su', $text) === 1
        ) {
            return true;
        }
        // a stretch of neighbours: 123456, fedcba, 8901, qwerty
        $rows = [
            '01234567890123456789',
            'abcdefghijklmnopqrstuvwxyzabcdef',
            'qwertyuiop',
            'asdfghjkl',
            'zxcvbnm',
            'qwertzuiop',
            'azertyuiop',
        ];
        $rest = $text;
        foreach ([...$rows, ...array_map(strrev(...), $rows)] as $row) {
            for ($size = min(strlen($row), 20); $size >= self::STRETCH; --$size) {
                for ($from = 0; $from + $size <= strlen($row); ++$from) {
                    $rest = str_replace(substr($row, $from, $size), '', $rest);
                }
            }
        }

        return mb_strlen($rest) < self::LEAST_LETTERS / 2;
    }

    private function hash(): string
    {
        return (string) file_get_contents($this->file);
    }
}
