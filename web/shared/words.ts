import type { Axis, AxisKey } from './api';

export const axisKeys: readonly AxisKey[] = ['sweet', 'sour', 'salt', 'umami', 'heat'];

export const axisNames: Record<AxisKey, string> = {
  sweet: 'Sweet',
  sour: 'Sour',
  salt: 'Salt',
  umami: 'Umami',
  heat: 'Heat',
};

const strength = (steps: number): string => {
  const size = Math.abs(steps);
  if (size < 1) return 'a touch';
  if (size < 2.5) return 'a little';
  return size < 5 ? 'clearly' : 'far';
};

const tooMuch: Record<AxisKey, string> = {
  sweet: 'too sweet',
  sour: 'too sharp',
  salt: 'too salty',
  umami: 'too savoury',
  heat: 'too hot',
};
const tooLittle: Record<AxisKey, string> = {
  sweet: 'not sweet enough',
  sour: 'not sharp enough',
  salt: 'not salty enough',
  umami: 'not savoury enough',
  heat: 'not hot enough',
};

/** "a little too sharp", "about right". */
export function verdict(key: AxisKey, axis: Axis): string {
  if (axis.off_by_steps === null) return '';
  if (Math.abs(axis.off_by_steps) < 0.05) return 'about right';
  return `${strength(axis.off_by_steps)} ${axis.off_by_steps > 0 ? tooMuch[key] : tooLittle[key]}`;
}

/** A figure with the precision a kitchen can use. */
export function figure(value: number): string {
  if (value === 0) return '0';
  if (value >= 99.5) return value.toFixed(0);
  if (value >= 9.95) return value.toFixed(1);
  return value >= 0.095 ? value.toFixed(2) : value.toFixed(3);
}

/** "12 g", "1.5 g", "1.25 kg". */
export function grams(value: number): string {
  if (value >= 999.5) return `${(value / 1000).toFixed(2)} kg`;
  if (value >= 9.95) return `${value.toFixed(0)} g`;
  return value >= 0.095 ? `${value.toFixed(1)} g` : `${value.toFixed(2)} g`;
}

/** "250 ml", "1.2 l". */
export function millilitres(value: number): string {
  return value >= 999.5 ? `${(value / 1000).toFixed(2)} l` : `${value.toFixed(value >= 19.95 ? 0 : 1)} ml`;
}

export function steps(value: number): string {
  return `${value.toFixed(1)} ${Math.abs(value - 1) < 0.05 ? 'step' : 'steps'}`;
}

const shortUnits: Record<AxisKey, string> = { sweet: '%', sour: '%', salt: '%', umami: '%', heat: 'SHU' };

/** The unit as it stands beside a bar: grams in 100 g are per cent. */
export const shortUnit = (key: AxisKey): string => shortUnits[key];
