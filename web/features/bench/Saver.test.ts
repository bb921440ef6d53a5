import { describe, expect, it, vi } from 'vitest';
import type { Sauce } from '../../api/client';

const editSauce = vi.hoisted(() => vi.fn());
vi.mock('../../api/client', () => {
  class Refusal extends Error {
    constructor(
      readonly status: number,
      message: string,
      readonly current: unknown,
      readonly epoch: number | null = null,
    ) {
      super(message);
    }
  }
  return { api: { editSauce }, Refusal };
});

const { Refusal } = await import('../../api/client');
const { Saver } = await import('./Saver');

const numbered = (...texts: string[]) => texts.map((text, at) => ({ id: at + 1, text }));

const sauce: Sauce = {
  id: 7,
  revision: 3,
  title: 'Dip',
  style: null,
  measures: 'metric',
  yield: null,
  part_ml: null,
  forked_from: null,
  lines: numbered('salt'),
  method: [],
  pan: null,
  servings: null,
  set_aside: [],
  let_go: [],
  aim: [],
  is_told: false,
  standing: {} as Sauce['standing'],
};
const typed = (saver: InstanceType<typeof Saver>, ...lines: string[]) => {
  saver.take({ ...saver.start, lines: numbered(...lines) });
};
const drawers = () =>
  Array.from({ length: localStorage.length }, (_, index) => localStorage.key(index) ?? '')
    .filter((name) => name.startsWith('vinculum.unsaved.7'))
    .map((name) => localStorage.getItem(name) ?? '');
const sent = () => editSauce.mock.calls.map(([, edit]) => edit as { lines: Sauce['lines']; revision: number });

describe('the saver', () => {
  it('sends the newest edit once typing pauses, on the revision it was made on', async () => {
    editSauce.mockReset().mockResolvedValue({ ...sauce, revision: 4 });
    const saver = new Saver(sauce);
    typed(saver, 'salt', 'p');
    typed(saver, 'salt', 'pepper');
    await vi.runAllTimersAsync();
    expect(sent()).toEqual([expect.objectContaining({ lines: numbered('salt', 'pepper'), revision: 3 })]);
    expect(saver.current()).toEqual({ state: 'saved' });
    expect(drawers()).toEqual([]);
  });

  it('keeps what is typed while the server is away, and sends it when it is back', async () => {
    editSauce
      .mockReset()
      .mockRejectedValueOnce(new Error('away'))
      .mockResolvedValue({ ...sauce, revision: 4 });
    const saver = new Saver(sauce);
    typed(saver, 'salt', 'pepper');
    await vi.advanceTimersByTimeAsync(300);
    expect(saver.current()).toEqual({ state: 'away' });
    expect(drawers().join()).toContain('pepper');
    await vi.runAllTimersAsync();
    expect(sent()).toHaveLength(2);
    expect(saver.current()).toEqual({ state: 'saved' });
  });

  it('begins with what was typed and not stored when the page was left', async () => {
    editSauce.mockReset().mockRejectedValue(new Error('away'));
    const left = new Saver(sauce);
    typed(left, 'salt', 'pepper');
    await vi.advanceTimersByTimeAsync(300);
    expect(new Saver(sauce).start.lines.map((line) => line.text)).toEqual(['salt', 'pepper']);
  });

  it('goes on from an edit that was stored though its answer was lost', async () => {
    editSauce.mockReset().mockRejectedValue(new Error('away'));
    const left = new Saver(sauce);
    typed(left, 'salt', 'pepper');
    await vi.advanceTimersByTimeAsync(250);
    // the page is gone
    vi.clearAllTimers();
    editSauce.mockReset().mockResolvedValue({ ...sauce, revision: 5 });
    const back = new Saver({ ...sauce, revision: 4, lines: numbered('salt', 'pepper') });
    typed(back, 'salt', 'pepper', 'sugar');
    await vi.runAllTimersAsync();
    expect(sent().at(-1)).toMatchObject({ revision: 4, lines: numbered('salt', 'pepper', 'sugar') });
  });

  it('overwrites nobody: a newer edit from elsewhere is told, and nothing is tried again', async () => {
    const theirs = { ...sauce, revision: 9, lines: numbered('theirs') };
    editSauce.mockReset().mockRejectedValue(new Refusal(409, 'Changed elsewhere.', theirs));
    const saver = new Saver(sauce);
    typed(saver, 'mine');
    await vi.runAllTimersAsync();
    expect(saver.current()).toEqual({ state: 'conflict', message: 'Changed elsewhere.', theirs });
    expect(sent()).toHaveLength(1);
    expect(saver.takeTheirs(theirs).lines.map((line) => line.text)).toEqual(['theirs']);
    expect(drawers()).toEqual([]);
  });

  it('says what the server refuses, and keeps it', async () => {
    editSauce.mockReset().mockRejectedValue(new Refusal(422, 'Line 1 is longer than 10,000 letters.', null));
    const saver = new Saver(sauce);
    typed(saver, 'long');
    await vi.runAllTimersAsync();
    expect(saver.current()).toEqual({ state: 'refused', message: 'Line 1 is longer than 10,000 letters.' });
    expect(drawers().join()).toContain('long');
  });

  it('keeps what each of two tabs typed, and takes nothing out that is the other’s', async () => {
    const theirs = { ...sauce, revision: 4, lines: numbered('one') };
    editSauce.mockReset().mockRejectedValue(new Error('away'));
    const [one, other] = [new Saver(sauce, 'page one'), new Saver(sauce, 'page other')];
    typed(one, 'one');
    await vi.advanceTimersByTimeAsync(300);
    typed(other, 'other');
    await vi.advanceTimersByTimeAsync(300);
    typed(one, 'one', 'more');
    await vi.advanceTimersByTimeAsync(300);
    expect(drawers().sort()).toEqual([expect.stringContaining('more'), expect.stringContaining('other')]);
    // the first is stored, the other finds that somebody was quicker
    editSauce.mockReset().mockResolvedValueOnce({ ...sauce, revision: 4 });
    editSauce.mockRejectedValue(new Refusal(409, 'Changed elsewhere.', theirs));
    one.flush();
    await vi.advanceTimersByTimeAsync(10);
    other.flush();
    await vi.advanceTimersByTimeAsync(10);
    expect([one.current().state, other.current().state]).toEqual(['saved', 'conflict']);
    expect(drawers()).toEqual([expect.stringContaining('other')]);
    // and whoever opens the sauce next is given what was not stored
    expect(new Saver(theirs, 'page three').start.lines.map((line) => line.text)).toEqual(['other']);
  });

  it('keeps all, in whatever order pages of many tabs type, store, lose and leave', async () => {
    let seed = 28;
    const random = (below: number) => (seed = (seed * 48271) % 2147483647) % below;
    for (let round = 0; round < 60; round += 1) {
      let stored = { ...sauce, id: 7, revision: 3 };
      editSauce.mockReset().mockImplementation((_, edit: { lines: Sauce['lines']; revision: number }) => {
        if (random(2) === 0) return Promise.reject(new Error('away'));
        if (edit.revision !== stored.revision) {
          return Promise.reject(new Refusal(409, 'Changed elsewhere.', stored));
        }
        stored = { ...stored, revision: stored.revision + 1, lines: edit.lines };
        return Promise.resolve(stored);
      });
      const pages = [0, 1, 2].map((page) => new Saver(stored, `page ${String(page)} of round ${String(round)}`));
      const last = new Map<number, string>();
      const wasStored = new Set<string>();
      for (let step = 0; step < 8; step += 1) {
        const page = random(3);
        const text = `typed ${String(round)} ${String(step)}`;
        typed(pages[page] ?? new Saver(stored), text);
        last.set(page, text);
        await vi.advanceTimersByTimeAsync(random(400));
        wasStored.add(stored.lines.map((line) => line.text).join());
      }
      const kept = drawers().join();
      for (const text of last.values()) {
        expect(wasStored.has(text) || kept.includes(text), text).toBe(true);
      }
      vi.clearAllTimers();
      localStorage.clear();
    }
  });
});
