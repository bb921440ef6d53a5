import { describe, expect, it } from 'vitest';
import { tagged, withThing } from './methodTags';

describe('what is set by hand of a step', () => {
  it('is put in and taken out again, and leaves the rest alone', () => {
    const steps = ['Stir it in.', 'Simmer [20 min] [simmering] [lid off]', 'Cool. [with salt]', 'Wait [for it].'];
    for (const step of steps) {
      const once = withThing(step, 'lime juice', true);
      expect(once).toContain('lime juice');
      expect(withThing(once, 'lime juice', true)).toBe(once);
      expect(withThing(once, 'lime juice', false)).toBe(step);
    }
  });

  it('holds several things, each under its own name', () => {
    const both = withThing(withThing('Stir.', 'salt', true), 'salt (2)', true);
    expect(both).toBe('Stir. [with salt; salt (2)]');
    expect(withThing(both, 'salt', false)).toBe('Stir. [with salt (2)]');
  });

  it('stays when the time of the step is set', () => {
    const told = { minutes: '10', heat: 'boiling', covered: true };
    expect(tagged('Boil. [5 min] [with salt]', told)).toBe('Boil. [10 min] [boiling] [covered] [with salt]');
    expect(tagged('Boil.', { minutes: '', heat: '', covered: false })).toBe('Boil.');
  });
});
