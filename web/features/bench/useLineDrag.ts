import { type PointerEvent, useCallback, useState } from 'react';
import { type DraftLine, moved } from '../sauce/draft';

type Change = (next: (lines: readonly DraftLine[]) => readonly DraftLine[], move: string | null) => void;

/** Drags a line by its handle: it takes the place of the line under the pointer as it goes. */
export function useLineDrag(onChange: Change) {
  const [dragged, setDragged] = useState<number | null>(null);
  const drag = useCallback(
    (event: PointerEvent<HTMLElement>, id: number) => {
      if (event.button !== 0) return;
      event.preventDefault();
      setDragged(id);
      const list = event.currentTarget.closest('ol');
      const onMove = (to: globalThis.PointerEvent) => {
        const rows = [...(list?.querySelectorAll<HTMLElement>('[data-line]') ?? [])];
        const over = rows.findIndex((one) => to.clientY < one.getBoundingClientRect().bottom);
        const target = over < 0 ? rows.length - 1 : over;
        onChange((now) => {
          const from = now.findIndex((line) => line.id === id);
          return from < 0 || from === target ? now : moved(now, from, target);
        }, `drag ${id}`);
      };
      const onUp = () => {
        setDragged(null);
        window.removeEventListener('pointermove', onMove);
        window.removeEventListener('pointerup', onUp);
        window.removeEventListener('pointercancel', onUp);
      };
      window.addEventListener('pointermove', onMove);
      window.addEventListener('pointerup', onUp);
      window.addEventListener('pointercancel', onUp);
    },
    [onChange],
  );
  return { drag, dragged };
}
