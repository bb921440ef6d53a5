import type { Measures, Sauce } from '../shared/api';

/** A line with an identity that outlives edits, so that focus and lists follow it. */
export interface DraftLine {
  readonly id: number;
  readonly text: string;
}

/** A sauce as it stands on the page. */
export interface Draft {
  readonly title: string;
  readonly style: string | null;
  readonly measures: Measures;
  readonly yield: string | null;
  readonly lines: readonly DraftLine[];
}

/** A sauce as it is stored: what a person has written, and nothing of the page. */
export type WrittenSauce = Omit<Sauce, 'id' | 'revision'>;

let nextId = 1;
export const newLine = (text: string): DraftLine => ({ id: nextId++, text });

export function draftOf(sauce: WrittenSauce): Draft {
  const lines = sauce.lines.length > 0 ? sauce.lines : [''];
  return {
    title: sauce.title,
    style: sauce.style,
    measures: sauce.measures,
    yield: sauce.yield,
    lines: lines.map(newLine),
  };
}

/** What is worth storing: empty lines at the end are only room to type in. */
export function editOf(draft: Draft): WrittenSauce {
  const lines = draft.lines.map((line) => line.text);
  while (lines.length > 0 && lines.at(-1)?.trim() === '') {
    lines.pop();
  }
  return { title: draft.title, style: draft.style, measures: draft.measures, yield: draft.yield, lines };
}

export const sameEdit = (a: WrittenSauce, b: WrittenSauce): boolean =>
  a.title === b.title &&
  a.style === b.style &&
  a.measures === b.measures &&
  a.yield === b.yield &&
  a.lines.length === b.lines.length &&
  a.lines.every((line, index) => line === b.lines[index]);
