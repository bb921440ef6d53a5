import { describe, expect, it, vi } from 'vitest';
import { Asker } from './Asker';
import { Refusal } from './transport';

const slow = (question: string) =>
  new Promise<string>((resolve) => {
    setTimeout(() => {
      resolve(question.toUpperCase());
    }, 50);
  });

describe('the asker', () => {
  it('asks the first and the newest, and drops what waited between', async () => {
    const asked: string[] = [];
    const asker = new Asker<string, string>((question, answer) => asked.push(`${question} ${answer}`), vi.fn());
    for (const question of ['a', 'b', 'c', 'd']) asker.want(question, slow);
    await vi.runAllTimersAsync();
    expect(asked).toEqual(['a A', 'd D']);
  });

  it('says the fault, and tries again what is wanted then', async () => {
    const onAnswer = vi.fn();
    const onFault = vi.fn();
    const asker = new Asker<string, string>(onAnswer, onFault);
    const ask = vi.fn<(question: string) => Promise<string>>().mockRejectedValueOnce(new Error('away'));
    ask.mockImplementation(slow);
    asker.want('a', ask);
    await vi.advanceTimersByTimeAsync(10);
    expect(onFault).toHaveBeenCalledWith('away');
    await vi.runAllTimersAsync();
    expect(onAnswer).toHaveBeenCalledWith('a', 'A');
  });

  it('asks the newer at once where an older was refused', async () => {
    const onAnswer = vi.fn();
    const ask = vi.fn(slow);
    ask.mockRejectedValueOnce(new Refusal(422, '"4" names no volume', null));
    const asker = new Asker<string, string>(onAnswer, vi.fn());
    asker.want('4', ask);
    asker.want('4 l', ask);
    await vi.advanceTimersByTimeAsync(60);
    expect(onAnswer).toHaveBeenCalledWith('4 l', '4 L');
  });

  it('asks nothing where nothing is wanted any more', async () => {
    const ask = vi.fn(slow);
    const asker = new Asker<string, string>(vi.fn(), vi.fn());
    asker.want('a', ask);
    asker.want('b', ask);
    asker.want(null, ask);
    await vi.runAllTimersAsync();
    asker.close();
    expect(ask).toHaveBeenCalledTimes(1);
  });

  it('tries nothing again once it is closed', async () => {
    const ask = vi.fn<(question: string) => Promise<string>>().mockRejectedValue(new Error('away'));
    const asker = new Asker<string, string>(vi.fn(), vi.fn());
    asker.want('a', ask);
    asker.close();
    await vi.runAllTimersAsync();
    expect(ask).toHaveBeenCalledTimes(1);
  });
});
