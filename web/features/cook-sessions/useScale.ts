import { useEffect, useState } from 'react';
import type { InstrumentReading } from '../../api/client';
import { listenToScale } from '../../api/scaleFeed';
import { say } from './sentences';

/** The kitchen says five times a second that it is there, whether or not the weight changes. */
const patience = 600;

const silent = (): InstrumentReading => ({
  value: null,
  settled: false,
  celsius: null,
  says: say.theKitchenServerDoesNot,
});

/** What the scale shows, as it changes; that nothing is heard, after half a second of silence. */
export function useScale(isWanted: boolean): InstrumentReading | null {
  const [reading, setReading] = useState<InstrumentReading | null>(null);
  useEffect(() => {
    if (!isWanted) return undefined;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const wait = () => {
      clearTimeout(timer);
      timer = setTimeout(() => {
        setReading(silent());
      }, patience);
    };
    const stop = listenToScale((heard) => {
      setReading(heard);
      wait();
    });
    return () => {
      clearTimeout(timer);
      stop();
    };
  }, [isWanted]);
  return isWanted ? reading : null;
}
