import { type RefObject, useCallback, useRef } from 'react';
import type { Line } from '../../api/client';
import { type DraftLine, moved, newLine } from '../sauce/draft';

interface Editor {
  linesRef: RefObject<readonly DraftLine[]>;
  meaningsRef: RefObject<ReadonlyMap<number, Line>>;
  fields: RefObject<Map<number, HTMLInputElement>>;
  /** The line that gets the focus once it is on the page. */
  focusNextRef: RefObject<number | null>;
  onChange: (next: (lines: readonly DraftLine[]) => readonly DraftLine[], move: string | null) => void;
}

/** What can be done to the lines as a whole: put in, move, remove, mend. */
export function useLineEdits({ linesRef, meaningsRef, fields, focusNextRef, onChange }: Editor) {
  /** The readings that were offered for a line when it was mended first. */
  const mends = useRef(new Map<number, readonly string[]>());

  const focusAt = useCallback(
    (index: number) => {
      const line = linesRef.current[index];
      const field = line === undefined ? undefined : fields.current.get(line.id);
      field?.focus();
      field?.setSelectionRange(field.value.length, field.value.length);
    },
    [fields, linesRef],
  );

  const move = useCallback(
    (from: number, to: number) => {
      const line = linesRef.current[from];
      if (line === undefined || to < 0 || to >= linesRef.current.length) return;
      focusNextRef.current = line.id;
      onChange((now) => moved(now, from, to), null);
    },
    [focusNextRef, linesRef, onChange],
  );

  /** Puts lines in after one, whose own text is replaced, or which goes when the replacement is empty. */
  const insertAfter = useCallback(
    (index: number, texts: readonly string[], replaced: string | null) => {
      const added = texts.map(newLine);
      focusNextRef.current = added.at(-1)?.id ?? null;
      onChange((now) => {
        const at = now[index];
        const kept = at === undefined || replaced === '' ? [] : [replaced === null ? at : { ...at, text: replaced }];
        return [...now.slice(0, index), ...kept, ...added, ...now.slice(index + 1)];
      }, null);
    },
    [focusNextRef, onChange],
  );

  const remove = useCallback(
    (index: number) => {
      focusNextRef.current = linesRef.current[index === 0 ? 1 : index - 1]?.id ?? null;
      onChange((now) => (now.length > 1 ? now.filter((_, at) => at !== index) : [newLine('')]), null);
    },
    [focusNextRef, linesRef, onChange],
  );

  const setText = useCallback(
    (index: number, text: string) => {
      onChange((now) => now.map((one, at) => (at === index ? { ...one, text } : one)), null);
    },
    [onChange],
  );

  /** Takes the next offered reading of a line; after the last comes what was written at first. */
  const mend = useCallback(
    (index: number) => {
      const line = linesRef.current[index];
      if (line === undefined) return;
      const offered = mends.current.get(line.id);
      const isOffer = offered !== undefined && offered.includes(line.text);
      const texts = isOffer
        ? offered
        : [line.text, ...(meaningsRef.current.get(line.id)?.mends ?? []).map((choice) => choice.text)];
      const next = texts[(texts.indexOf(line.text) + 1) % texts.length];
      if (texts.length < 2 || next === undefined) return;
      mends.current.set(line.id, texts);
      const [first = '', ...rest] = next.split('\n');
      if (rest.length > 0) insertAfter(index, rest, first);
      else setText(index, next);
    },
    [insertAfter, linesRef, meaningsRef, setText],
  );

  return { focusAt, move, insertAfter, remove, setText, mend };
}
