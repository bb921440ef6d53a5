import { expect, test } from 'vitest';
import { choose, fixed, money, upTo } from './locale';
import { figure, grams, typedNumber } from '../ui/words';

test('figures have as many places as before, and nothing between their thousands', () => {
  choose('locale', 'en-GB');
  expect([fixed(2.5, 2), fixed(1234.5, 0), fixed(0, 1)]).toEqual(['2.50', '1235', '0.0']);
  expect([upTo(2, 1), upTo(2.25, 1)]).toEqual(['2', '2.3']);
  expect(grams(1250)).toBe('1.25 kg');
});

test('figures have the decimal sign of the cook, and either is read', () => {
  choose('locale', 'de-DE');
  expect([figure(0.912), grams(1250), grams(3.04)]).toEqual(['0,91', '1,25 kg', '3 g']);
  expect([typedNumber('2,5'), typedNumber('2.5')]).toEqual([2.5, 2.5]);
});

test('prices are in the currency of the region, of the setting, or bare', () => {
  choose('locale', 'en-GB');
  expect(money(3.2)).toBe('£3.20');
  choose('locale', 'de-DE');
  expect(money(3.2)).toBe('3,20\u00a0€');
  choose('currency', 'USD');
  expect(money(3.2)).toBe('3,20\u00a0$');
  choose('currency', 'none');
  expect(money(3.2)).toBe('3,20');
});
