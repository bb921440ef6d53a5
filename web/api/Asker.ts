import { Sender } from './Sender';
import { Refusal } from './transport';
import { say } from './sentences';

/** Asks one question at a time: the newest waits, an older one that waited is dropped. */
export class Asker<Question, Answer> {
  private wanted: { question: Question; ask: (question: Question) => Promise<Answer> } | null = null;
  private failed: typeof this.wanted = null;
  private isOpen = true;
  private readonly sender = new Sender(
    () => this.next(),
    (fault) => {
      this.onFault(fault instanceof Error ? fault.message : say.noAnswer);
      // a kitchen that refuses is there: what was written meanwhile need not wait
      return fault instanceof Refusal && this.wanted !== this.failed ? 'go on' : 'try again';
    },
  );

  constructor(
    private readonly onAnswer: (question: Question, answer: Answer) => void,
    private readonly onFault: (fault: string) => void,
  ) {}

  /** From now on this is what is wanted; null where nothing is. */
  want(question: Question | null, ask: (question: Question) => Promise<Answer>): void {
    this.isOpen = true;
    this.wanted = question === null ? null : { question, ask };
    this.sender.send();
  }

  close(): void {
    this.isOpen = false;
    this.wanted = null;
    this.sender.close();
  }

  private next(): (() => Promise<void>) | null {
    const { wanted } = this;
    if (wanted === null) return null;
    this.wanted = null;
    return async () => {
      try {
        this.onAnswer(wanted.question, await wanted.ask(wanted.question));
      } catch (fault) {
        this.failed = wanted;
        // unless a newer one waits by now, or nobody does
        if (this.isOpen) this.wanted ??= wanted;
        throw fault;
      }
    };
  }
}
