import { api, type Cook, type CookEvent, Refusal } from '../../api/client';
import { drawer } from '../../api/drawer';
import { epoch } from '../../api/epoch';
import { type After, Sender } from '../../api/Sender';
import type { Waiting } from './meanwhile';

/** Drawn so that it works where the browser keeps the ready-made ones back: pages of the home network without encryption. */
const newKey = () => Array.from(crypto.getRandomValues(new Uint32Array(4)), (part) => part.toString(36)).join('-');

/** What the kitchen would not take, and why: kept until the cook has seen it. */
export interface Refused {
  readonly event: Waiting;
  readonly why: string;
}

/**
 * What happened at the stove, on its way to the server: kept in the browser until it is stored, sent in order, and each
 * under a key of its own, so that sending it twice stores it once.
 */
export class Outbox {
  private waiting: Waiting[];
  private refused: Refused[];
  private trouble: string | null = null;
  private listeners = new Set<() => void>();
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
    this.waiting = (drawer.read(this.name()) as Waiting[] | null) ?? [];
    this.refused = (drawer.read(this.refusedName()) as Refused[] | null) ?? [];
    this.sender.send();
  }

  readonly subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** What is not stored yet, in order. */
  readonly events = (): readonly Waiting[] => this.waiting;

  /** What the kitchen would not take. */
  readonly notTaken = (): readonly Refused[] => this.refused;

  /** The cook has seen what was not taken. */
  forgetNotTaken() {
    this.keepRefused([]);
  }

  /** Why nothing could be stored when that was last tried; null where it could. */
  readonly lastTrouble = (): string | null => this.trouble;

  add(event: CookEvent) {
    this.keep([
      ...this.waiting,
      { ...event, at: Date.now() / 1000 + this.offset, key: newKey(), epoch: epoch.known() },
    ]);
    this.sender.send();
  }

  close() {
    this.sender.close();
  }

  private next(): (() => Promise<void>) | null {
    const first = this.waiting[0];
    if (first === undefined) return null;
    const { epoch: writtenIn, ...event } = first;
    return async () => {
      const cook = await api.happen(this.batch, event, writtenIn ?? epoch.known());
      this.trouble = null;
      this.keep(this.waiting.slice(1));
      this.onCook(cook);
    };
  }

  private after(fault: unknown): After {
    const [first] = this.waiting;
    if (first !== undefined && fault instanceof Refusal && fault.status < 500) {
      this.keepRefused([...this.refused, { event: first, why: fault.message }]);
      this.keep(this.waiting.slice(1));
      return 'go on';
    }
    this.trouble = fault instanceof Error ? fault.message : null;
    this.tell();
    return 'try again';
  }

  private keep(events: Waiting[]) {
    this.waiting = events;
    drawer.put(this.name(), events);
    this.tell();
  }

  private tell() {
    this.listeners.forEach((listener) => {
      listener();
    });
  }

  private keepRefused(refused: Refused[]) {
    this.refused = refused;
    drawer.put(this.refusedName(), refused);
    this.tell();
  }

  private refusedName() {
    return `vinculum-not-taken-${this.batch}`;
  }

  private name() {
    return `vinculum-cook-${this.batch}`;
  }
}
