import { type RefObject, useEffect } from 'react';
import type { Correction } from '../../api/client';

interface Actions {
  undo: () => void;
  redo: () => void;
  /** Those that stand on the page, the first under Alt+1. */
  corrections: readonly Correction[];
  apply: (correction: Correction) => void;
  solve: () => void;
  showCorrections: () => void;
  linesRef: RefObject<HTMLDivElement | null>;
  panelRef: RefObject<HTMLDivElement | null>;
}

/** What the bench does by keyboard, wherever the focus is. */
export function useBenchKeys({ undo, redo, corrections, apply, solve, showCorrections, linesRef, panelRef }: Actions) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const key = event.key.toLowerCase();
      if ((event.ctrlKey || event.metaKey) && key === 'z') {
        event.preventDefault();
        if (event.shiftKey) redo();
        else undo();
      } else if ((event.ctrlKey || event.metaKey) && key === 'y') {
        event.preventDefault();
        redo();
      } else if (event.altKey && /^Digit[1-8]$/.test(event.code)) {
        const correction = corrections[Number(event.code.slice(5)) - 1];
        if (correction !== undefined) {
          event.preventDefault();
          apply(correction);
        }
      } else if (event.altKey && event.code === 'KeyL') {
        event.preventDefault();
        linesRef.current?.querySelector<HTMLElement>('ol input')?.focus();
      } else if (event.altKey && event.code === 'KeyC') {
        event.preventDefault();
        showCorrections();
        requestAnimationFrame(() => panelRef.current?.querySelector<HTMLElement>('[data-correction]')?.focus());
      } else if (event.altKey && event.code === 'KeyU') {
        event.preventDefault();
        solve();
      }
    };
    window.addEventListener('keydown', onKey);
    return () => {
      window.removeEventListener('keydown', onKey);
    };
  }, [undo, redo, corrections, apply, solve, showCorrections, linesRef, panelRef]);
}
