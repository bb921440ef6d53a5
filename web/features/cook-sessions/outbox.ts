import { api, type Cook, type CookEvent, Refusal } from '../../api/client';
import { localStore } from '../../api/localStore';
import { epoch } from '../../api/epoch';
import { newKey } from '../../api/newKey';
import { type After, Sender } from '../../api/Sender';
import type { Waiting } from './meanwhile';

/** What the kitchen did not take, and why: kept until the cook has seen it. */
export interface Refused {
  readonly event: Waiting;
  readonly why: string;
  /** Whether it may be taken another time: it was no fault of what was sent, as far as is known. */
  readonly again?: boolean;
}

/** As often is tried what the kitchen answers with trouble, before the next gets its turn. */
const mostTries = 5;
/** Another tab sends its own; this one does if that is gone by then. */
const leaveToOthers = 5_000;

/**
 * What happened at the stove, on its way to the server: each kept in the browser by itself until it is stored, so that
 * two tabs of one cook add to each other, sent in order, and under a key of its own, so that sending it twice stores it
 * once.
 */
export class Outbox {
  private waiting: Waiting[] = [];
  private refused: Refused[] = [];
  /** What the browser would not keep: this page has it alone. */
  private unkept = new Map<string, Waiting>();
  private inHand: Waiting | null = null;
  private readonly tries = new Map<string, number>();
  private latest = 0;
  private trouble: string | null = null;
  private listeners = new Set<() => void>();
  private readonly deaf: () => void;
  private readonly sender = new Sender(
    () => this.next(),
    (fault) => this.after(fault),
  );

  constructor(
    private readonly batch: number,
    /** How far the server's clock is ahead of this one, in seconds. */
    private readonly offset: number,
    private readonly onCook: (cook: Cook) => void,
  ) {
    this.takeOverLists();
    this.look();
    this.deaf = localStore.onOthers(this.name(''), () => {
      this.look();
      this.sender.send(leaveToOthers);
    });
    this.sender.send();
  }

  readonly subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** What is not stored yet, in order, of every tab. */
  readonly events = (): readonly Waiting[] => this.waiting;

  /** What the kitchen did not take. */
  readonly notTaken = (): readonly Refused[] => this.refused;

  /** The cook has seen what was not taken. */
  forgetNotTaken() {
    this.refused.forEach(({ event }) => {
      localStore.empty(this.refusedName(event.key));
    });
    this.refused = [];
    this.look();
  }

  /** What was not taken, but may be, is sent once more. */
  sendAgain() {
    this.refused
      .filter((one) => one.again === true)
      .forEach(({ event }) => {
        this.tries.delete(event.key);
        this.put(event);
        localStore.empty(this.refusedName(event.key));
        this.refused = this.refused.filter((one) => one.event.key !== event.key);
      });
    this.look();
    this.sender.send();
  }

  /** Why nothing could be stored when that was last tried; null where it could. */
  readonly lastTrouble = (): string | null => this.trouble;

  add(event: CookEvent) {
    // two in one millisecond keep their order
    this.latest = Math.max(Date.now() / 1000 + this.offset, this.latest + 0.001);
    this.put({ ...event, at: this.latest, key: newKey(), epoch: epoch.known() });
    this.look();
    this.sender.send();
  }

  close() {
    this.sender.close();
    this.deaf();
  }

  private next(): (() => Promise<void>) | null {
    const first = this.waiting[0];
    this.inHand = first ?? null;
    if (first === undefined) return null;
    const { epoch: writtenIn, ...event } = first;
    return async () => {
      const cook = await api.happen(this.batch, event, writtenIn ?? epoch.known());
      this.trouble = null;
      this.drop(first);
      this.look();
      this.onCook(cook);
    };
  }

  private after(fault: unknown): After {
    const first = this.inHand;
    this.trouble = fault instanceof Error ? fault.message : null;
    if (first !== null && fault instanceof Refusal) {
      const isRefused = fault.status === 409 || fault.status === 422;
      const tries = (this.tries.get(first.key) ?? 0) + 1;
      this.tries.set(first.key, tries);
      if (isRefused || tries >= mostTries) {
        if (isRefused) this.trouble = null;
        this.putAside({ event: first, why: fault.message, again: !isRefused });
        return 'go on';
      }
    }
    this.tell();
    return 'try again';
  }

  private put(event: Waiting) {
    if (!localStore.put(this.name(event.key), event)) this.unkept.set(event.key, event);
  }

  private drop({ key }: Waiting) {
    this.unkept.delete(key);
    this.tries.delete(key);
    localStore.empty(this.name(key));
  }

  private putAside(refused: Refused) {
    localStore.put(this.refusedName(refused.event.key), refused);
    this.refused = [...this.refused.filter((one) => one.event.key !== refused.event.key), refused];
    this.drop(refused.event);
    this.look();
  }

  /** What waits, and what was not taken: in the localStore by whichever tab, and here. */
  private look() {
    const waiting = new Map(this.unkept);
    localStore.names(this.name('')).forEach((name) => {
      const event = localStore.read(name) as Waiting | null;
      if (event !== null) waiting.set(event.key, event);
    });
    const refused = new Map(this.refused.map((one) => [one.event.key, one]));
    localStore.names(this.refusedName('')).forEach((name) => {
      const one = localStore.read(name) as Refused | null;
      if (one !== null) refused.set(one.event.key, one);
    });
    this.waiting = [...waiting.values()].sort((one, other) => one.at - other.at);
    this.refused = [...refused.values()].sort((one, other) => one.event.at - other.event.at);
    this.tell();
  }

  /** A page of before kept one list of each for all. */
  private takeOverLists() {
    const [waiting, refused] = [`vinculum-cook-${this.batch}`, `vinculum-not-taken-${this.batch}`];
    ((localStore.read(waiting) as Waiting[] | null) ?? []).forEach((event) => {
      this.put(event);
    });
    ((localStore.read(refused) as Refused[] | null) ?? []).forEach((one) => {
      localStore.put(this.refusedName(one.event.key), one);
    });
    localStore.empty(waiting);
    localStore.empty(refused);
  }

  private tell() {
    this.listeners.forEach((listener) => {
      listener();
    });
  }

  private refusedName(key: string) {
    return `vinculum-not-taken-${this.batch}-${key}`;
  }

  private name(key: string) {
    return `vinculum-cook-${this.batch}-${key}`;
  }
}
