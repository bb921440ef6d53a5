import { type RefObject, useLayoutEffect, useMemo, useRef } from 'react';
import { api, type Formula, type Line } from '../shared/api';
import type { DraftLine } from './draft';

type Direction = 'up' | 'down';
type Size = 'notch' | 'step';
type Change = (next: (lines: readonly DraftLine[]) => readonly DraftLine[], move: string | null) => void;

const mostWaiting = 3;

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
  const chain = useRef<Promise<void>>(Promise.resolve());

  return useMemo(() => {
    const ask = async (id: number, direction: Direction, by: Size) => {
      const index = lines.current.findIndex((line) => line.id === id);
      const line = lines.current[index];
      if (line === undefined) return;
      const texts = lines.current.map((one) => one.text);
      const { text } = await api.nudge({ ...latest.current, lines: texts, line: index + 1, direction, by });
      if (text === line.text) return;
      const field = fields.current.get(id);
      const caret = field?.selectionStart ?? 0;
      onChange(
        (now) => now.map((one) => (one.id === id && one.text === line.text ? { ...one, text } : one)),
        `nudge ${id}`,
      );
      requestAnimationFrame(() => {
        if (field !== undefined && document.activeElement === field) field.setSelectionRange(caret, caret);
      });
    };
    return {
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
