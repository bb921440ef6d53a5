/** What this browser keeps by itself, across reloads; a browser that keeps nothing takes nothing away from the page. */
export const drawer = {
  read: (name: string): unknown => {
    try {
      return JSON.parse(localStorage.getItem(name) ?? 'null');
    } catch {
      return null;
    }
  },
  put: (name: string, kept: unknown): void => {
    try {
      localStorage.setItem(name, JSON.stringify(kept));
    } catch {
      // full, or not allowed
    }
  },
  empty: (name: string): void => {
    localStorage.removeItem(name);
  },
};
