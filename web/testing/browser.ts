import { beforeEach, vi } from 'vitest';

/** What of a browser the tests need: a drawer that outlives a page, and an address. */
const drawer = new Map<string, string>();

vi.stubGlobal('localStorage', {
  getItem: (name: string) => drawer.get(name) ?? null,
  setItem: (name: string, value: string) => drawer.set(name, value),
  removeItem: (name: string) => drawer.delete(name),
  clear: () => {
    drawer.clear();
  },
  key: (index: number) => [...drawer.keys()][index] ?? null,
  get length() {
    return drawer.size;
  },
});
/** Of one tab. */
const session = new Map<string, string>();
vi.stubGlobal('sessionStorage', {
  getItem: (name: string) => session.get(name) ?? null,
  setItem: (name: string, value: string) => session.set(name, value),
});
vi.stubGlobal('location', { origin: 'http://kitchen.test' });

beforeEach(() => {
  drawer.clear();
  session.clear();
  vi.stubGlobal('window', new EventTarget());
  vi.useFakeTimers();
});
