import { type RefObject, useEffect } from 'react';
import { allowSound } from './sound';

/** What the keys belong to: a field, or a control that answers the space bar itself. */
const isTaken = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && target.closest('input, textarea, select, button, a, [role="dialog"]') !== null;

/** For a hand that holds a spoon: the space bar goes on, as the big button does, and timers may be heard. */
export function useHands(sheet: RefObject<HTMLElement | null>): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      allowSound();
      if (event.key !== ' ' || event.repeat || isTaken(event.target)) return;
      const next = sheet.current?.querySelector<HTMLButtonElement>('[data-move] .MuiButton-contained:not(:disabled)');
      if (next == null) return;
      event.preventDefault();
      next.click();
    };
    window.addEventListener('keydown', onKey);
    window.addEventListener('pointerdown', allowSound);
    return () => {
      window.removeEventListener('keydown', onKey);
      window.removeEventListener('pointerdown', allowSound);
    };
  }, [sheet]);
}
