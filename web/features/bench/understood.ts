import type { Line } from '../../api/client';
import { grams } from '../../ui/words';
import { say } from './sentences';

/**
 * What was understood of each line, by its number. Where a line names several ingredients they stand together, and can be
 * given lines of their own.
 */
export function byLine(entries: readonly Line[]): ReadonlyMap<number, Line> {
  const parts = new Map<number, Line[]>();
  for (const entry of entries) {
    if (entry.id !== null) parts.set(entry.id, [...(parts.get(entry.id) ?? []), entry]);
  }
  return new Map([...parts].map(([id, of]) => [id, together(of)]));
}

function together(parts: readonly Line[]): Line {
  const [first, ...others] = parts as [Line, ...Line[]];
  if (others.length === 0) return first;
  const weakest =
    parts.find((part) => part.status === 'unknown') ?? parts.find((part) => part.sure === 'likely') ?? first;
  const names = parts.map(
    (part) => `${part.grams === null ? '' : `${grams(part.grams.value)} `}${part.name ?? say.notKnown}`,
  );
  return {
    ...first,
    status: weakest.status,
    sure: weakest.sure,
    grams: null,
    name: names.join(' · '),
    unread: [...new Set(parts.flatMap((part) => part.unread))],
    note: [...new Set(parts.flatMap((part) => part.note ?? []))].join(' · ') || null,
    mends: [{ says: say.eachInALineOf, text: parts.map((part) => part.alone ?? part.text).join('\n') }, ...first.mends],
  };
}
