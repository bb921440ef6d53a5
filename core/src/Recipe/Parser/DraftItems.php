<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

/** Makes the items of a line from what was read of them. */
final readonly class DraftItems
{
    public function __construct(private string $text, private PlainText $plain, private LineWords $words) {}

    /**
     * @param non-empty-list<Draft> $drafts
     *
     * @return non-empty-list<Item>
     */
    public function items(array $drafts): array
    {
        $items = [];
        $isOne = count($drafts) === 1;
        foreach ($drafts as $draft) {
            $name = $this->words->nameOf($draft);
            $preparation = $this->preparationOf($draft);
            $amount = $draft->amountText ?? $this->words->textOf($draft->amountTokens);
            $tags = $this->tagsOf($draft, $preparation);
            $text = $isOne ? $this->text : $this->alone($draft, $amount, $name);
            $span = $this->spanOf($draft->amountTokens);
            $at = $amount === '' || $isOne ? false : strpos($text, $amount);
            $items[] = new Item(
                $text,
                $draft->measured(),
                array_slice($draft->amounts, 1),
                $name,
                $draft->alternatives,
                $preparation,
                $draft->part,
                $tags,
                array_filter($draft->amounts, static fn(WrittenAmount $one): bool => !$one->isSensible()) !== [],
                $amount,
                $draft->percent,
                $isOne ? $span : ($at === false ? null : [$at, $at + strlen($amount)]),
                $span,
                $this->spanOf([...$this->words->withoutEmptyWords($draft->name), ...$draft->choices]),
                $draft->gloss ?? '',
                $draft->sameAs,
                $draft->isGuessed,
                $draft->isSome,
            );
        }

        return $items;
    }

    /** @return list<string> */
    private function tagsOf(Draft $draft, string $preparation): array
    {
        $tags = $draft->tags;
        $words = preg_split('/[^\pL]+/u', mb_strtolower("{$this->words->nameOf($draft)} {$preparation}")) ?: [];
        if (in_array('drained', $words, true) && !in_array('undrained', $words, true)) {
            $tags[] = 'drained';
        }

        return array_values(array_unique($tags));
    }

    private function preparationOf(Draft $draft, bool $isWithoutParts = false): string
    {
        $said = array_map(fn(array $tokens): string => $this->words->textOf(array_values(array_filter(
            $tokens,
            fn(int $token): bool => !$isWithoutParts || ($this->words->roles[$token] ?? null) !== Role::Part,
        ))), $draft->said);

        return implode(', ', array_filter($said));
    }

    /** As it would have been written alone. */
    private function alone(Draft $draft, string $amount, string $name): string
    {
        $preparation = $this->preparationOf($draft, $draft->part !== null);
        $forms = implode(' / ', array_map(
            static fn(WrittenAmount $one): string => $one->written(),
            array_slice($draft->amounts, 1),
        ));

        return trim(
            ($draft->part === null ? '' : "{$draft->part} of ")
                . trim(preg_replace('/\s+of$/iu', '', $amount) . ' ' . ($forms === '' ? '' : "({$forms}) ") . $name)
                . implode('', array_map(static fn(string $one): string => " or {$one}", $draft->alternatives))
                . ($draft->percent === null ? '' : " {$draft->percent}%")
                . ($preparation === '' ? '' : ", {$preparation}")
                . implode('', array_map(static fn(string $tag): string => " [{$tag}]", $draft->tags)),
        );
    }

    /**
     * @param list<int> $tokens
     *
     * @return array{int, int}|null
     */
    private function spanOf(array $tokens): ?array
    {
        return $tokens === []
            ? null
            : [
                $this->plain->offsetOf($this->words->tokens[$tokens[0]]->offset),
                $this->plain->offsetOf($this->words->tokens[$tokens[count($tokens) - 1]]->end),
            ];
    }
}
