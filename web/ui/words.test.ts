import { expect, test } from 'vitest';
import figures from '../../tests/data/figures.json';
import { grams, millilitres } from './words';

test('weights and volumes are written as the answers write them', () => {
  expect(figures.length).toBeGreaterThan(150);
  for (const [value, inGrams, inMillilitres] of figures as unknown as [number, string, string][]) {
    expect([grams(value), millilitres(value)]).toEqual([inGrams, inMillilitres]);
  }
});
