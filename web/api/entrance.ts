let isShut = false;
let waiting: (() => void)[] = [];
const listeners = new Set<() => void>();

const tell = () => {
  listeners.forEach((listener) => {
    listener();
  });
};

/** Whether the kitchen asks this device for its passphrase; what was on its way meanwhile waits, and is lost by nobody. */
export const entrance = {
  isShut: () => isShut,
  subscribe: (listener: () => void) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  },
  /** Resolves once the device is in. */
  opened: () =>
    new Promise<void>((resolve) => {
      waiting.push(resolve);
      isShut = true;
      tell();
    }),
  open: () => {
    const all = waiting;
    [isShut, waiting] = [false, []];
    tell();
    all.forEach((resolve) => {
      resolve();
    });
  },
};
