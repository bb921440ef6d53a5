import { describe, expect, it } from 'vitest';
import * as queries from './queries';

describe('queries', () => {
  it('go by a key of their own, so that no answer stands for another', () => {
    const all = Object.values(queries).map((one) => (typeof one === 'function' ? one(1 as never, 2) : one));
    const keys = all.map((one) => JSON.stringify(one.queryKey));
    expect(keys.length).toBeGreaterThan(15);
    expect(new Set(keys).size).toBe(keys.length);
  });

  it('go by what is asked for', () => {
    expect(queries.sauceQuery(1).queryKey).not.toEqual(queries.sauceQuery(2).queryKey);
    expect(queries.shelfQuery('dip', 1).queryKey).not.toEqual(queries.shelfQuery('dip', 2).queryKey);
    expect(queries.sauceQuery(1).queryKey).not.toEqual(queries.benchQuery(1).queryKey);
  });
});
