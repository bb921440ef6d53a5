import { upTo } from '../../base/locale';
import { displayFont } from '../../ui/theme/index';

/** Buttons for a hand that holds a spoon. */
export const big = { minHeight: 64, fontSize: '1.25rem' } as const;
/** Words to be read from across the kitchen. */
export const huge = {
  fontFamily: displayFont,
  fontSize: 'clamp(1.8rem, 6.5vw, 3.75rem)',
  fontWeight: 600,
  lineHeight: 1.15,
} as const;
export const quiet = { color: 'text.secondary', fontSize: '1.05rem' } as const;

/** As a kitchen scale shows it: grams, however many. */
export const inGrams = (value: number): string => `${upTo(value, value >= 9.95 ? 0 : 1)} g`;
