<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Text;

use Vinculum\Recipe\Parser\Cursor;
use Vinculum\Recipe\Parser\Lexer;
use Vinculum\Recipe\Parser\NumberGrammar;
use Vinculum\Recipe\Parser\PlainText;
use Vinculum\Recipe\Recipe;

/** The recipe on a page: its title, ingredients under their headings, method, yield; what is none of these is set aside. */
final class PageRecipe
{
    private const KEYS = '/^(?P<key>title|style|pan)\s*:\s*(?P<value>\S.*)$/iu';
    /** A last sentence that says what is made. */
    private const MAKES = '/(?:^|[.!;]\s+)((?:this |it )?(?:makes|yields?|fills)\b:?(?:[^.!]|\.\d)*)[.!]?\s*$/iu';
    /** A sentence that does. */
    private const SAYS = '/(?:^|[.!?|·•]\s+)((?:it |this )?(?:makes|yields|fills)\b(?:[^.!?|·•]|\.\d)*)/iu';
    /** A part of a list that holds what the sauce is eaten with. */
    private const SERVED_WITH = '/^(?:to|for) serv(?:e|ing)\b|^serve with\b/iu';
    private const TO_SERVE = '/^(?:to|for) serv(?:e|ing):?$/iu';
    private const LONGEST_TITLE = 200;

    public static function read(string $text, PageReader $reader): Recipe
    {
        [$keys, $lines] = self::keys($text);
        $lines = count(array_filter($lines, static fn(string $one): bool => trim($one) !== '')) === 1
            ? OneLinePage::apart(trim(implode('', $lines)))
            : $lines;

        return self::of($reader->read(PageColumns::single($lines)), $keys);
    }

    /**
     * @param list<ReadLine> $read
     * @param array<string, string> $keys what a line says for itself: title, style, pan
     */
    public static function of(array $read, array $keys = []): Recipe
    {
        [$title, $lines, $method, $aside, $stage] = [$keys['title'] ?? '', [], [], [], null];
        $isServing = false;
        $read = self::withoutEmptyStages($read);
        // what is said before the first ingredient is of the recipe; behind it, others may speak of theirs
        $ahead = 0;
        foreach ($read as $line) {
            if ($line->kind === LineKind::Title && $title === '') {
                [$title, $more] = self::title($line->text);
                array_push($aside, ...$more);
                continue;
            }
            $ahead = $lines === [] ? count($aside) : $ahead;
            $isServedWith = $line->kind === LineKind::Ingredient && $lines !== []
                && preg_match(self::SERVED_WITH, $stage ?? '') === 1;
            // below the method what it is eaten with stands among its steps
            $begins = $method !== [] && preg_match(self::TO_SERVE, trim($line->text)) === 1;
            $isServing = $begins || $isServing && $line->kind === LineKind::Step && !LineSigns::tellsToDo($line->text);
            if ($begins) {
                $aside[] = ['text' => $line->text, 'why' => 'heading'];
                continue;
            }
            if ($isServedWith || $isServing) {
                $aside[] = ['text' => $line->text, 'why' => 'served-with'];
                continue;
            }
            match ($line->kind) {
                LineKind::Ingredient => $lines[] = [self::ingredient($line->text), $stage],
                LineKind::Heading => $stage = rtrim(trim($line->text), ' :'),
                LineKind::Step => self::step($line->text) === ''
                    ? $aside[] = ['text' => $line->text, 'why' => 'heading']
                    : $method[] = self::step($line->text),
                default => $aside[] = [
                    'text' => $line->text,
                    'why' => $line->kind->aside() ?? 'note',
                    ...($line->isSure ? [] : ['sure' => false]),
                ],
            };
        }
        $yields = array_column(
            array_filter($aside, static fn(array $one): bool => $one['why'] === LineKind::Yield->value),
            'text',
        );

        return new Recipe(
            $title,
            $keys['style'] ?? null,
            Recipe::underHeadings($lines),
            $method,
            yield: PageYield::written([
                ...$yields,
                ...self::besideOthers($aside),
                ...self::saidAhead(array_slice($aside, 0, $ahead)),
                ...self::saidLast($method),
            ]),
            pan: $keys['pan'] ?? null,
            servings: self::servingsIn([
                ...$yields,
                ...self::behindTheTimes($aside),
            ]),
            setAside: $aside,
        );
    }

    /**
     * A heading that no ingredient comes under is one of the page, and stays to be seen.
     *
     * @param list<ReadLine> $read
     *
     * @return list<ReadLine>
     */
    private static function withoutEmptyStages(array $read): array
    {
        $isUsed = false;
        foreach (array_reverse(array_keys($read)) as $at) {
            $line = $read[$at];
            if ($line->kind === LineKind::Heading && !$isUsed) {
                $read[$at] = new ReadLine($line->text, LineKind::IngredientsHeading, false);
            }
            $isUsed = $line->kind === LineKind::Ingredient || ($isUsed && $line->kind !== LineKind::Heading);
        }

        return array_values($read);
    }

    /**
     * "Ingredients (makes 500 ml)", "Prep 20 mins | Cook 30 mins | Makes about 700 ml": beside a heading, or the times.
     *
     * @param list<array{text: string, why: string, sure?: bool}> $aside
     *
     * @return list<string>
     */
    private static function besideOthers(array $aside): array
    {
        $found = [];
        foreach ($aside as $one) {
            if (
                in_array($one['why'], ['heading', 'time'], true)
                && preg_match('/[(|·•;,.]\s*((?:makes|yields?|fills)\b[^)|·•;]*)/iu', $one['text'], $part) === 1
            ) {
                $found[] = $part[1];
            }
        }

        return $found;
    }

    /**
     * "Keeps for ages. Fills around 4 x 450g jars.": a sentence of what is said about it.
     *
     * @param list<array{text: string, why: string, sure?: bool}> $aside
     *
     * @return list<string>
     */
    private static function saidAhead(array $aside): array
    {
        $found = [];
        foreach ($aside as $one) {
            if (preg_match(self::SAYS, $one['text'], $part) === 1 && in_array($one['why'], ['note', 'blurb'], true)) {
                $found[] = $part[1];
            }
        }

        return $found;
    }

    /**
     * What a method says at its very end that it makes: "Cool and bottle. Fills one 350 ml bottle." In the midst of it
     * such a sentence may be of a part.
     *
     * @param list<string> $method
     *
     * @return list<string>
     */
    private static function saidLast(array $method): array
    {
        return preg_match(self::MAKES, end($method) ?: '', $found) === 1 ? [$found[1]] : [];
    }

    /**
     * A title, and what stands in brackets or after a rule behind it: "REMOULADE (serves 6)".
     *
     * @return array{string, list<array{text: string, why: string, sure?: bool}>}
     */
    private static function title(string $text): array
    {
        $isMore = preg_match('/^(.+?)\s{0,8}[(|•·]\s{0,8}((?:serves|makes|yields?|enough)\b[^)]*)\)?\s*$/iu', $text, $found) === 1;

        return [
            mb_substr(rtrim($isMore ? $found[1] : $text, " :\t"), 0, self::LONGEST_TITLE),
            $isMore ? [['text' => $found[2], 'why' => LineKind::Yield->value]] : [],
        ];
    }

    /**
     * "Serves 8" of "Prep 15 mins, cook 25 mins, serves 8": what stands before it are minutes.
     *
     * @param list<array{text: string, why: string, sure?: bool}> $aside
     *
     * @return list<string>
     */
    private static function behindTheTimes(array $aside): array
    {
        $found = [];
        foreach ($aside as $one) {
            $says = preg_match('/\b(?:serves|feeds|servings?|portions?)\b.*/iu', $one['text'], $part) === 1;
            if ($says && $one['why'] === 'time') {
                $found[] = $part[0];
            }
        }

        return $found;
    }

    /**
     * The portions that a line names: of a range the fewer.
     *
     * @param list<string> $lines
     */
    public static function servingsIn(array $lines): ?int
    {
        foreach ($lines as $line) {
            if (preg_match('/\b(?:serv\w*|portions?|people|feeds|for)\b/iu', $line) !== 1
                || preg_match('/serving size/iu', $line) === 1
            ) {
                continue;
            }
            $cursor = new Cursor(Lexer::tokens($line));
            for (; !$cursor->isAtEnd(); $cursor->move()) {
                $range = $cursor->peek()?->isWord('a', 'an') === true ? null : NumberGrammar::range($cursor);
                if ($range !== null && $range[0] >= 1.0 && $range[0] <= 1000.0) {
                    return (int) $range[0];
                }
            }
        }

        return null;
    }

    /** @return array{array<string, string>, list<string>} */
    private static function keys(string $text): array
    {
        [$keys, $lines] = [[], []];
        foreach (preg_split('/\R/u', $text) ?: [] as $line) {
            if (preg_match(self::KEYS, trim($line), $found) === 1) {
                $keys[mb_strtolower($found['key'])] ??= $found['value'];
            } else {
                $lines[] = $line;
            }
        }

        return [$keys, $lines];
    }

    /** Without its bullet or number. */
    private static function ingredient(string $text): string
    {
        return (string) preg_replace('/^\d{1,2}[.)]\s+(?=\S)/u', '', PlainText::withoutBullet($text));
    }

    /** Without its number: the method counts its own steps. */
    private static function step(string $text): string
    {
        $text = (string) preg_replace(
            '/^(?:(?:directions|instructions|method|preparation)\s*:\s+|step\s*\d{1,2}\s*[.:)-]?\s*|\d{1,2}\s*[.)]\s+)/iu',
            '',
            PlainText::withoutBullet($text),
        );

        return trim(LineSigns::countsAStep($text) ? (string) preg_replace('/^\s*\d{1,2}\s+/u', '', $text) : $text);
    }
}
