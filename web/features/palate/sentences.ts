/** What this place says. A translation has the same keys. */
export const say = {
  glassesToPour: 'Glasses to pour',
  theFirst: 'the first',
  more: (steps: number) => `${steps} ${steps === 1 ? 'step' : 'steps'} more`,
  gStock: (stockGrams: string) => `${stockGrams} g stock`,
  gWater: (waterGrams: string) => `${waterGrams} g water`,
  whatYouTellApart: 'What you tell apart',
  theShorterTheFinerMost: 'The shorter, the finer. Most people tell one step apart.',
  notTried: 'not tried',
  trainTheTongueVinculum: 'Train the tongue · Vinculum',
  right: 'Right.',
  theOtherOneWasStronger: 'The other one was stronger.',
  trainTheTongue: 'Train the tongue',
  fiveGlasses: (axisName: string) => `${axisName}: five glasses`,
  makeTheStockGOf: (soluteGrams: number, name: string, waterGrams: number, how: string, whole: string) =>
    `Make the stock: ${soluteGrams} g of ${name} in ${waterGrams} g of water, ${how}. Then pour glasses of ${whole} g, with the letter under each. Water between tastes, and spit.`,
  whichIsStronger: 'Which is stronger?',
  forWhoeverPoursOutOf: 'For whoever pours, out of the taster’s sight',
  leftGlass: 'Left: glass ',
  rightGlass: '. Right: glass ',
  alonePourBothIntoLike:
    '. Alone? Pour both into like cups with the letter beneath, close your eyes, and change them about; then say left for the cup that stands for ',
  theLeft: 'The left',
  theRight: 'The right',
  soFarAfterSomeMore: (trials: number) =>
    `${trials} ${trials === 1 ? 'answer' : 'answers'} so far; after some more it is known what you can tell apart.`,
  youTellStepsApartOn: (ownStep: string, axisName: string, trials: number, verdict: string | null) =>
    `You tell ${ownStep} steps apart on ${axisName}, from ${trials} answers: ${verdict ?? ''}. On the bench, what is within that counts as about right.`,
  forgetTheseAnswers: 'Forget these answers',
  notTastedYet: 'not tasted yet',
  youLikeFrom: (axisName: string, says: string, tastings: string) => `${axisName}: you like ${says}, from ${tastings}`,
  palateVinculum: 'Palate · Vinculum',
  yourPalate: 'Your palate',
  eachTastingYouKeepSays:
    'Each tasting you keep says where you like a kind of sauce to stand. Your own target is the family’s window, moved by that; corrections aim at it, and the bars show it as a bracket above the window. Which answer you take at the pan is kept too: what you took two times more than another comes first.',
  withGlassesMixedFromYour: ' with glasses mixed from your pantry, and learn how fine it is on each axis.',
  inUseSwitchItOff: 'In use: switch it off',
  switchedOffUseItAgain: 'Switched off: use it again',
  nothingIsLearnedYetOpen:
    'Nothing is learned yet. Open a sauce, choose Taste, and say how it is: three or four tastings begin to tell.',
  forgetThis: 'Forget this',
  forgottenItIsTheFamilys: 'Forgotten: it is the family’s window again. The tastings themselves are kept.',
  asTheFamilyHasIt: (tastings: number) =>
    `as the family has it, from ${tastings} ${tastings === 1 ? 'tasting' : 'tastings'}`,
  answers: (trials: number) => `${trials} ${trials === 1 ? 'answer' : 'answers'}`,
  tastings: (tastings: number) => `${tastings} ${tastings === 1 ? 'tasting' : 'tastings'}`,
};
