import { describe, expect, it, vi } from 'vitest';
import { api } from './client';

const fetched = vi.fn();
vi.stubGlobal('fetch', fetched);
const answered = (status: number) => Promise.resolve(new Response('{"message": "said"}', { status }));
const keys = () =>
  fetched.mock.calls.map(([, init]) => ((init as RequestInit).headers as Headers).get('Idempotency-Key'));
const dose = (grams: number) =>
  api.dose(3, { additions: [{ ingredient: 'salt', grams, measure: 'a pinch' }], says: [] }).catch(() => null);

describe('what is asked of the kitchen', () => {
  it('has one key as long as no answer came, whatever became of it', async () => {
    fetched
      .mockReset()
      .mockRejectedValueOnce(new TypeError('lost'))
      .mockImplementationOnce(() => answered(503))
      .mockImplementation(() => answered(200));
    await dose(1);
    await dose(1);
    await dose(1);
    expect(new Set(keys()).size).toBe(1);
    expect(keys()[0]).toMatch(/^[A-Za-z0-9_-]{8,80}$/);
    // answered, the same is meant anew
    await dose(1);
    expect(new Set(keys()).size).toBe(2);
  });

  it('has a key of its own for what is another thing, and for the same long after', async () => {
    fetched.mockReset().mockRejectedValue(new TypeError('lost'));
    await dose(2);
    await dose(4);
    vi.setSystemTime(Date.now() + 121_000);
    await dose(2);
    expect(new Set(keys()).size).toBe(3);
  });

  it('takes back once what was taken back once', async () => {
    fetched
      .mockReset()
      .mockRejectedValueOnce(new TypeError('lost'))
      .mockImplementation(() => answered(200));
    await api.undose(3).catch(() => null);
    await api.undose(3);
    expect(new Set(keys()).size).toBe(1);
  });

  it('leaves out what has its own: an edit its revision, what happened at the stove its key', async () => {
    fetched.mockReset().mockImplementation(() => answered(200));
    await api.editSauce(1, { lines: [], revision: 1 }, null);
    await api.happen(1, { kind: 'heat-off', key: 'its-own' }, null);
    await api.sauce(1);
    expect(keys()).toEqual([null, null, null]);
  });
});
