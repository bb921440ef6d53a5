import { describe, expect, it, vi } from 'vitest';
import type { Cook } from '../../api/client';

const happen = vi.hoisted(() => vi.fn());
vi.mock('../../api/client', () => {
  class Refusal extends Error {
    constructor(
      readonly status: number,
      message: string,
    ) {
      super(message);
    }
  }
  return { api: { happen }, Refusal };
});

const { Refusal } = (await import('../../api/client')) as unknown as {
  Refusal: new (status: number, message: string) => Error;
};
const { Outbox } = await import('./outbox');

const cook = { id: 5 } as Cook;
const opened = (onCook = vi.fn()) => new Outbox(5, 0, onCook);
const kinds = () => happen.mock.calls.map(([, event]) => (event as { kind: string }).kind);

describe('what happened at the stove', () => {
  it('is sent in order, one at a time, each under a key of its own', async () => {
    happen.mockReset().mockResolvedValue(cook);
    const onCook = vi.fn();
    const outbox = opened(onCook);
    outbox.add({ kind: 'heat-off' });
    outbox.add({ kind: 'finished' });
    await vi.runAllTimersAsync();
    expect(kinds()).toEqual(['heat-off', 'finished']);
    expect(new Set(happen.mock.calls.map(([, event]) => (event as { key: string }).key)).size).toBe(2);
    expect(onCook).toHaveBeenCalledTimes(2);
    expect(outbox.events()).toEqual([]);
  });

  it('waits while the server is away, across a reload, and keeps its key', async () => {
    happen.mockReset().mockRejectedValue(new Error('away'));
    const left = opened();
    left.add({ kind: 'heat-off' });
    await vi.advanceTimersByTimeAsync(10);
    expect(left.lastTrouble()).toBe('away');
    const [key] = left.events().map((event) => event.key);
    left.close();
    happen.mockReset().mockResolvedValue(cook);
    const back = opened();
    await vi.runAllTimersAsync();
    expect(happen.mock.calls.map(([, event]) => (event as { key: string }).key)).toEqual([key]);
    expect(back.events()).toEqual([]);
  });

  it('goes on after what the kitchen refuses, and says that until it was seen', async () => {
    happen.mockReset().mockRejectedValueOnce(new Refusal(422, 'There is no line 40.')).mockResolvedValue(cook);
    const outbox = opened();
    outbox.add({ kind: 'measured', figures: { line: 40, grams: 4 } });
    outbox.add({ kind: 'heat-off' });
    await vi.runAllTimersAsync();
    expect(outbox.events()).toEqual([]);
    expect(
      opened()
        .notTaken()
        .map((one) => one.why),
    ).toEqual(['There is no line 40.']);
    outbox.forgetNotTaken();
    expect(opened().notTaken()).toEqual([]);
  });
});
