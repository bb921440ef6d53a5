import { api, type Cook, type CookEvent, Refusal } from '../../api/client';
import { epoch } from '../../api/epoch';
import type { Waiting } from './meanwhile';

const retryAfter = 2_000;

/** Drawn so that it works where the browser keeps the ready-made ones back: pages of the home network without encryption. */
const newKey = () => Array.from(crypto.getRandomValues(new Uint32Array(4)), (part) => part.toString(36)).join('-');

function read<Kept>(name: string): Kept[] {
  try {
    const found: unknown = JSON.parse(localStorage.getItem(name) ?? '[]');
    return Array.isArray(found) ? (found as Kept[]) : [];
  } catch {
    return [];
  }
}

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
  private isSending = false;
  private trouble: string | null = null;
  private listeners = new Set<() => void>();
  private retry: ReturnType<typeof setTimeout> | undefined;

  constructor(
    private readonly batch: number,
    /** How far the server's clock is ahead of this one, in seconds. */
    private readonly offset: number,
    private readonly onCook: (cook: Cook) => void,
  ) {
    this.waiting = read<Waiting>(this.name());
    this.refused = read<Refused>(this.refusedName());
    if (this.waiting.length > 0) void this.send();
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
    void this.send();
  }

  close() {
    clearTimeout(this.retry);
  }

  private async send() {
    if (this.isSending) return;
    this.isSending = true;
    clearTimeout(this.retry);
    while (this.waiting[0] !== undefined) {
      const { epoch: writtenIn, ...event } = this.waiting[0];
      try {
        const cook = await api.happen(this.batch, event, writtenIn ?? epoch.known());
        this.trouble = null;
        this.keep(this.waiting.slice(1));
        this.onCook(cook);
      } catch (reason) {
        if (reason instanceof Refusal && reason.status < 500) {
          this.keepRefused([...this.refused, { event: this.waiting[0], why: reason.message }]);
          this.keep(this.waiting.slice(1));
        } else {
          this.trouble = reason instanceof Error ? reason.message : null;
          this.tell();
          this.retry = setTimeout(() => void this.send(), retryAfter);
          break;
        }
      }
    }
    this.isSending = false;
  }

  private keep(events: Waiting[]) {
    this.waiting = events;
    localStorage.setItem(this.name(), JSON.stringify(events));
    this.tell();
  }

  private tell() {
    this.listeners.forEach((listener) => {
      listener();
    });
  }

  private keepRefused(refused: Refused[]) {
    this.refused = refused;
    localStorage.setItem(this.refusedName(), JSON.stringify(refused));
    this.tell();
  }

  private refusedName() {
    return `vinculum-not-taken-${this.batch}`;
  }

  private name() {
    return `vinculum-cook-${this.batch}`;
  }
}
