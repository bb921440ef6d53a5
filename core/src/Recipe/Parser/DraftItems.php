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
        return array_map(fn(Draft $draft): Item => $this->item($draft, count($drafts) === 1), $drafts);
    }

    private function item(Draft $draft, bool $isOne): Item
    {
        $preparation = $this->preparationOf($draft);
        $amount = $draft->amountText ?? $this->words->textOf($draft->amountTokens);
        $before = $draft->part === null ? '' : "{$draft->part} of ";
        $inLine = $this->spanOf($draft->amountTokens);
        $alone = [strlen($before), strlen($before) + strlen(self::withoutOf($amount))];

        return new Item(
            text: $isOne ? $this->text : $before . $this->alone($draft, $amount),
            measured: $draft->measured(),
            forms: array_slice($draft->amounts, 1),
            name: $this->words->nameOf($draft),
            alternatives: $draft->alternatives,
            offers: $draft->offers,
            preparation: $preparation,
            part: $draft->part,
            tags: $this->tagsOf($draft, $preparation),
            isNonsense: $draft->isNonsense(),
            isRate: $draft->isRate,
            amountText: $amount,
            percent: $draft->percent,
            amountSpan: $isOne || $inLine === null ? $inLine : $alone,
            lineSpan: $inLine,
            nameSpan: $this->spanOf([...$this->words->withoutEmptyWords($draft->name), ...$draft->choices]),
            gloss: $draft->gloss ?? '',
            sameAs: $draft->sameAs,
            isGuessed: $draft->isGuessed,
            isSome: $draft->isSome,
            isShared: $draft->isShared,
        );
    }

    private static function withoutOf(string $amount): string
    {
        return (string) preg_replace('/\s+of$/iu', '', $amount);
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

    /** As it would have been written alone, without the part of a fruit that it is. */
    private function alone(Draft $draft, string $amount): string
    {
        $preparation = $this->preparationOf($draft, $draft->part !== null);
        $forms = implode(' / ', array_map(
            static fn(WrittenAmount $one): string => $one->written(),
            array_slice($draft->amounts, 1),
        ));
        $pieces = [self::withoutOf($amount), $forms === '' ? '' : "({$forms})", $this->words->nameOf($draft)];

        return implode(' ', array_filter($pieces))
            . implode('', array_map(static fn(string $one): string => " or {$one}", $draft->alternatives))
            . implode('', array_map(static fn(string $one): string => " ({$one} will do)", $draft->offers))
            . ($draft->percent === null ? '' : " {$draft->percent}%")
            . ($preparation === '' ? '' : ", {$preparation}")
            . implode('', array_map(static fn(string $tag): string => " [{$tag}]", $draft->tags));
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
                $this->plain->offsetOf($this->words->tokens[min($tokens)]->offset),
                $this->plain->offsetOf($this->words->tokens[max($tokens)]->end),
            ];
    }
}
