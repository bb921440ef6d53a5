<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

/** One line while it is read: tokens, phrases, clauses, and the things that these are said of. */
final class LineReading
{
    private const MOST_LEAD = 16;

    /** @var list<Token> */
    private array $all;

    /** @var list<int> the number of each token that says something among all */
    private array $numbers = [];

    private LineWords $words;

    public function __construct(
        private readonly string $text,
        private readonly PlainText $plain,
        private readonly PhraseGrammar $grammar,
        Names $names,
        DecimalMark $mark,
    ) {
        $this->all = Lexer::tokens($plain->text, $mark);
        $tokens = [];
        foreach ($this->all as $number => $token) {
            $next = $this->all[$number + 1] ?? null;
            $isAround = in_array($token->kind, [TokenKind::Layout, TokenKind::Price, TokenKind::Link], true);
            if (!$isAround && ($tokens !== [] || !self::isBullet($token, $next))) {
                $tokens[] = $token;
                $this->numbers[] = $number;
            }
        }
        $this->words = new LineWords($tokens, $names);
    }

    public function line(): Line
    {
        $lead = $this->leadIn();
        $this->words->role(array_keys(array_slice($this->words->tokens, 0, $lead)), Role::Joiner);
        [$reader, $joining] = [new ClauseReader($this->words), new ClauseJoining($this->words)];
        foreach ($this->clauses($this->grammar->phrases($this->words->tokens, $lead)) as [$joiner, $clause]) {
            foreach ($reader->drafts($clause, $joiner) as $number => $draft) {
                $joining->join($number === 0 ? $joiner : Joiner::Comma, $draft);
            }
        }
        $drafts = $joining->drafts();
        (new DraftSettling($this->words))->settle($drafts, $joining->lastJoiner);

        return new Line(
            $this->text,
            $this->all,
            $this->rolesOfAll(),
            (new DraftItems($this->text, $this->plain, $this->words))->items($drafts),
            $this->plain->text,
            $this->plain->offsetOf($this->words->tokens[$lead]->offset ?? 0),
            $lead > 0,
        );
    }

    /** A mark before a line that belongs to its list: "-2 cups" is no bullet. */
    private static function isBullet(Token $token, ?Token $next): bool
    {
        return $token->isMark('•', '·', '*', '|', ',', '+', ':')
            || ($token->isMark('-', '–', '—', '.') && $next?->isGlued !== true);
    }

    /** How many words lead up to an amount: "So I'm going in with about two tablespoons …". */
    private function leadIn(): int
    {
        for ($at = 0; $at < min(count($this->words->tokens), self::MOST_LEAD); ++$at) {
            $token = $this->words->tokens[$at];
            if ($at > 0 && $this->grammar->isAmountAt($this->words->tokens, $at)) {
                return $at;
            }
            if (!$token->isMark(',') && !($token->isWord() && Vocabulary::has('speech', $token->lower))) {
                return 0;
            }
        }

        return 0;
    }

    /**
     * @param list<Phrase> $phrases
     *
     * @return list<array{Joiner, non-empty-list<Phrase>}> each with what joins it to the one before
     */
    private function clauses(array $phrases): array
    {
        [$clauses, $joiner, $clause] = [[], Joiner::None, []];
        foreach ($phrases as $phrase) {
            if ($phrase->is(PhraseKind::Joiner)) {
                $this->words->role(range($phrase->from, $phrase->to - 1), Role::Joiner);
                if ($clause !== []) {
                    $clauses[] = [$joiner, $clause];
                    [$joiner, $clause] = [Joiner::None, []];
                }
                $isWeak = in_array($joiner, [Joiner::None, Joiner::Comma], true);
                $joiner = $isWeak ? Joiner::of($phrase->says) : $joiner;
            } else {
                $clause[] = $phrase;
            }
        }

        return $clause === [] ? $clauses : [...$clauses, [$joiner, $clause]];
    }

    /** @return array<int, Role> by token of all */
    private function rolesOfAll(): array
    {
        $roles = [];
        foreach ($this->all as $number => $token) {
            if (!$token->says()) {
                $roles[$number] = Role::Mark;
            }
        }
        foreach ($this->words->roles as $number => $role) {
            $roles[$this->numbers[$number]] = $role;
        }

        return $roles;
    }
}
