import ts from 'typescript';
import { describe, expect, it } from 'vitest';

/** What a person reads or hears stands in the sentences.ts of its place, and not among the elements. */
const read = /^(alt|aria-label|aria-description|helperText|label|placeholder|says|title)$/;
const sources = import.meta.glob<string>(['../**/*.ts', '../**/*.tsx', '!../**/node_modules/**'], {
  query: '?raw',
  import: 'default',
  eager: true,
});
const files = Object.keys(sources);
const pages = files.filter((path) => path.endsWith('.tsx') && !path.includes('/look/'));
const places = files.filter((path) => path.endsWith('/sentences.ts'));
const text = (path: string): string => sources[path] ?? '';

/** Literals that an element shows as they stand, with the line of each. */
function literals(path: string): string[] {
  const source = ts.createSourceFile(path, text(path), ts.ScriptTarget.Latest, true, ts.ScriptKind.TSX);
  const found: string[] = [];
  const note = (node: ts.Node, says: string) => {
    if (!/\p{L}{2}/u.test(says)) return;
    const { line } = source.getLineAndCharacterOfPosition(node.getStart(source));
    found.push(`${path}:${line + 1} ${says.trim()}`);
  };
  /** The literals among what an expression may come to. */
  const outcomes = (node: ts.Expression): void => {
    if (ts.isStringLiteralLike(node)) note(node, node.text);
    else if (ts.isTemplateExpression(node)) {
      note(node, [node.head.text, ...node.templateSpans.map((span) => span.literal.text)].join(' '));
      node.templateSpans.map((span) => span.expression).forEach(outcomes);
    } else if (ts.isParenthesizedExpression(node)) outcomes(node.expression);
    else if (ts.isConditionalExpression(node)) [node.whenTrue, node.whenFalse].forEach(outcomes);
    else if (ts.isBinaryExpression(node) && /^(&&|\|\||\?\?|\+)$/.test(node.operatorToken.getText(source))) {
      [node.left, node.right].forEach(outcomes);
    }
  };
  const visit = (node: ts.Node): void => {
    if (ts.isJsxText(node)) note(node, node.text);
    if (ts.isJsxAttribute(node) && read.test(node.name.getText(source)) && node.initializer !== undefined) {
      if (ts.isStringLiteral(node.initializer)) outcomes(node.initializer);
      else if (ts.isJsxExpression(node.initializer) && node.initializer.expression)
        outcomes(node.initializer.expression);
    }
    if (ts.isJsxExpression(node) && node.expression && !ts.isJsxAttribute(node.parent)) outcomes(node.expression);
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

describe('the sentences of the pages', () => {
  it('stand in one file a place', () => {
    expect(pages.length).toBeGreaterThan(80);
    expect(pages.flatMap(literals)).toEqual([]);
  });

  it('are each said somewhere', () => {
    expect(places.length).toBe(17);
    for (const place of places) {
      const keys = [...text(place).matchAll(/^ {2}(\w+):/gm)].map((match) => match[1]);
      // what several rooms of a sauce say stands in the lowest of them
      const folder = place.slice(0, -(place.includes('/sauce/') ? 'sauce/sentences.ts' : 'sentences.ts').length);
      const code = files
        .filter((path) => path.startsWith(folder) && path !== place)
        .map(text)
        .join('\n');
      expect(keys.length).toBeGreaterThan(1);
      expect(keys.filter((key) => !new RegExp(`\\bsay\\.${key}\\b`).test(code))).toEqual([]);
    }
  });
});
