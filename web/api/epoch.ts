/**
 * The epoch of the kitchen that this page was opened in. Putting a copy back begins another, in which numbers and revisions may
 * stand for other things: what a page writes names the epoch it knows, so that nothing lands on something else.
 */
let opened: number | null = null;

export const epochHeader = 'X-Kitchen-Epoch';

export const epoch = {
  /** Null until the kitchen has answered for the first time. */
  known: (): number | null => opened,
  /** Takes note of what an answer says; the first answer decides. */
  heard: (answer: Response): void => {
    const said = Number(answer.headers.get(epochHeader) ?? 'none');
    if (opened === null && Number.isFinite(said)) opened = said;
  },
  /** From now on this page builds on the kitchen as it is now. */
  begin: (now: number): void => {
    opened = now;
  },
};
