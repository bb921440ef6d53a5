import { type KeyboardEvent, type RefObject, useCallback } from 'react';
import type { Line } from '../../api/client';
import { type DraftLine, withTag } from '../sauce/draft';
import type { Nudge } from './useNudge';

interface Editor {
  linesRef: RefObject<readonly DraftLine[]>;
  meaningsRef: RefObject<ReadonlyMap<number, Line>>;
  /** The names that are offered while one is written, and which of them is marked. */
  stateRef: RefObject<{ offers: readonly string[]; chosen: number; writing: { readonly index: number } | null }>;
  nudge: Nudge;
  setChosen: (chosen: number) => void;
  move: (from: number, to: number) => void;
  focusAt: (index: number) => void;
  stopWriting: () => void;
  take: (index: number, text: string) => void;
  insertAfter: (index: number, texts: readonly string[], replaced: string | null) => void;
  remove: (index: number) => void;
  mend: (index: number) => void;
  setText: (index: number, text: string) => void;
  onSwap: (id: number) => void;
  onAside: (index: number) => void;
  openMenu: (index: number, anchor: HTMLElement) => void;
}

/** What keys do in a line: split, join, move, nudge, take an offered name. */
export function useLineKeys({
  linesRef,
  meaningsRef,
  stateRef,
  nudge,
  setChosen,
  move,
  focusAt,
  stopWriting,
  take,
  insertAfter,
  remove,
  mend,
  setText,
  onSwap,
  onAside,
  openMenu,
}: Editor) {
  const onArrow = useCallback(
    (event: KeyboardEvent<HTMLInputElement>, index: number) => {
      const step = event.key === 'ArrowUp' ? -1 : 1;
      const { offers: open, chosen: at, writing: now } = stateRef.current;
      event.preventDefault();
      if (event.altKey) {
        move(index, index + step);
      } else if (
        open.length > 0 &&
        now?.index === index &&
        (step > 0 || at >= 0) &&
        !event.shiftKey &&
        !event.ctrlKey
      ) {
        // down goes into the offers, up comes back out of them
        setChosen(Math.min(at + step, open.length - 1));
      } else if (
        event.ctrlKey ||
        nudge.isInAmount(event.currentTarget, meaningsRef.current.get(linesRef.current[index]?.id ?? 0))
      ) {
        nudge.by(index, step === -1 ? 'up' : 'down', event.shiftKey ? 'step' : 'notch');
      } else {
        stopWriting();
        focusAt(index + step);
      }
    },
    [focusAt, linesRef, meaningsRef, move, nudge, setChosen, stateRef, stopWriting],
  );

  return useCallback(
    (event: KeyboardEvent<HTMLInputElement>, index: number) => {
      const field = event.currentTarget;
      const all = linesRef.current;
      const { offers: open, chosen: at, writing: now } = stateRef.current;
      const picked = now?.index === index ? open[at] : undefined;
      if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
        onArrow(event, index);
      } else if (event.key === 'Escape' && open.length > 0) {
        event.stopPropagation();
        stopWriting();
      } else if ((event.key === 'Enter' || event.key === 'Tab') && picked !== undefined && !event.altKey) {
        event.preventDefault();
        take(index, picked);
      } else if (event.key === 'Enter' && event.altKey) {
        event.preventDefault();
        openMenu(index, field);
      } else if (event.key === 'Enter') {
        event.preventDefault();
        stopWriting();
        const cut = field.selectionStart ?? field.value.length;
        if (cut < field.value.length) {
          insertAfter(index, [field.value.slice(cut)], field.value.slice(0, cut) || ' ');
        } else if (index + 1 < all.length && all[index + 1]?.text === '') {
          focusAt(index + 1);
        } else {
          insertAfter(index, [''], null);
        }
      } else if (event.key === 'Backspace' && field.value === '' && all.length > 1) {
        event.preventDefault();
        remove(index);
      } else if (event.altKey && event.code === 'KeyM') {
        event.preventDefault();
        mend(index);
      } else if (event.altKey && event.code === 'KeyK') {
        event.preventDefault();
        setText(index, withTag(field.value, 'lock'));
      } else if (event.altKey && event.code === 'KeyS') {
        event.preventDefault();
        const line = all[index];
        if (line !== undefined) onSwap(line.id);
      } else if (event.altKey && event.code === 'KeyA') {
        event.preventDefault();
        onAside(index);
      }
    },
    [
      linesRef,
      focusAt,
      insertAfter,
      mend,
      onArrow,
      onAside,
      onSwap,
      openMenu,
      remove,
      setText,
      stateRef,
      stopWriting,
      take,
    ],
  );
}
