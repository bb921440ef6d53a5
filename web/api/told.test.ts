import { expect, test } from 'vitest';
import { choose } from '../base/locale';
import { told } from './told';

const answer = {
  parts: { words: '3.4 : 1' },
  words: 'as it was said, 1.5',
  notes: ['about 2.4 g of water leaves (1.4 g to 3.3 g)', 'at half past 10.30.15'],
  axes: { sweet: { verdict: '2.2 steps off', value: 2.25 } },
  lines: [{ text: '1.2 kg damsons', note: '1 chilli taken as 1.5 g', measure: '1.2 kg' }],
  cautions: [{ text: 'Its pH may lie above 4.2.', source: '21 CFR 114.3' }],
  cooling_rule: '4 h to come below 5.5 °C. (FDA Food Code 2022, 3-501.14, 21 CFR 114.80)',
};

test('sentences of the kitchen have the decimal sign of the cook', () => {
  choose('locale', 'de-DE');
  expect(told(answer)).toEqual({
    parts: { words: '3,4 : 1' },
    words: 'as it was said, 1.5',
    notes: ['about 2,4 g of water leaves (1,4 g to 3,3 g)', 'at half past 10.30.15'],
    axes: { sweet: { verdict: '2,2 steps off', value: 2.25 } },
    lines: [{ text: '1.2 kg damsons', note: '1 chilli taken as 1,5 g', measure: '1,2 kg' }],
    cautions: [{ text: 'Its pH may lie above 4,2.', source: '21 CFR 114.3' }],
    cooling_rule: '4 h to come below 5,5 °C. (FDA Food Code 2022, 3-501.14, 21 CFR 114.80)',
  });
});

test('where the sign is a point nothing is touched', () => {
  choose('locale', 'en-GB');
  expect(told(answer)).toBe(answer);
});
