/** What a cook sets by hand of a step stands in brackets at its end: "Simmer. [20 min] [lid off] [with lime juice; salt]". */

const ofTags = /(\s*\[[^\]]*\])+\s*$/u;
const ofWith = /\s*\[with ([^\]]*)\]/giu;

export interface Told {
  minutes: string;
  heat: string;
  covered: boolean;
}

const named = (step: string): readonly string[] => {
  const tags = ofTags.exec(step)?.[0] ?? '';
  return [...tags.matchAll(ofWith)].flatMap((tag) =>
    (tag[1] ?? '')
      .split(';')
      .map((name) => name.trim())
      .filter((name) => name !== ''),
  );
};

const withTag = (names: readonly string[]): readonly string[] =>
  names.length === 0 ? [] : [`[with ${names.join('; ')}]`];

/** A step with its time and heat set by hand; what goes in there stays as it was set. */
export const tagged = (text: string, told: Told): string =>
  [
    text.replace(ofTags, ''),
    ...(told.minutes.trim() === '' ? [] : [`[${told.minutes.trim()} min]`]),
    ...(told.heat === '' ? [] : [`[${told.heat}]`, told.covered ? '[covered]' : '[lid off]']),
    ...withTag(named(text)),
  ].join(' ');

const renamed = (step: string, names: readonly string[]): string => {
  const tags = ofTags.exec(step)?.[0] ?? '';
  const rest = step.slice(0, step.length - tags.length);
  return [rest + tags.replace(ofWith, '').trimEnd(), ...withTag(names)].join(' ');
};

/** A step that takes a thing by hand, or no longer does; others as they were. */
export const withThing = (step: string, name: string, isIn: boolean): string => {
  const now = named(step);
  if (now.includes(name) === isIn) return step;
  return renamed(step, isIn ? [...now, name] : now.filter((one) => one !== name));
};
