<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

use Vinculum\Ingredient\NameWords;

/** The words of one line while it is read: what is known of them, and which role each was found to have. */
final class LineWords
{
    /** @var array<int, Role> by token */
    public array $roles = [];

    /** @var array<string, bool> names asked about */
    private array $known = [];

    /** @param list<Token> $tokens without what is only around them */
    public function __construct(public readonly array $tokens, private readonly Names $names) {}

    /** The ingredient that a text names to the word; null where it names none. */
    public function keyOf(string $text): ?string
    {
        return $this->names->keyOf($text);
    }

    /** "50 g of it brown": a part of the thing before. */
    public function isOfTheSame(Draft $draft): bool
    {
        return count($draft->name) > 1
            && $this->tokens[$draft->name[0]]->isWord('it', 'them', 'which', 'these', 'those');
    }

    /**
     * What a draft is called with the last words of the one before, which are not said twice: "1 cup red wine, 1 cup
     * white", "1 tbsp Dijon, 1 tbsp wholegrain"; null where that is no other thing.
     */
    public function calledLike(Draft $before, Draft $draft): ?string
    {
        $said = $this->textOf(array_slice($draft->name, $this->isOfTheSame($draft) ? 1 : 0));
        $name = $this->nameOf($before);
        $own = $this->keyOf($name);
        foreach (array_filter([$name, $this->names->inFull($name)]) as $whole) {
            $words = explode(' ', $whole);
            foreach ([...array_slice(array_keys($words), 1), 0] as $from) {
                $called = "{$said} " . implode(' ', array_slice($words, $from));
                $key = $this->keyOf($called);
                // brown mustard seeds are counted among mustard seeds; cold cream is that cream
                $isKind = $key === $own && !NameWords::isDescriptor($said) && !Vocabulary::has('done-to', $said);
                if ($key !== null && ($key !== $own || $isKind)) {
                    return $called;
                }
            }
        }

        return null;
    }

    /**
     * @param list<int> $tokens
     */
    public function textOf(array $tokens): string
    {
        $text = '';
        foreach ($tokens as $number => $token) {
            $isApart = $number > 0 && (!$this->tokens[$token]->isGlued || $tokens[$number - 1] !== $token - 1);
            $text .= ($isApart ? ' ' : '') . $this->tokens[$token]->text;
        }

        // trim() takes bytes, and "⅓" begins with one that "–" begins with
        return (string) preg_replace('/^[\s,;:–-]+|[\s,;:–-]+$/u', '', $text);
    }

    public function nameOf(Draft $draft): string
    {
        return $draft->called ?? $this->textOf($this->withoutEmptyWords($draft->name));
    }

    /**
     * Without words that say nothing of what it is, as long as something stays.
     *
     * @param list<int> $name
     *
     * @return list<int>
     */
    public function withoutEmptyWords(array $name): array
    {
        $at = 0;
        while ($at < count($name)) {
            $token = $this->tokens[$name[$at]];
            $passed = Vocabulary::phraseAt('passed-over', $this->tokens, $name[$at]);
            if ($passed > 0 && $at + $passed < count($name)) {
                $at += $passed;
            } elseif ($token->isMark() || Vocabulary::has('empty', $token->lower) && $at + 1 < count($name)) {
                ++$at;
            } else {
                break;
            }
        }

        return array_slice($name, $at);
    }

    /** @return list<int> of its name and what is said of it */
    public function tokensOf(Draft $draft): array
    {
        $tokens = [...$draft->name, ...array_merge([], ...$draft->said)];
        sort($tokens);

        return $tokens;
    }

    /** Whether a word changes nothing of what goes in. */
    public function isPlain(int $token): bool
    {
        $word = $this->tokens[$token];

        return $word->isMark()
            || ($word->isWord() && (Vocabulary::has('beside', $word->lower) || self::isDescribing($word->lower)));
    }

    /**
     * Whether words name something: more than how it is.
     *
     * @param list<int> $tokens
     */
    public function tells(array $tokens): bool
    {
        foreach ($tokens as $token) {
            if (!$this->isPlain($token)) {
                return true;
            }
        }

        return $tokens !== [] && $this->isNameKnown($this->textOf($tokens), true);
    }

    /** Its name, of one: the lime of "zest of 1". */
    public function oneOf(Draft $draft): string
    {
        $name = $this->nameOf($draft);
        $one = (string) preg_replace('/(?<!s)s$/u', '', $name);

        return $this->keyOf($one) === $this->keyOf($name) ? $one : $name;
    }

    /** The first word of a name that says in which form it is bought: "dried", "ground". */
    public function formOf(Draft $draft): ?string
    {
        foreach (explode(' ', mb_strtolower($this->nameOf($draft))) as $word) {
            if (Vocabulary::has('forms', $word)) {
                return $word;
            }
        }

        return null;
    }

    public function isKnown(Draft $draft, bool $isToTheWord = false): bool
    {
        return $this->isNameKnown($this->nameOf($draft), $isToTheWord);
    }

    public function isNameKnown(string $name, bool $isToTheWord = false): bool
    {
        return $isToTheWord
            ? $this->keyOf($name) !== null
            : $this->known[$name] ??= $name !== '' && $this->names->knows(new Item($name, name: $name));
    }

    /** Whether a word begins what is only a note: "see note 2", "keep the juice", "not pie filling". */
    public function isNote(int $at): bool
    {
        return Vocabulary::phraseAt('notes', $this->tokens, $at) > 0
            || Vocabulary::phraseAt('kept', $this->tokens, $at) > 0
            || $this->tokens[$at]->isWord('not');
    }

    /**
     * "oat milk is fine too", "low-fat if you like": what may go in instead.
     *
     * @param list<int> $tokens one behind the other
     *
     * @return list<int> before the words that say so; none where nothing says so
     */
    public function choiceIn(array $tokens, bool $isInBracket): array
    {
        $fields = $isInBracket ? ['instead', 'if_liked'] : ['instead'];
        foreach (array_slice($tokens, 1, preserve_keys: true) as $number => $token) {
            foreach ($fields as $field) {
                if (Vocabulary::phraseAt('choices', $this->tokens, $token, $field) === count($tokens) - $number) {
                    return array_slice($tokens, 0, $number);
                }
            }
        }

        return [];
    }

    /** @param list<int> $tokens */
    public function option(Draft $draft, array $tokens): void
    {
        foreach ($tokens as $token) {
            if ($this->tokens[$token]->isWord('optional', 'optionally')) {
                $draft->tags[] = 'optional';
            }
        }
    }

    /** @param array<int> $tokens */
    public function role(array $tokens, Role $role): void
    {
        foreach ($tokens as $token) {
            $this->roles[$token] = $role;
        }
    }

    /** @param list<int> $tokens */
    public function unrole(array $tokens): void
    {
        foreach ($tokens as $token) {
            unset($this->roles[$token]);
        }
    }

    /**
     * Whether words may be part of what a thing is called: "white", "ground", not "chopped".
     *
     * @param list<int> $tokens
     */
    public function mayName(array $tokens): bool
    {
        return $tokens !== [] && array_filter(
            $tokens,
            fn(int $token): bool => Vocabulary::has('done-to', $this->tokens[$token]->lower),
        ) === [];
    }

    /**
     * Whether what is done to a thing may be another kind of it: "fresh" behind the dried.
     *
     * @param list<int> $tokens
     */
    public function mayBeAKind(array $tokens): bool
    {
        return $tokens !== [] && array_filter(
            $tokens,
            fn(int $token): bool => !Vocabulary::has('done-to', $this->tokens[$token]->lower, 'kinds'),
        ) === [];
    }

    private static function isDescribing(string $word): bool
    {
        $words = NameWords::of($word);

        return array_filter($words, static fn(string $one): bool => !NameWords::isDescriptor($one)) === [];
    }
}
