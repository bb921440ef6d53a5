/** What this place says. A translation has the same keys. */
export const say = {
  thereIsNoSuchVersion: 'There is no such version.',
  asItStandsNow: 'as it stands now',
  anotherSauce: 'Another sauce',
  theOther: 'the other sauce',
  versionOf: (number: string) => `version ${number}`,
  versionKept: (number: number, keptAt: string) => `version ${number}, ${keptAt}`,
  sideBySide: 'Side by side',
  from: 'From',
  compareThis: 'Compare this',
  to: 'to',
  withThis: 'With this',
  comparing: 'Comparing …',
  tasteBeforeAndAfter: 'Taste before and after',
  andInSteps: (steps: string) => `. In steps: ${steps}`,
  solidOpen: (left: string, grams: string, right: string, grams2: string, steps: string) =>
    `Filled mark: ${left}, ${grams}; outline: ${right}, ${grams2}${steps}.`,
  lineByLine: 'Line by line',
  before: 'Before',
  after: 'After',
  change: 'Change',
};
