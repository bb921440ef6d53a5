/** How long to wait before the kitchen is asked again that did not answer. */
const retryAfter = 2_000;

/** After a fault: go on with what is next, try the same again after a while, or stop until somebody sends anew. */
export type After = 'go on' | 'try again' | 'stop';

/**
 * Sends one thing after another, never two at a time, and tries again while the kitchen is away. What is to be sent, and
 * where that is kept meanwhile, is its owner's: an edit, what happened at the stove, a question.
 */
export class Sender {
  private isSending = false;
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(
    /** What is to be sent next; null where nothing waits. */
    private readonly next: () => (() => Promise<void>) | null,
    private readonly afterFault: (fault: unknown) => After,
  ) {}

  /** Sends what waits, now or after a pause; a later call takes the place of an earlier pause. */
  send(pause = 0): void {
    clearTimeout(this.timer);
    if (pause > 0) this.timer = setTimeout(() => void this.run(), pause);
    else void this.run();
  }

  /** Sends nothing more by itself. */
  close(): void {
    clearTimeout(this.timer);
  }

  private async run(): Promise<void> {
    if (this.isSending) return;
    clearTimeout(this.timer);
    this.isSending = true;
    let after: After = 'go on';
    for (let job = this.next(); job !== null && after === 'go on'; job = after === 'go on' ? this.next() : null) {
      try {
        await job();
      } catch (fault) {
        after = this.afterFault(fault);
      }
    }
    this.isSending = false;
    if (after === 'try again') this.send(retryAfter);
  }
}
