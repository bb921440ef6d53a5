import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import { stepsAt } from './barPlace';

/** A bar whose mark can be pulled. Places are in steps. */
export interface Handle {
  /** Where the mark is held at this moment; null where nobody holds it. */
  readonly held: number | null;
  /** Where the cook has put it for this sauce; null where it is the family's. */
  readonly placed: number | null;
  onHold: (steps: number | null) => void;
  /** It is left there; null gives it back to the family. */
  onPlace: (steps: number | null) => void;
}

/** Less than that under a finger is no pull, in pixels. */
const still = 4;
const step = 0.5;
const leap = 2;
const keys: Readonly<Record<string, number>> = {
  ArrowRight: step,
  ArrowUp: step,
  ArrowLeft: -step,
  ArrowDown: -step,
  PageUp: leap,
  PageDown: -leap,
};

/** What makes a bar a slider: pointer, touch and keys. */
export function useBarHandle(handle: Handle | undefined, stands: number, window: readonly number[] | null) {
  const began = useRef<number | null>(null);
  if (handle === undefined) return {};
  const { held, placed, onHold, onPlace } = handle;
  const from = held ?? placed ?? stands;
  const under = (event: PointerEvent<HTMLElement>): number => {
    const { left, width } = event.currentTarget.getBoundingClientRect();
    return stepsAt((100 * (event.clientX - left)) / width, window);
  };
  return {
    tabIndex: 0,
    onPointerDown: (event: PointerEvent<HTMLElement>) => {
      if (event.button !== 0) return;
      began.current = event.clientX;
      event.currentTarget.setPointerCapture(event.pointerId);
    },
    onPointerMove: (event: PointerEvent<HTMLElement>) => {
      if (began.current === null) return;
      if (held !== null || Math.abs(event.clientX - began.current) > still) onHold(under(event));
    },
    onPointerUp: (event: PointerEvent<HTMLElement>) => {
      if (began.current === null) return;
      began.current = null;
      if (held !== null) onPlace(under(event));
    },
    onPointerCancel: () => {
      began.current = null;
      onHold(null);
    },
    onKeyDown: (event: KeyboardEvent<HTMLElement>) => {
      const by = keys[event.key];
      if (by !== undefined) {
        event.preventDefault();
        onPlace(Math.max(0, Math.round((from + by) / step) * step));
      } else if (event.key === 'Delete' || event.key === 'Backspace' || event.key === 'Escape') {
        event.preventDefault();
        onPlace(null);
      }
    },
  };
}
