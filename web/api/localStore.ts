/**
 * What this browser keeps by itself, across reloads, for every tab; a browser that keeps nothing takes nothing away from
 * the page.
 */
export const localStore = {
  read: (name: string): unknown => {
    try {
      return JSON.parse(localStorage.getItem(name) ?? 'null');
    } catch {
      return null;
    }
  },
  /** Whether it is kept: it is not where the localStore is full, or not allowed. */
  put: (name: string, kept: unknown): boolean => {
    try {
      localStorage.setItem(name, JSON.stringify(kept));
      return true;
    } catch {
      return false;
    }
  },
  empty: (name: string): void => {
    try {
      localStorage.removeItem(name);
    } catch {
      // not allowed, so nothing is in it
    }
  },
  /** The names that begin so. */
  names: (prefix: string): string[] => {
    try {
      return Array.from({ length: localStorage.length }, (_, index) => localStorage.key(index) ?? '').filter((name) =>
        name.startsWith(prefix),
      );
    } catch {
      return [];
    }
  },
  /** Tells what another tab puts in and takes out; returns how to be told no more. */
  onOthers: (prefix: string, listener: () => void): (() => void) => {
    const heard = (change: StorageEvent) => {
      if (change.key?.startsWith(prefix) ?? true) listener();
    };
    window.addEventListener('storage', heard);
    return () => {
      window.removeEventListener('storage', heard);
    };
  },
};
