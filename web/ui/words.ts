import { fixed, locale, upTo } from '../base/locale';
import type { Axes, AxisKey, Correction } from '../api/client';
import { say } from './sentences';

export const axisKeys: readonly AxisKey[] = ['sweet', 'sour', 'salt', 'umami', 'heat'];

export const axisNames: Record<AxisKey, string> = {
  sweet: say.sweet,
  sour: say.sour,
  salt: say.salt,
  umami: say.umami,
  heat: say.heat,
};

/** "needs a touch more salt, a little too sharp"; nothing where nothing is off. */
export const whatIsOff = (axes: Axes): string =>
  axisKeys
    .filter((key) => axes[key].is_off)
    .map((key) => axes[key].verdict)
    .join(', ');

/** What a correction does besides, in words. */
export const besides = (correction: Correction): string[] => [
  ...correction.side_effects.map((one) => one.replace(' -', ' −')),
  ...correction.allergens_added.map((one) => say.brings(one)),
];

/** An amount as one reads it aloud: what is counted needs no "whole". */
export const spoken = (measure: string): string => measure.replace(/ whole$/, '');

/** "salt +1.2, heat −0.4": what moves by a tenth of a step or more. */
export function moves(change: Record<AxisKey, number>, least = 0.1): string {
  return axisKeys
    .filter((key) => Math.abs(change[key]) >= least)
    .map((key) => `${key} ${change[key] > 0 ? '+' : '−'}${fixed(Math.abs(change[key]), 1)}`)
    .join(', ');
}

/** A figure with the precision a kitchen can use. */
export function figure(value: number): string {
  if (value === 0) return '0';
  if (value >= 99.5) return fixed(value, 0);
  if (value >= 9.95) return fixed(value, 1);
  return value >= 0.095 ? fixed(value, 2) : fixed(value, 3);
}

/** "12 g", "1.5 g", "1.25 kg", as KitchenNumber has it (tests/data/figures.json holds the two together). */
export function grams(value: number): string {
  if (value >= 999.5) return say.kg(upTo(value / 1000, 2));
  if (value >= 9.95) return `${upTo(value, 0)} g`;
  return value >= 0.095 ? `${upTo(value, 1)} g` : `${upTo(value, 2)} g`;
}

/** "250 ml", "1.2 l". */
export function millilitres(value: number): string {
  return value >= 999.5 ? `${upTo(value / 1000, 2)} l` : say.ml(upTo(value, value >= 19.95 ? 0 : 1));
}

/** A figure and its unit on one line. */
export const unbroken = (text: string): string => text.replaceAll(' ', '\u00a0');

export function steps(value: number): string {
  return say.steps(fixed(value, 1), Math.abs(value - 1) < 0.05);
}

const shortUnits: Record<AxisKey, string> = { sweet: '%', sour: '%', salt: '%', umami: '%', heat: 'SHU' };

/** The unit as it stands beside a bar: grams in 100 g are per cent. */
export const shortUnit = (key: AxisKey): string => shortUnits[key];

/** "23 Nov, 17:40", in the reader's own way of writing it. */
export const moment = (iso: string | null): string =>
  iso === null
    ? ''
    : new Date(iso).toLocaleString(locale(), { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });

/** "Sat 28 Nov", with the year where it is not this one. */
export const day = (iso: string): string => {
  const at = new Date(iso);
  return at.toLocaleDateString(locale(), {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    ...(at.getFullYear() === new Date().getFullYear() ? {} : { year: 'numeric' }),
  });
};

/** A number as it was typed, with either mark before its decimals; not a number where it is none. */
export const typedNumber = (text: string): number => Number(text.replace(',', '.'));

/** "Sat 28 Nov, 17:40". */
export const when = (iso: string): string =>
  new Date(iso).toLocaleString(locale(), {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  });
