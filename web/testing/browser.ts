import { beforeEach, vi } from 'vitest';

/** What of a browser the tests need: a drawer that outlives a page, and an address. */
const drawer = new Map<string, string>();

vi.stubGlobal('localStorage', {
  getItem: (name: string) => drawer.get(name) ?? null,
  setItem: (name: string, value: string) => drawer.set(name, value),
  removeItem: (name: string) => drawer.delete(name),
});
vi.stubGlobal('location', { origin: 'http://kitchen.test' });

beforeEach(() => {
  drawer.clear();
  vi.useFakeTimers();
});
