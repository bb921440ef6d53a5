import { useCallback } from 'react';
import { api } from '../../api/client';
import { type Draft, newLine, withPage } from '../sauce/draft';
import { say } from './sentences';

/** What a page brings: it is taken in at a line, and what of it is no ingredient is set aside, or taken back. */
export function usePage(
  measures: Draft['measures'],
  change: (next: (now: Draft) => Draft) => void,
  lookAnew: () => void,
  announce: (words: string) => void,
) {
  /** Takes in a page that was pasted at a line, as one move; false while the kitchen is away. */
  const takePage = useCallback(
    async (text: string, index: number): Promise<boolean> => {
      try {
        const page = await api.readPage({ text, measures });
        change((now) => withPage(now, page, index));
        lookAnew();
        announce(say.readLinesStepsUndoTakes(page.lines.length, page.method.length));
        return true;
      } catch {
        return false;
      }
    },
    [announce, change, lookAnew, measures],
  );

  const setAside = useCallback(
    (index: number) => {
      change((now) => {
        const line = now.lines[index];
        if (line === undefined || line.text.trim() === '') return now;
        const left = now.lines.filter((_, at) => at !== index);
        return {
          ...now,
          lines: left.length > 0 ? left : [newLine('')],
          set_aside: [...now.set_aside, { text: line.text, why: 'note' }],
        };
      });
    },
    [change],
  );

  const takeBack = useCallback(
    (at: number, as: 'ingredient' | 'step') => {
      change((now) => {
        const aside = now.set_aside[at];
        if (aside === undefined) return now;
        const rest = { ...now, set_aside: now.set_aside.filter((_, place) => place !== at) };
        return as === 'step'
          ? { ...rest, method: [...now.method, aside.text] }
          : {
              ...rest,
              lines: [...now.lines.filter((line) => line.text.trim() !== ''), newLine(aside.text), newLine('')],
            };
      });
    },
    [change],
  );

  return { takePage, setAside, takeBack };
}
