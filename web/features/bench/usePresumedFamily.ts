import { useState } from 'react';
import type { Balance, Sauce } from '../../api/client';
import { localStore } from '../../api/localStore';
import type { Draft } from '../sauce/draft';

const storeKeyOf = (sauce: number) => `vinculum.own-measure.${sauce}`;

/**
 * The family that a sauce is compared with until the cook says which it is. It is taken once, from what came onto the
 * bench whole: while one types, windows must not jump from family to family.
 */
export function usePresumedFamily(sauce: Sauce) {
  const [family, setFamily] = useState<string | null>(null);
  const [mayPresume, setMayPresume] = useState(
    () => sauce.lines.some((line) => line.text.trim() !== '') && localStore.read(storeKeyOf(sauce.id)) !== true,
  );
  return {
    family,
    /** Takes note of what a draft looks like. */
    look: (draft: Draft, report: Balance | null) => {
      const seen = report?.presumed ?? null;
      if (mayPresume && draft.style === null && family === null && seen !== null) setFamily(seen);
    },
    /** A whole page came in. */
    lookAnew: () => {
      setMayPresume(true);
    },
    /** The sauce is its own measure; this browser remembers it. */
    refuse: () => {
      localStore.put(storeKeyOf(sauce.id), true);
      setMayPresume(false);
      setFamily(null);
    },
  };
}
