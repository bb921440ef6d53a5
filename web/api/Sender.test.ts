import { describe, expect, it, vi } from 'vitest';
import { type After, Sender } from './Sender';

const sender = (jobs: (() => Promise<void>)[], after: After = 'try again') =>
  new Sender(
    () => jobs[0] ?? null,
    () => after,
  );

describe('the sender', () => {
  it('sends one at a time, in order, however often it is called', async () => {
    const done: number[] = [];
    let running = 0;
    let most = 0;
    const jobs = [1, 2, 3].map((number) => async () => {
      most = Math.max(most, ++running);
      await new Promise((resolve) => setTimeout(resolve, 50));
      running -= 1;
      done.push(number);
      jobs.shift();
    });
    const one = sender(jobs);
    one.send();
    one.send();
    await vi.runAllTimersAsync();
    expect([done, most]).toEqual([[1, 2, 3], 1]);
  });

  it('tries again after a while, and not before', async () => {
    const job = vi.fn().mockRejectedValueOnce(new Error('away'));
    const jobs = [job];
    job.mockImplementation(() => {
      jobs.shift();
      return Promise.resolve();
    });
    job.mockRejectedValueOnce(new Error('away'));
    sender(jobs).send();
    await vi.advanceTimersByTimeAsync(1_900);
    expect(job).toHaveBeenCalledTimes(1);
    await vi.runAllTimersAsync();
    expect(jobs).toEqual([]);
  });

  it('stops where it is told to, and begins again when somebody sends', async () => {
    const job = vi.fn().mockRejectedValue(new Error('refused'));
    const one = sender([job], 'stop');
    one.send();
    await vi.runAllTimersAsync();
    expect(job).toHaveBeenCalledTimes(1);
    one.send();
    await vi.runAllTimersAsync();
    expect(job).toHaveBeenCalledTimes(2);
  });

  it('waits for the pause it is given, counted from the last call', async () => {
    const job = vi.fn().mockRejectedValue(new Error('enough'));
    const one = sender([job], 'stop');
    one.send(250);
    await vi.advanceTimersByTimeAsync(200);
    one.send(250);
    await vi.advanceTimersByTimeAsync(200);
    expect(job).not.toHaveBeenCalled();
    await vi.advanceTimersByTimeAsync(60);
    expect(job).toHaveBeenCalledTimes(1);
  });

  it('sends nothing more once it is closed', async () => {
    const job = vi.fn().mockRejectedValue(new Error('away'));
    const one = sender([job]);
    one.send();
    await vi.advanceTimersByTimeAsync(10);
    one.close();
    await vi.runAllTimersAsync();
    expect(job).toHaveBeenCalledTimes(1);
  });
});
