import { flushSync } from 'react-dom';
import { type RefObject, useLayoutEffect, useMemo, useRef } from 'react';
import { api, type Formula, type Line } from '../../api/client';
import type { DraftLine } from '../sauce/draft';

type Direction = 'up' | 'down';
type Size = 'notch' | 'step';
type Change = (next: (lines: readonly DraftLine[]) => readonly DraftLine[], move: string | null) => void;

const mostWaiting = 3;

export type Nudge = ReturnType<typeof useNudge>;

/** Moves a line's amount up or down: by what its spoon or scale can measure, or by what a tongue can notice. */
export function useNudge(
  formula: Formula,
  lines: RefObject<readonly DraftLine[]>,
  onChange: Change,
  fields: RefObject<Map<number, HTMLInputElement>>,
) {
  const latest = useRef(formula);
  useLayoutEffect(() => {
    latest.current = formula;
  });
  const waiting = useRef(0);
  /** Where the caret belongs once the new text is on the page. */
  const awaited = useRef<{ id: number; text: string; caret: number } | null>(null);
  const chain = useRef<Promise<void>>(Promise.resolve());

  return useMemo(() => {
    const ask = async (id: number, direction: Direction, by: Size) => {
      const line = lines.current.find((one) => one.id === id);
      if (line === undefined) return;
      const { text } = await api.nudge({ ...latest.current, lines: [...lines.current], line: id, direction, by });
      if (text === line.text) return;
      awaited.current = { id, text, caret: fields.current.get(id)?.selectionStart ?? 0 };
      // on the page before the next nudge is asked for, which goes on from it
      flushSync(() => {
        onChange(
          (now) => now.map((one) => (one.id === id && one.text === line.text ? { ...one, text } : one)),
          `nudge ${id}`,
        );
      });
    };
    return {
      /** Puts the caret back where it was, once the new amount is on the page. */
      settle: (): void => {
        const now = awaited.current;
        const field = now === null ? undefined : fields.current.get(now.id);
        if (now !== null && field !== undefined && field.value === now.text) {
          awaited.current = null;
          if (document.activeElement === field) field.setSelectionRange(now.caret, now.caret);
        }
      },
      /** Whether the caret stands where the amount is written. */
      isInAmount: (field: HTMLInputElement, line: Line | undefined): boolean => {
        const [start, end] = line?.amount ?? [];
        const caret = field.selectionStart;
        return start !== undefined && end !== undefined && caret !== null && caret >= start && caret <= end;
      },
      by: (index: number, direction: Direction, by: Size): void => {
        const id = lines.current[index]?.id;
        if (id === undefined || waiting.current >= mostWaiting) return;
        waiting.current += 1;
        chain.current = chain.current
          .then(() => ask(id, direction, by))
          .catch(() => {
            // the server is away: the amount stays as it is, and the saving word says so
          })
          .finally(() => {
            waiting.current -= 1;
          });
      },
    };
  }, [fields, lines, onChange]);
}
