<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Telling;

/**
 * What was said, without the stamps and the numbers of subtitles, as one running text; every byte of it knows where it
 * stands in what was pasted.
 */
final readonly class SpokenText
{
    /** Lines of subtitles that nobody says. */
    private const NOT_SAID = '/^\s*(?:WEBVTT\b.*|\d{1,6}|NOTE\b.*|(?:Kind|Language):.*|STYLE|(?:\d{1,2}:)?\d{1,2}:\d{2}(?:[.,]\d{1,3})?\s*-->.*)\s*$/u';
    /** Stamps, tags and sounds among what is said. */
    private const AMONG = '/<[^<>]{1,80}>|[\[(](?:\d{1,2}:)?\d{1,2}:\d{2}(?:[.,]\d{1,3})?[\])]|^\s*(?:\d{1,2}:)?\d{1,2}:\d{2}(?:[.,]\d{1,3})?\s*[-–:]?\s|[\[(](?:music|laugh\w*|applause|inaudible|sizzling|chopping|sighs?)[\])]|^\s*(?:>>+|[-–]\s)|♪/iu';

    /** @param list<int> $places of each byte of the text in what was pasted, in bytes */
    private function __construct(public string $text, private string $pasted, private array $places) {}

    public static function of(string $pasted): self
    {
        [$text, $places, $at, $last] = ['', [], 0, ''];
        foreach (preg_split('/(?<=\n)/', $pasted) ?: [] as $line) {
            $said = rtrim($line, "\r\n");
            $isBlank = trim($said) === '';
            // subtitles say a line twice while it rolls up
            if (preg_match(self::NOT_SAID, $said) === 1 || !$isBlank && trim($said) === $last) {
                $at += strlen($line);
                continue;
            }
            $last = $isBlank ? $last : trim($said);
            $kept = (string) preg_replace_callback(
                self::AMONG,
                static fn(array $found): string => str_repeat(' ', strlen($found[0])),
                $said,
            );
            foreach (str_split("{$kept}\n") as $offset => $byte) {
                $isSpace = $byte === ' ' || $byte === "\n" || $byte === "\t";
                if ($isSpace && ($text === '' || str_ends_with($text, ' '))) {
                    continue;
                }
                $text .= $isSpace ? ' ' : $byte;
                $places[] = $at + min($offset, strlen($line) - 1);
            }
            $at += strlen($line);
        }

        return new self($text, $pasted, $places);
    }

    /**
     * Where a part of it stands in what was pasted.
     *
     * @return array{int, int} from and to, in characters
     */
    public function origin(int $from, int $to): array
    {
        if ($this->places === []) {
            return [0, 0];
        }
        $last = count($this->places) - 1;
        $begins = $this->places[min($from, $last)];
        $ends = $this->places[max(0, min($to - 1, $last))] + 1;

        return [
            mb_strlen(substr($this->pasted, 0, $begins)),
            mb_strlen(substr($this->pasted, 0, $ends)),
        ];
    }

    /** Whether stamps of a recording stood in it. */
    public static function isStamped(string $pasted): bool
    {
        return preg_match_all(
            '/^\s*(?:WEBVTT\b|[\[(]?(?:\d{1,2}:)?\d{1,2}:\d{2}(?:[.,]\d{1,3})?(?:[\])]|\s*-->|\s))/mu',
            $pasted,
        ) >= 3;
    }
}
