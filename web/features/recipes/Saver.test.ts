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
const { newLine } = await import('./draft');

const sauce: Sauce = {
  id: 7,
  revision: 3,
  title: 'Dip',
  style: null,
  measures: 'metric',
  yield: null,
  part_ml: null,
  forked_from: null,
  lines: ['salt'],
  method: [],
  pan: null,
  servings: null,
  set_aside: [],
  let_go: [],
  standing: {} as Sauce['standing'],
};
const typed = (saver: InstanceType<typeof Saver>, ...lines: string[]) => {
  saver.take({ ...saver.start, lines: lines.map(newLine) });
};
const sent = () => editSauce.mock.calls.map(([, edit]) => edit as { lines: string[]; revision: number });

describe('the saver', () => {
  it('sends the newest edit once typing pauses, on the revision it was made on', async () => {
    editSauce.mockReset().mockResolvedValue({ ...sauce, revision: 4 });
    const saver = new Saver(sauce);
    typed(saver, 'salt', 'p');
    typed(saver, 'salt', 'pepper');
    await vi.runAllTimersAsync();
    expect(sent()).toEqual([expect.objectContaining({ lines: ['salt', 'pepper'], revision: 3 })]);
    expect(saver.current()).toEqual({ state: 'saved' });
    expect(localStorage.getItem('vinculum.unsaved.7')).toBeNull();
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
    expect(localStorage.getItem('vinculum.unsaved.7')).toContain('pepper');
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
    const back = new Saver({ ...sauce, revision: 4, lines: ['salt', 'pepper'] });
    typed(back, 'salt', 'pepper', 'sugar');
    await vi.runAllTimersAsync();
    expect(sent().at(-1)).toMatchObject({ revision: 4, lines: ['salt', 'pepper', 'sugar'] });
  });

  it('overwrites nobody: a newer edit from elsewhere is told, and nothing is tried again', async () => {
    const theirs = { ...sauce, revision: 9, lines: ['theirs'] };
    editSauce.mockReset().mockRejectedValue(new Refusal(409, 'Changed elsewhere.', theirs));
    const saver = new Saver(sauce);
    typed(saver, 'mine');
    await vi.runAllTimersAsync();
    expect(saver.current()).toEqual({ state: 'conflict', message: 'Changed elsewhere.', theirs });
    expect(sent()).toHaveLength(1);
    expect(saver.takeTheirs(theirs).lines.map((line) => line.text)).toEqual(['theirs']);
    expect(localStorage.getItem('vinculum.unsaved.7')).toBeNull();
  });

  it('says what the server refuses, and keeps it', async () => {
    editSauce.mockReset().mockRejectedValue(new Refusal(422, 'Line 1 is longer than 10,000 letters.', null));
    const saver = new Saver(sauce);
    typed(saver, 'long');
    await vi.runAllTimersAsync();
    expect(saver.current()).toEqual({ state: 'refused', message: 'Line 1 is longer than 10,000 letters.' });
    expect(localStorage.getItem('vinculum.unsaved.7')).toContain('long');
  });
});
