import { useCallback, useRef, useState } from 'react';
import type { Draft } from '../sauce/draft';

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
  // as it is now, also between an edit and the page that shows it
  const latest = useRef(history);
  const show = useCallback((next: History) => {
    latest.current = next;
    setHistory(next);
  }, []);

  /**
   * Changes the draft, and says what it is then. Edits with the same move name in quick succession are undone together.
   */
  const change = useCallback(
    (next: (now: Draft) => Draft, move: string | null = null): Draft => {
      const before = latest.current;
      const at = Date.now();
      const now = next(before.now);
      if (now === before.now) return now;
      const joins = move !== null && move === before.move && at - before.at < together;
      show({ past: joins ? before.past : [...before.past, before.now], now, future: [], move, at });
      return now;
    },
    [show],
  );

  const undo = useCallback(() => {
    const { past, now, future } = latest.current;
    const before = past.at(-1);
    if (before !== undefined) {
      show({ past: past.slice(0, -1), now: before, future: [now, ...future], move: null, at: 0 });
    }
  }, [show]);

  const redo = useCallback(() => {
    const { past, now, future } = latest.current;
    const [after, ...rest] = future;
    if (after !== undefined) show({ past: [...past, now], now: after, future: rest, move: null, at: 0 });
  }, [show]);

  return {
    draft: history.now,
    change,
    undo,
    redo,
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
  };
}
