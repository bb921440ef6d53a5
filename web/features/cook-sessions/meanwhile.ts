import type { Cook, CookEvent, Move } from '../../api/client';

/** Something that happened and is not stored yet, under the key it will be stored with. */
export type Waiting = CookEvent & { at: number; key: string; epoch?: number | null };

/** Whether an event does what a move asks for, as the kitchen has said. */
const does = ({ done_by }: Move, event: Waiting): boolean =>
  done_by.kinds.includes(event.kind) &&
  Object.entries(done_by.figures).every(([name, figure]) => event.figures?.[name] === figure);

/** A move with the marks of what is pending: done, begun, what was weighed. */
function marked(move: Move, waiting: readonly Waiting[]): Move {
  const last = waiting.findLast((event) => does(move, event));
  const begun = waiting.findLast(
    (event) => event.kind === 'step-started' && event.figures?.['step'] === move.step?.number,
  );
  if (last === undefined && begun === undefined) return move;
  return {
    ...move,
    done: move.done || last !== undefined,
    measure:
      move.measure === null || last === undefined
        ? move.measure
        : { ...move.measure, actual_grams: last.figures?.['grams'] ?? null },
    step:
      move.step === null
        ? null
        : { ...move.step, started: begun?.at ?? move.step.started, done: last?.at ?? move.step.done },
  };
}

/** The timers that run, with those that were started or stopped and are not stored yet. */
function running(timers: Cook['timers'], event: Waiting): Cook['timers'] {
  if (event.kind === 'timer-started' && !timers.some((one) => one.key === event.key)) {
    const minutes = event.figures?.['minutes'] ?? 0;
    const [started, ends] = [event.at, event.at + 60 * minutes];
    return [...timers, { id: 0, name: event.words ?? '', minutes, started, ends, stopped: null, key: event.key }];
  }
  const isIt = (timer: Cook['timers'][number]) =>
    event.timer_key == null ? timer.id === event.figures?.['timer'] : timer.key === event.timer_key;
  return event.kind === 'timer-stopped'
    ? timers.map((timer) => (isIt(timer) ? { ...timer, stopped: event.at } : timer))
    : timers;
}

/**
 * The sheet with what happened since the server was last heard of marked as pending: what is done, what runs. Everything
 * that has to be worked out waits for the server, but for the empty pan's weight, which is added to what the sauce may
 * weigh, so that a cook without a server knows when to stop.
 */
export function meanwhile(cook: Cook, waiting: readonly Waiting[]): Cook {
  if (waiting.length === 0) return cook;
  const last = (kind: CookEvent['kind']) => waiting.findLast((event) => event.kind === kind);
  const empty = last('pan-empty')?.figures?.['grams'] ?? cook.pan.empty_grams;
  return {
    ...cook,
    moves: cook.moves.map((move) => marked(move, waiting)),
    timers: waiting.reduce(running, cook.timers),
    pan: {
      ...cook.pan,
      empty_grams: empty,
      reads_grams: empty === null ? null : cook.pan.sauce_grams + empty,
      read_grams: last('pan-reads')?.figures?.['grams'] ?? cook.pan.read_grams,
    },
    heat_off: last('heat-off')?.at ?? cook.heat_off,
    finished: last('finished')?.at ?? cook.finished,
  };
}
