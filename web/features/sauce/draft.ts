import type { Measures, Sauce } from '../../api/client';

/** A line with a number of its own, which it keeps through edits and wherever it goes. */
export type DraftLine = Readonly<Sauce['lines'][number]>;

/** A sauce as it stands on the page. */
export interface Draft {
  readonly title: string;
  readonly style: string | null;
  readonly measures: Measures;
  readonly yield: string | null;
  /** The vessel that a "part" is. */
  readonly part_ml: number | null;
  readonly lines: readonly DraftLine[];
  /** What is done with them, one step a line. */
  readonly method: readonly string[];
  readonly pan: string | null;
  /** Portions that it makes. */
  readonly servings: number | null;
  /** What else stood on the page it was read from. */
  readonly set_aside: readonly Aside[];
  /** Axes that do not count for it. */
  readonly let_go: readonly string[];
  /** Where the cook wants this sauce to stand, whatever its family: places in steps, by axis. */
  readonly aim: readonly Sauce['aim'][number][];
}

export type Aside = Sauce['set_aside'][number];

/** A sauce as it is stored: what a person has written, and nothing of the page. */
export type WrittenSauce = Omit<Sauce, 'id' | 'revision' | 'forked_from' | 'standing' | 'is_told'>;

let highest = 0;

/** A line that was not there before: its number is above every one that this page has seen. */
export const newLine = (text: string): DraftLine => ({ id: ++highest, text });

/** Lines as they came, their numbers noted. */
function seen(lines: readonly DraftLine[]): readonly DraftLine[] {
  highest = Math.max(highest, ...lines.map((line) => line.id));
  return lines;
}

/** Lines with room to type in behind them. */
export const withRoom = (lines: readonly DraftLine[]): readonly DraftLine[] => [...seen(lines), newLine('')];

/** Lines without the empty ones at their end, which are only room to type in. */
export function written(lines: readonly DraftLine[]): DraftLine[] {
  const last = lines.findLastIndex((line) => line.text.trim() !== '');
  return lines.slice(0, last + 1);
}

export function draftOf(sauce: WrittenSauce): Draft {
  const lines = seen(sauce.lines);
  return {
    title: sauce.title,
    style: sauce.style,
    measures: sauce.measures,
    yield: sauce.yield,
    part_ml: sauce.part_ml,
    lines: lines.length > 0 ? lines : [newLine('')],
    method: sauce.method,
    pan: sauce.pan,
    servings: sauce.servings,
    set_aside: sauce.set_aside,
    let_go: sauce.let_go,
    aim: sauce.aim,
  };
}

/** What is worth storing: empty lines at the end are only room to type in. */
export function editOf(draft: Draft): WrittenSauce {
  const lines = written(draft.lines);
  const method = draft.method.filter((step) => step.trim() !== '');
  const { title, style, measures, part_ml, pan, servings } = draft;
  const [set_aside, let_go, aim] = [[...draft.set_aside], [...draft.let_go], [...draft.aim]];
  return { title, style, measures, yield: draft.yield, part_ml, lines, method, pan, servings, set_aside, let_go, aim };
}

export const sameEdit = (a: WrittenSauce, b: WrittenSauce): boolean =>
  a.title === b.title &&
  a.style === b.style &&
  a.measures === b.measures &&
  a.yield === b.yield &&
  a.part_ml === b.part_ml &&
  a.pan === b.pan &&
  a.servings === b.servings &&
  sameTexts(a.let_go, b.let_go) &&
  sameTexts(a.aim.map(placeText), b.aim.map(placeText)) &&
  sameTexts(a.set_aside.map(asideText), b.set_aside.map(asideText)) &&
  sameTexts(a.lines.map(lineText), b.lines.map(lineText)) &&
  sameTexts(a.method, b.method);

const placeText = (place: Draft['aim'][number]): string => `${place.axis} ${place.steps}`;
const lineText = (line: DraftLine): string => `${line.id} ${line.text}`;
const asideText = (aside: Aside): string => `${aside.why} ${aside.text}`;

const sameTexts = (a: readonly string[], b: readonly string[]): boolean =>
  a.length === b.length && a.every((text, index) => text === b[index]);

/** A heading starts a stage: "For the pot:". An empty line is no heading. */
/** "For the pot:"; what begins with an amount is none, though a colon ends it: "2 tbsp fish sauce:". */
export const isHeading = (text: string): boolean =>
  /^\s*[^:]{2,60}:\s*$/u.test(text) &&
  !/^\s*[\d½⅓⅔¼¾⅛](?!\d*(?:st|nd|rd|th)\b|\d*\s+(?:days?|hours?|minutes?|weeks?|people|servings|jars)\b)/iu.test(text);

export type Tag = 'lock' | 'steeped' | 'cold' | 'optional';

export const hasTag = (text: string, tag: Tag): boolean => text.toLowerCase().includes(`[${tag}]`);

/** Puts a tag at the end of a line, or takes it off. */
export function withTag(text: string, tag: Tag): string {
  return hasTag(text, tag)
    ? text.replace(new RegExp(`\\s*\\[${tag}\\]`, 'gi'), '').trimEnd()
    : `${text.trimEnd()} [${tag}]`;
}

/**
 * A draft with a page that was pasted at one of its lines: an empty sauce becomes that of the page, any other takes its
 * lines in there and its steps after its own.
 */
export function withPage(draft: Draft, page: WrittenSauce, at: number): Draft {
  const isEmpty = draft.title === '' && draft.lines.every((line) => line.text.trim() === '');
  if (isEmpty) return { ...draftOf({ ...page, measures: draft.measures }), style: draft.style ?? page.style };
  const lines = page.lines.map((line) => newLine(line.text));
  const before = draft.lines.slice(0, at + (draft.lines[at]?.text.trim() === '' ? 0 : 1));
  return {
    ...draft,
    lines: [...before, ...lines, ...draft.lines.slice(at + 1)],
    method: [...draft.method, ...page.method],
    set_aside: [...draft.set_aside, ...page.set_aside],
  };
}

/** A list with one of its items at another place. */
export const moved = <Item>(list: readonly Item[], from: number, to: number): readonly Item[] => {
  const left = list.filter((_, at) => at !== from);
  const item = list[from];
  return item === undefined ? list : [...left.slice(0, to), item, ...left.slice(to)];
};
