import { api, Refusal, type Sauce } from '../../api/client';
import { localStore } from '../../api/localStore';
import { epoch } from '../../api/epoch';
import { newKey } from '../../api/newKey';
import { type After, Sender } from '../../api/Sender';
import { type Draft, type DraftLine, draftOf, editOf, sameEdit, type WrittenSauce } from '../sauce/draft';

export type Saving =
  | { state: 'saved' | 'saving' | 'away' }
  | { state: 'refused' | 'troubled'; message: string }
  | { state: 'conflict'; message: string; theirs: Sauce | null };

const pause = 250;

/** What lies in the browser's own localStore until the server has acknowledged it. */
interface Unsaved {
  readonly revision: number;
  readonly draft: WrittenSauce;
  /** What was on its way to the server when this was put down. */
  readonly sending: WrittenSauce | null;
  /** Of the kitchen it was typed in. */
  readonly epoch?: number | null;
  /** The page that put it down, and when: a page takes nothing out that another put in. */
  readonly by?: string;
  readonly at?: number;
}

const thisPage = newKey();
const drawersOf = (id: number) => `vinculum.unsaved.${id}`;

/** The name of this tab, known again after a reload; a new one where another page has taken that. */
const tab = {
  name: '',
  known: (): string => {
    try {
      tab.name = sessionStorage.getItem('vinculum.tab') ?? tab.name;
    } catch {
      // not allowed: known until the page is left
    }
    return tab.name === '' ? tab.begin() : tab.name;
  },
  begin: (): string => {
    tab.name = newKey();
    try {
      sessionStorage.setItem('vinculum.tab', tab.name);
    } catch {
      // not allowed
    }
    return tab.name;
  },
};

/** What a draft lacks that was put down before it was known of. */
const without = { part_ml: null, servings: null, set_aside: [], let_go: [], aim: [] };

function read(place: string): Unsaved | null {
  const kept = localStore.read(place) as Unsaved | null;
  if (kept === null) return null;
  // a line was its text alone before it had a number
  const lines = (kept.draft.lines as readonly (DraftLine | string)[]).map((line, at) =>
    typeof line === 'string' ? { id: at + 1, text: line } : line,
  );
  return { ...kept, draft: { ...without, ...kept.draft, lines } };
}

/**
 * What was typed and not stored, of this tab if there is some, else the newest of a tab that may be gone; what the server
 * has already is taken out.
 */
function find(id: number, stored: WrittenSauce): { place: string; kept: Unsaved } | null {
  const own = drawersOf(id);
  const found = localStore.names(own).flatMap((place) => {
    const kept = place === own || place.startsWith(`${own}.`) ? read(place) : null;
    if (kept === null || !sameEdit(kept.draft, stored)) return kept === null ? [] : [{ place, kept }];
    localStore.empty(place);
    return [];
  });
  const mine = `${own}.${tab.known()}`;
  const rank = ({ place, kept }: { place: string; kept: Unsaved }) => (place === mine ? Infinity : (kept.at ?? 0));
  return found.sort((one, other) => rank(other) - rank(one))[0] ?? null;
}

/**
 * Stores every edit a moment after it is made: one request at a time, each on the revision before it. While the server
 * is away it tries again; across a reload the localStore keeps what was not yet acknowledged.
 */
export class Saver {
  /** The draft to begin with: what was typed but not stored when the page was last left, else what the server has. */
  readonly start: Draft;
  private revision: number;
  private epoch: number | null;
  /** Of the kitchen as it is now, while it is another than the one this was typed in. */
  private passedTo: number | null = null;
  private stored: WrittenSauce;
  private latest: WrittenSauce;
  private sending: WrittenSauce | null = null;
  private readonly sender = new Sender(
    () => this.next(),
    (fault) => this.after(fault),
  );
  private saving: Saving = { state: 'saved' };
  private readonly listeners = new Set<() => void>();
  private place: string;

  constructor(
    private readonly sauce: Sauce,
    private readonly page = thisPage,
  ) {
    const fetched = draftOf(sauce);
    this.stored = editOf(fetched);
    const found = find(sauce.id, this.stored);
    const kept = found?.kept ?? null;
    this.place = found?.place ?? `${drawersOf(sauce.id)}.${tab.known()}`;
    if (kept !== null) localStore.put(this.place, { ...kept, by: this.page });
    this.revision = sauce.revision;
    this.epoch = kept?.epoch ?? epoch.known();
    this.start = fetched;
    if (kept !== null) {
      const landed =
        kept.sending !== null && sauce.revision === kept.revision + 1 && sameEdit(kept.sending, this.stored);
      this.revision = landed ? sauce.revision : kept.revision;
      this.start = draftOf(kept.draft);
    }
    this.latest = editOf(this.start);
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => {
      this.listeners.delete(listener);
    };
  };

  readonly current = (): Saving => this.saving;

  /** Takes note of the draft as it stands now. */
  take(draft: Draft): void {
    this.latest = editOf(draft);
    if (sameEdit(this.latest, this.stored)) return;
    this.putInDrawer();
    this.sender.send(pause);
  }

  /** Sends what is still waiting; for when the page is left. */
  flush(): void {
    this.sender.send();
  }

  /** Sends what is waiting, and resolves once it is stored, or cannot be for now. */
  readonly settled = async (): Promise<void> => {
    this.flush();
    for (let tries = 0; tries < 100 && this.saving.state === 'saving'; tries += 1) {
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
  };

  /** Gives way: what the other window stored becomes what this page builds on. */
  takeTheirs(theirs: Sauce): Draft {
    this.giveUp();
    const draft = draftOf(theirs);
    this.revision = theirs.revision;
    this.stored = editOf(draft);
    this.latest = this.stored;
    this.tell({ state: 'saved' });
    return draft;
  }

  /** What was typed is no longer to be stored here; the page goes on with the kitchen as it is now. */
  giveUp(): void {
    this.emptyDrawer();
    if (this.passedTo !== null) {
      epoch.begin(this.passedTo);
      this.epoch = this.passedTo;
      this.passedTo = null;
    }
  }

  private next(): (() => Promise<void>) | null {
    if (sameEdit(this.latest, this.stored)) return null;
    const sent = this.latest;
    return async () => {
      this.sending = sent;
      this.putInDrawer();
      // a trouble is said until something was stored again, not only between two tries
      if (this.saving.state !== 'away' && this.saving.state !== 'troubled') this.tell({ state: 'saving' });
      const answer = await api.editSauce(this.sauce.id, { ...sent, revision: this.revision }, this.epoch);
      this.sending = null;
      this.revision = answer.revision;
      this.stored = sent;
      if (sameEdit(this.latest, this.stored)) {
        this.emptyDrawer();
        this.tell({ state: 'saved' });
      } else {
        this.tell({ state: 'saving' });
        this.putInDrawer();
      }
    };
  }

  private after(fault: unknown): After {
    this.sending = null;
    if (fault instanceof Refusal && fault.status < 500) {
      this.passedTo = fault.epoch;
      this.tell(
        fault.current === null && fault.epoch === null
          ? { state: 'refused', message: fault.message }
          : { state: 'conflict', message: fault.message, theirs: fault.current },
      );
      return 'stop';
    }
    this.tell(fault instanceof Refusal ? { state: 'troubled', message: fault.message } : { state: 'away' });
    this.putInDrawer();
    return 'try again';
  }

  private putInDrawer(): void {
    const unsaved: Unsaved = {
      revision: this.revision,
      draft: this.latest,
      sending: this.sending,
      epoch: this.epoch,
      by: this.page,
      at: Date.now(),
    };
    if (this.isAnothers()) this.place = `${drawersOf(this.sauce.id)}.${tab.begin()}`;
    localStore.put(this.place, unsaved);
  }

  private emptyDrawer(): void {
    if (!this.isAnothers()) localStore.empty(this.place);
  }

  /** Another page has put something down there since. */
  private isAnothers(): boolean {
    const there = read(this.place);
    return there !== null && there.by !== this.page;
  }

  private tell(saving: Saving): void {
    this.saving = saving;
    this.listeners.forEach((listener) => {
      listener();
    });
  }
}
