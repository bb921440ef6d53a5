<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

/**
 * An ingredient line whose every word has a role, or is shown as unread: what is not among the roles is unread, so that
 * nothing can be passed over in silence.
 */
final readonly class Line
{
    /** @var list<string> words that no role was found for, those side by side together */
    public array $unread;

    /**
     * @param string $text as written
     * @param list<Token> $tokens all of it
     * @param array<int, Role> $roles by token
     * @param non-empty-list<Item> $items what it names, in order
     * @param int $begins where its first word stands that leads up to nothing, in bytes
     * @param bool $isLedUpTo words lead up to its amount: "so we're going in with …"
     */
    public function __construct(
        public string $text,
        public array $tokens,
        public array $roles,
        public array $items,
        string $plain,
        public int $begins = 0,
        public bool $isLedUpTo = false,
    ) {
        [$unread, $from, $to] = [[], null, 0];
        foreach ($tokens as $number => $token) {
            $isOpen = !isset($roles[$number]) && $token->says();
            if ($isOpen) {
                $from ??= $token->offset;
                $to = $token->end;
            } elseif ($from !== null && $token->says()) {
                $unread[] = substr($plain, $from, $to - $from);
                $from = null;
            }
        }
        if ($from !== null) {
            $unread[] = substr($plain, $from, $to - $from);
        }
        $this->unread = $unread;
    }

    /** The one thing that it names, or the first. */
    public function first(): Item
    {
        return $this->items[0];
    }
}
