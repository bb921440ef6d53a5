import { describe, expect, it } from 'vitest';
import {
  draftOf,
  editOf,
  hasTag,
  isHeading,
  moved,
  newLine,
  relined,
  sameEdit,
  withTag,
  type WrittenSauce,
} from './draft';

const written: WrittenSauce = {
  title: 'Dip',
  style: null,
  measures: 'metric',
  yield: null,
  part_ml: null,
  lines: ['5 tbsp fish sauce', '3 tbsp lime juice'],
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
    expect(editOf({ ...draftOf(written), lines: [newLine('salt'), newLine(' '), newLine('')] }).lines).toEqual([
      'salt',
    ]);
    expect(editOf({ ...draftOf(written), lines: [newLine(''), newLine('salt')] }).lines).toEqual(['', 'salt']);
  });

  it('differs by whatever a person wrote', () => {
    for (const other of [
      { title: 'dip' },
      { style: 'ketchup' },
      { measures: 'us' as const },
      { yield: '500 ml' },
      { part_ml: 30 },
      { pan: '24 cm' },
      { lines: ['3 tbsp lime juice', '5 tbsp fish sauce'] },
      { method: [] },
    ]) {
      expect(sameEdit(written, { ...written, ...other })).toBe(false);
    }
  });

  it('keeps the identity of lines that stay', () => {
    const lines = ['a', 'b', 'c'].map(newLine);
    const ids = (list: readonly { id: number; text: string }[]) => new Map(list.map((line) => [line.text, line.id]));
    const [before, after] = [ids(lines), ids(relined(lines, ['c', 'a', 'x']))];
    expect(after.get('a')).toBe(before.get('a'));
    expect(after.get('c')).toBe(before.get('c'));
    expect(relined(lines, ['a', 'B', 'c'])[1]?.id).toBe(before.get('b'));
    expect(new Set(relined(lines, ['a', 'a', 'b', 'c', 'd']).map((line) => line.id)).size).toBe(5);
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
