import { describe, expect, it } from 'vitest';
import {
  draftOf,
  editOf,
  hasTag,
  isHeading,
  moved,
  newLine,
  sameEdit,
  withRoom,
  withTag,
  type WrittenSauce,
} from './draft';

const written: WrittenSauce = {
  title: 'Dip',
  style: null,
  measures: 'metric',
  yield: null,
  part_ml: null,
  lines: [
    { id: 4, text: '5 tbsp fish sauce' },
    { id: 2, text: '3 tbsp lime juice' },
  ],
  method: ['Stir'],
  pan: null,
  servings: null,
  set_aside: [],
  let_go: [],
  aim: [],
};

describe('a draft', () => {
  it('has stages where a colon ends a line that says no amount', () => {
    for (const stage of ['For the pot:', 'Dressing:', '2 hours before:', '1st stage:']) {
      expect(isHeading(stage), stage).toBe(true);
    }
    for (const line of ['2 tbsp fish sauce:', '½ cup sugar:', '150 g plums:', 'salt']) {
      expect(isHeading(line), line).toBe(false);
    }
  });

  it('is stored as it was opened', () => {
    expect(editOf(draftOf(written))).toEqual(written);
    expect(sameEdit(editOf(draftOf(written)), written)).toBe(true);
  });

  it('has room to type in, and stores none of it', () => {
    const empty = draftOf({ ...written, lines: [] });
    expect(empty.lines.map((line) => line.text)).toEqual(['']);
    expect(editOf(empty).lines).toEqual([]);
    const stored = (...texts: string[]) =>
      editOf({ ...draftOf(written), lines: texts.map(newLine) }).lines.map((line) => line.text);
    expect(stored('salt', ' ', '')).toEqual(['salt']);
    expect(stored('', 'salt')).toEqual(['', 'salt']);
  });

  it('differs by whatever a person wrote', () => {
    for (const other of [
      { title: 'dip' },
      { style: 'ketchup' },
      { measures: 'us' as const },
      { yield: '500 ml' },
      { part_ml: 30 },
      { pan: '24 cm' },
      { lines: [...written.lines].reverse() },
      { lines: written.lines.map((line) => ({ ...line, id: line.id + 1 })) },
      { method: [] },
    ]) {
      expect(sameEdit(written, { ...written, ...other })).toBe(false);
    }
  });

  it('gives a new line a number that no line has had', () => {
    const draft = draftOf({ ...written, lines: [{ id: 400, text: 'salt' }] });
    const more = withRoom([...draft.lines, newLine('pepper'), { id: 900, text: 'from the kitchen' }]);
    const ids = more.map((line) => line.id);
    expect(ids[0]).toBe(400);
    expect(new Set(ids).size).toBe(4);
    expect(Math.max(...ids)).toBe(ids.at(-1));
  });

  it('moves a line and loses none', () => {
    expect(moved(['a', 'b', 'c'], 0, 2)).toEqual(['b', 'c', 'a']);
    expect(moved(['a', 'b', 'c'], 2, 0)).toEqual(['c', 'a', 'b']);
    expect(moved(['a', 'b', 'c'], 7, 0)).toEqual(['a', 'b', 'c']);
  });

  it('puts a tag on and takes it off again', () => {
    expect(withTag('5 g salt ', 'lock')).toBe('5 g salt [lock]');
    expect(withTag('5 g salt [lock] [cold]', 'lock')).toBe('5 g salt [cold]');
    expect(hasTag('5 g salt [LOCK]', 'lock')).toBe(true);
  });
});
