<?php

declare(strict_types=1);

namespace Vinculum\Exchange;

/** A web page without linked data: the recipe that its elements name (microdata, RDFa), or its text, block by block. */
final class PageText
{
    private const IS_HTML = '~<(?:!doctype html|html|body|main|article|section|div|p|ul|ol|table|h[1-6]|span|li)\b[^>]*>~i';
    private const BLOCKS = [
        'p', 'div', 'li', 'ul', 'ol', 'h1', 'h2', 'h3', 'h4', 'h5', 'h6', 'tr', 'table', 'section', 'article',
        'header', 'footer', 'main', 'blockquote', 'dl', 'dt', 'dd', 'figure', 'figcaption', 'pre', 'address',
        'fieldset', 'form', 'hr', 'br', 'label', 'details', 'summary', 'body',
    ];
    private const LEFT_OUT = [
        'script', 'style', 'noscript', 'template', 'svg', 'nav', 'select', 'button', 'iframe', 'head', 'audio',
        'video', 'canvas',
    ];
    private const MOST_ELEMENTS = 60_000;

    public static function isHtml(string $text): bool
    {
        return preg_match_all(self::IS_HTML, substr($text, 0, 200_000)) >= 2;
    }

    /** @throws RecipeFault where it is larger than any page of recipes */
    private static function document(string $html): \DOMDocument
    {
        if (substr_count($html, '<') > self::MOST_ELEMENTS) {
            throw RecipeFault::tooIntricate();
        }
        $document = new \DOMDocument();
        $document->loadHTML('<?xml encoding="UTF-8">' . $html, LIBXML_NOERROR | LIBXML_NOWARNING | LIBXML_NONET | LIBXML_COMPACT);

        return $document;
    }

    /**
     * The recipe whose parts are named by microdata or RDFa, as linked data would have it; null where none is.
     *
     * @return array<string, mixed>|null
     *
     * @throws RecipeFault
     */
    public static function marked(string $html): ?array
    {
        if (preg_match('~schema\.org/Recipe|typeof\s*=\s*["\']?(?:\w+:)?Recipe|h-recipe~i', $html) !== 1) {
            return null;
        }
        $path = new \DOMXPath(self::document($html));
        $parts = [
            'name' => ['name'],
            'recipeIngredient' => ['recipeIngredient', 'ingredients'],
            'recipeInstructions' => ['recipeInstructions'],
            'recipeYield' => ['recipeYield'],
        ];
        $recipe = [];
        foreach ($parts as $name => $properties) {
            foreach ($properties as $property) {
                $quoted = "'{$property}'";
                $found = $path->query(
                    "//*[contains(concat(' ', normalize-space(@itemprop), ' '), concat(' ', {$quoted}, ' ')) or @property={$quoted}"
                        . " or substring-after(@property, ':')={$quoted}]",
                );
                foreach ($found === false ? [] : $found as $element) {
                    if (!$element instanceof \DOMElement) {
                        continue;
                    }
                    $texts = $element->hasAttribute('content')
                        ? [$element->getAttribute('content')]
                        : self::lines($element);
                    $recipe[$name] = [...($recipe[$name] ?? []), ...array_map(
                        static fn(string $text): string => (string) preg_replace('/^(?:- |#+ )/', '', $text),
                        $texts,
                    )];
                }
            }
        }

        return ($recipe['recipeIngredient'] ?? []) === [] ? null : ['@type' => 'Recipe', ...$recipe];
    }

    /**
     * The text of a page as one would copy it: a line for each block, list items and headings marked.
     *
     * @throws RecipeFault
     */
    public static function of(string $html): string
    {
        $document = self::document($html);
        $root = $document->getElementsByTagName('body')->item(0) ?? $document->documentElement;

        return implode("\n", $root === null ? [] : self::lines($root));
    }

    /** @return list<string> */
    private static function lines(\DOMNode $node): array
    {
        $text = '';
        self::collect($node, $text, 0);
        $lines = [];
        foreach (explode("\n", $text) as $line) {
            $line = trim((string) preg_replace('/[^\S\n]+/u', ' ', $line));
            if ($line !== '' && preg_match('/^(?:-|#+)$/', $line) !== 1) {
                $lines[] = $line;
            }
        }

        return $lines;
    }

    private static function collect(\DOMNode $node, string &$text, int $depth): void
    {
        if ($node instanceof \DOMText) {
            $text .= preg_replace('/\s+/u', ' ', $node->textContent);

            return;
        }
        $name = strtolower($node->nodeName);
        if (in_array($name, self::LEFT_OUT, true) || $depth > 200) {
            return;
        }
        $isBlock = in_array($name, self::BLOCKS, true);
        if ($isBlock) {
            $text .= "\n";
        }
        $text .= match ($name) {
            'li' => '- ',
            'h1' => '# ',
            'h2', 'h3', 'h4', 'h5', 'h6' => '## ',
            'td', 'th' => ' ',
            default => '',
        };
        foreach ($node->childNodes as $child) {
            self::collect($child, $text, $depth + 1);
        }
        if ($isBlock) {
            $text .= "\n";
        }
    }
}
