import { describe, expect, it } from 'vitest';
import type { Cook } from '../../api/client';
import { meanwhile, type Waiting } from './meanwhile';

const move = (kind: string, kinds: string[], figures: Record<string, number> = {}) => ({
  kind,
  stage: null,
  done: false,
  measure: kind === 'measure' ? { line: figures['line'], grams: 40, actual_grams: null } : null,
  step: kind === 'step' ? { number: figures['step'], started: null, done: null } : null,
  cautions: [],
  done_by: { kinds, figures },
});
const cook = {
  moves: [
    move('measure', ['measured'], { line: 1 }),
    move('measure', ['measured'], { line: 2 }),
    move('step', ['step-done'], { step: 0 }),
    move('readings', ['ph', 'solids']),
  ],
  timers: [],
  pan: { empty_grams: null, sauce_grams: 500, reads_grams: null, read_grams: null },
  heat_off: null,
  finished: null,
} as unknown as Cook;
const happened = (kind: string, figures: Record<string, number>, more: Partial<Waiting> = {}) =>
  ({ kind, figures, at: 1000, key: 'k', ...more }) as Waiting;

describe('a sheet while the kitchen is away', () => {
  it('is as it was where nothing waits', () => {
    expect(meanwhile(cook, [])).toBe(cook);
  });

  it('marks the move that an event does, and no other', () => {
    const now = meanwhile(cook, [happened('measured', { line: 2, grams: 52 })]);
    expect(now.moves.map((one) => one.done)).toEqual([false, true, false, false]);
    expect(now.moves[1]?.measure?.actual_grams).toBe(52);
    expect(meanwhile(cook, [happened('solids', { percent: 40 })]).moves[3]?.done).toBe(true);
  });

  it('marks a step as begun, and as done', () => {
    const begun = meanwhile(cook, [happened('step-started', { step: 0 })]);
    expect(begun.moves[2]).toMatchObject({ done: false, step: { started: 1000, done: null } });
    expect(meanwhile(cook, [happened('step-done', { step: 0 })]).moves[2]).toMatchObject({ done: true });
  });

  it('runs a timer once, and stops it by its key', () => {
    const started = happened('timer-started', { minutes: 5 }, { key: 'egg', words: 'Egg' });
    const twice = meanwhile(cook, [started, started]);
    expect(twice.timers).toMatchObject([{ name: 'Egg', ends: 1300, stopped: null, key: 'egg' }]);
    const stopped = meanwhile(cook, [started, happened('timer-stopped', {}, { at: 1100, timer_key: 'egg' })]);
    expect(stopped.timers[0]?.stopped).toBe(1100);
  });

  it('adds the empty pan to what the sauce may weigh', () => {
    expect(meanwhile(cook, [happened('pan-empty', { grams: 800 })]).pan).toMatchObject({
      empty_grams: 800,
      reads_grams: 1300,
    });
  });
});
