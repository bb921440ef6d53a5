import { useCallback, useState } from 'react';
import type { Draft } from './draft';

interface History {
  readonly past: readonly Draft[];
  readonly now: Draft;
  readonly future: readonly Draft[];
  /** What the last edit was, and when: typing on in one place is one move. */
  readonly move: string | null;
  readonly at: number;
}

const together = 1_000;

/** A draft with undo and redo over the whole visit. */
export function useHistory(start: Draft) {
  const [history, setHistory] = useState<History>({ past: [], now: start, future: [], move: null, at: 0 });

  /** Changes the draft. Edits with the same move name in quick succession are undone together. */
  const change = useCallback((next: (now: Draft) => Draft, move: string | null = null) => {
    const at = Date.now();
    setHistory((history) => {
      const now = next(history.now);
      if (now === history.now) return history;
      const joins = move !== null && move === history.move && at - history.at < together;
      return { past: joins ? history.past : [...history.past, history.now], now, future: [], move, at };
    });
  }, []);

  const undo = useCallback(() => {
    setHistory((history) => {
      const before = history.past.at(-1);
      return before === undefined
        ? history
        : { past: history.past.slice(0, -1), now: before, future: [history.now, ...history.future], move: null, at: 0 };
    });
  }, []);

  const redo = useCallback(() => {
    setHistory((history) => {
      const [after, ...future] = history.future;
      return after === undefined
        ? history
        : { past: [...history.past, history.now], now: after, future, move: null, at: 0 };
    });
  }, []);

  return {
    draft: history.now,
    change,
    undo,
    redo,
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
  };
}
