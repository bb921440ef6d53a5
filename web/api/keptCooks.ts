import { type Cook, Unreachable } from './client';
import { localStore } from './localStore';

/** A cook as this browser last saw it, and how far the server's clock was ahead of this one then, in seconds. */
export interface KeptCook {
  cook: Cook;
  offset: number;
}

const prefix = 'vinculum-sheet-';
const nameOf = (id: number) => `${prefix}${id}`;
const most = 8;
const patience = 4_000;

const ids = (): number[] =>
  localStore
    .names(prefix)
    .map((name) => Number(name.slice(prefix.length)))
    .sort((a, b) => b - a);

const read = (id: number): KeptCook | null => localStore.read(nameOf(id)) as KeptCook | null;

/** The sheets opened last, so that they open again where the kitchen server cannot be reached. */
export const keptCooks = {
  keep: (cook: Cook, offset: number): KeptCook => {
    const kept = { cook, offset };
    ids()
      .filter((id) => id !== cook.id)
      .slice(most - 1)
      .forEach((id) => {
        localStore.empty(nameOf(id));
      });
    localStore.put(nameOf(cook.id), kept);
    return kept;
  },
  forget: () => {
    ids().forEach((id) => {
      localStore.empty(nameOf(id));
    });
  },
  /** The newest first. */
  all: (): Cook[] => ids().flatMap((id) => read(id)?.cook ?? []),
  /** As the server has it; as it was last seen here, where the server cannot be reached. */
  asked: async (
    id: number,
    ask: (id: number, options: { signal?: AbortSignal }) => Promise<Cook>,
  ): Promise<KeptCook> => {
    const kept = read(id);
    try {
      const cook = await ask(id, kept === null ? {} : { signal: AbortSignal.timeout(patience) });
      return keptCooks.keep(cook, cook.now - Date.now() / 1000);
    } catch (reason) {
      if (kept === null || !(reason instanceof Unreachable)) throw reason;
      return kept;
    }
  },
};
