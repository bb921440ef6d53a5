/** What this place says. A translation has the same keys. */
export const say = {
  theKitchenServerDoesNot: 'The kitchen server does not answer.',
  theKitchenServerCouldNot: 'The kitchen server could not do that.',
  noAnswer: 'No answer.',
  thatDidNotWork: 'That did not work.',
};
