import { beforeEach, vi } from 'vitest';

/** What of a browser the tests need: a localStore that outlives a page, and an address. */
const localStore = new Map<string, string>();

vi.stubGlobal('localStorage', {
  getItem: (name: string) => localStore.get(name) ?? null,
  setItem: (name: string, value: string) => localStore.set(name, value),
  removeItem: (name: string) => localStore.delete(name),
  clear: () => {
    localStore.clear();
  },
  key: (index: number) => [...localStore.keys()][index] ?? null,
  get length() {
    return localStore.size;
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
  localStore.clear();
  session.clear();
  vi.stubGlobal('window', new EventTarget());
  vi.useFakeTimers();
});
