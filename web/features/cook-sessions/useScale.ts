import { useEffect, useState } from 'react';
import { api, type InstrumentReading } from '../../api/client';
import { say } from './sentences';

const between = 130;
const afterSilence = 2_000;

/** What the scale shows, more than five times a second while it is asked for; slower while it is silent. */
export function useScale(isWanted: boolean): InstrumentReading | null {
  const [reading, setReading] = useState<InstrumentReading | null>(null);
  useEffect(() => {
    if (!isWanted) return undefined;
    let live = true;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const ask = async () => {
      let pause = between;
      try {
        const found = await api.read('scale');
        if (found.value === null) pause = afterSilence;
        if (live) setReading(found);
      } catch {
        pause = afterSilence;
        if (live) setReading({ value: null, settled: false, celsius: null, says: say.theKitchenServerDoesNot });
      }
      if (live) timer = setTimeout(() => void ask(), pause);
    };
    void ask();
    return () => {
      live = false;
      clearTimeout(timer);
    };
  }, [isWanted]);
  return isWanted ? reading : null;
}
