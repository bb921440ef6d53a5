import type { Line } from '../../api/client';
import { grams } from '../../ui/words';
import { say } from './sentences';

/**
 * What was understood of each row. Where a row names several ingredients they stand together, and can be given lines of
 * their own.
 */
export function byRow(lines: readonly Line[]): readonly (Line | undefined)[] {
  const rows = new Map<number, Line[]>();
  for (const line of lines) {
    rows.set(line.row, [...(rows.get(line.row) ?? []), line]);
  }
  const last = lines.at(-1)?.row ?? -1;
  return Array.from({ length: last + 1 }, (_, row) => {
    const parts = rows.get(row) ?? [];
    return parts.length < 2 ? parts[0] : together(parts);
  });
}

function together(parts: readonly Line[]): Line | undefined {
  const [first] = parts;
  if (first === undefined) return undefined;
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
