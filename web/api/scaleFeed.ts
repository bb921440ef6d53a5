import { told } from './told';
import type { InstrumentReading } from './types';

const address = '/api/instruments/scale/live';
/** Milliseconds until a stream that was refused is asked for anew; one that breaks off comes back by itself. */
const afterRefusal = 1_000;

/**
 * Hears each reading of the scale as the kitchen tells it.
 *
 * @returns what stops it
 */
export function listenToScale(hear: (reading: InstrumentReading) => void): () => void {
  let stream: EventSource;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const open = () => {
    stream = new EventSource(address);
    stream.addEventListener('message', (event: MessageEvent<string>) => {
      hear(told(JSON.parse(event.data) as InstrumentReading));
    });
    stream.addEventListener('error', () => {
      if (stream.readyState === EventSource.CLOSED) timer = setTimeout(open, afterRefusal);
    });
  };
  open();
  return () => {
    clearTimeout(timer);
    stream.close();
  };
}
