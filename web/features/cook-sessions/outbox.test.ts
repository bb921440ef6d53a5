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

  it('puts aside what is answered with trouble five times, lets the next go on, and sends it again when told', async () => {
    happen
      .mockReset()
      .mockImplementation((_, event: { kind: string }) =>
        event.kind === 'measured' ? Promise.reject(new Refusal(500, 'Trouble.')) : Promise.resolve(cook),
      );
    const outbox = opened();
    outbox.add({ kind: 'measured', figures: { line: 1, grams: 4 } });
    outbox.add({ kind: 'heat-off' });
    await vi.runAllTimersAsync();
    expect(kinds()).toEqual([...Array<string>(5).fill('measured'), 'heat-off']);
    expect(outbox.events()).toEqual([]);
    expect(opened().notTaken()).toEqual([expect.objectContaining({ why: 'Trouble.', again: true })]);
    happen.mockReset().mockResolvedValue(cook);
    outbox.sendAgain();
    await vi.runAllTimersAsync();
    expect([kinds(), outbox.events(), outbox.notTaken()]).toEqual([['measured'], [], []]);
  });

  it('tries again what is answered otherwise, and drops nothing', async () => {
    for (const status of [400, 401, 403, 404, 408, 413, 419, 429, 500, 502, 503, 504]) {
      happen.mockReset().mockRejectedValueOnce(new Refusal(status, 'Not now.')).mockResolvedValue(cook);
      const outbox = opened();
      outbox.add({ kind: 'heat-off' });
      await vi.runAllTimersAsync();
      expect(kinds(), String(status)).toEqual(['heat-off', 'heat-off']);
      expect([outbox.events(), outbox.notTaken()]).toEqual([[], []]);
      outbox.close();
    }
  });

  it('adds up what two tabs of one cook keep while the server is away, each sent once it is back', async () => {
    happen.mockReset().mockRejectedValue(new Error('away'));
    const [one, other] = [opened(), opened()];
    one.add({ kind: 'heat-off' });
    other.add({ kind: 'note', words: 'thick' });
    one.add({ kind: 'finished' });
    await vi.advanceTimersByTimeAsync(10);
    one.close();
    other.close();
    const back = opened();
    expect(back.events().map((event) => event.kind)).toEqual(['heat-off', 'note', 'finished']);
    const stored = new Set<string>();
    happen.mockReset().mockImplementation((_, event: { key: string }) => {
      stored.add(event.key);
      return Promise.resolve(cook);
    });
    await vi.runAllTimersAsync();
    expect(stored.size).toBe(3);
    expect(opened().events()).toEqual([]);
  });

  it('hears of what another tab did, and sends it should that tab be gone', async () => {
    happen.mockReset().mockResolvedValue(cook);
    const outbox = opened();
    localStorage.setItem('vinculum-cook-5-of-another', JSON.stringify({ kind: 'heat-off', at: 1, key: 'of-another' }));
    window.dispatchEvent(Object.assign(new Event('storage'), { key: 'vinculum-cook-5-of-another' }));
    expect(outbox.events().map((event) => event.key)).toEqual(['of-another']);
    expect(kinds()).toEqual([]);
    await vi.runAllTimersAsync();
    expect(kinds()).toEqual(['heat-off']);
  });

  it('takes over the list that an earlier page kept', async () => {
    happen.mockReset().mockResolvedValue(cook);
    localStorage.setItem('vinculum-cook-5', JSON.stringify([{ kind: 'heat-off', at: 1, key: 'of-before' }]));
    opened();
    await vi.runAllTimersAsync();
    expect(kinds()).toEqual(['heat-off']);
    expect(localStorage.length).toBe(0);
  });

  it('keeps what the browser would not, as long as the page is open', async () => {
    const kept = localStorage.setItem.bind(localStorage);
    localStorage.setItem = () => {
      throw new Error('full');
    };
    happen.mockReset().mockRejectedValueOnce(new Error('away')).mockResolvedValue(cook);
    const outbox = opened();
    outbox.add({ kind: 'heat-off' });
    await vi.advanceTimersByTimeAsync(10);
    expect(outbox.events()).toHaveLength(1);
    await vi.runAllTimersAsync();
    expect(outbox.events()).toEqual([]);
    localStorage.setItem = kept;
  });
});
