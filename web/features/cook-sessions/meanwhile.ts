import type { Cook, CookEvent, Move } from '../../api/client';

/** Something that happened and is not stored yet, under the key it will be stored with. */
export type Waiting = CookEvent & { at: number; key: string; epoch?: number | null };

const moves = (cook: Cook, which: (move: Move) => boolean, to: (move: Move) => Move): Cook => ({
  ...cook,
  moves: cook.moves.map((move) => (which(move) ? to(move) : move)),
});

const done = (cook: Cook, kind: Move['kind']): Cook =>
  moves(
    cook,
    (move) => move.kind === kind,
    (move) => ({ ...move, done: true }),
  );

const step = (cook: Cook, number: number | undefined, times: { started?: number; done?: number }): Cook =>
  moves(
    cook,
    (move) => move.step?.number === number,
    (move) => ({
      ...move,
      done: move.done || times.done !== undefined,
      step: move.step === null ? null : { ...move.step, ...times },
    }),
  );

const after = (cook: Cook, event: Waiting): Cook => {
  const figures = event.figures ?? {};
  const grams = figures['grams'] ?? 0;
  switch (event.kind) {
    case 'measured':
      return moves(
        cook,
        (move) => move.measure?.line === figures['line'],
        (move) => ({
          ...move,
          done: true,
          measure: move.measure === null ? null : { ...move.measure, actual_grams: grams },
        }),
      );
    case 'step-started':
      return step(cook, figures['step'], { started: event.at });
    case 'step-done':
      return step(cook, figures['step'], { done: event.at });
    case 'timer-started': {
      const minutes = figures['minutes'] ?? 0;
      const timer = {
        id: 0,
        name: event.words ?? '',
        minutes,
        started: event.at,
        ends: event.at + 60 * minutes,
        stopped: null,
        key: event.key,
      };
      return cook.timers.some((one) => one.key === event.key) ? cook : { ...cook, timers: [...cook.timers, timer] };
    }
    case 'timer-stopped':
      return {
        ...cook,
        timers: cook.timers.map((timer) =>
          (event.timer_key == null ? timer.id === figures['timer'] : timer.key === event.timer_key)
            ? { ...timer, stopped: event.at }
            : timer,
        ),
      };
    case 'pan-empty':
      return done(
        { ...cook, pan: { ...cook.pan, empty_grams: grams, reads_grams: cook.pan.sauce_grams + grams } },
        'pan-empty',
      );
    case 'pan-reads':
      return done({ ...cook, pan: { ...cook.pan, read_grams: grams } }, 'pan-reads');
    case 'heat-off':
      return done({ ...cook, heat_off: event.at }, 'cool');
    case 'ph':
    case 'solids':
      return done(cook, 'readings');
    case 'finished':
      return done({ ...cook, finished: event.at }, 'fill');
    default:
      return cook;
  }
};

/**
 * The sheet with what happened since the server was last heard of: what is done, what runs. Everything that has to be
 * computed (the balance, another way on) waits for the server.
 */
export const meanwhile = (cook: Cook, waiting: readonly Waiting[]): Cook => waiting.reduce(after, cook);
