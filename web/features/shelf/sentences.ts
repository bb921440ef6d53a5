import { say as shared } from '../sauce/sentences';

/** What this place says. A translation has the same keys. */
export const say = {
  ...shared,
  whatIsInIt: 'What is in it?',
  pasteARecipeAsIt: 'Paste a recipe, or what somebody told you, as it stands; or type one ingredient a line',
  cupCiderVinegar2Tbsp: '½ cup cider vinegar\n2 tbsp honey\n1 tin chopped tomatoes\na pinch of cayenne',
  startWithAnEmptyBench: 'Start with an empty bench',
  seeHowItIsBalanced: 'See how it is balanced',
  whatYouTypedIsStill: (fault: string) => `${fault} What you typed is still here.`,
  my: (name: string) => `My ${name}`,
  orFromATypicalOne: 'Or from a typical one',
  aTypicalSauceOf: 'A typical sauce of',
  chooseAKindOfSauce: 'choose a kind of sauce',
  makeItMyOwn: 'Make it my own',
  about500GAsRecipes: (references: number, schools: string) =>
    `About 500 g, as ${references} recipes of its kind have it: ${schools}`,
  noFamilyChosen: 'no family chosen',
  shelfVinculum: 'Shelf · Vinculum',
  backupsAndExport: 'Backups and export',
  shelf: 'Shelf',
  findASauce: 'Find a sauce',
  tryAgain: 'Try again',
  emptyAsYetTheFirst: 'Empty as yet. The first sauce you start stands here, and stays.',
  noSauceOfThatName: 'No sauce of that name.',
  showMoreSauces: 'Show more sauces',
  isArchived: (title: string | undefined) => `${title === '' ? 'The sauce' : (title ?? '')} is archived.`,
  bringItBack: 'Bring it back',
  archive: 'Archive',
  archiveWhat: (title: string) => `Archive: ${title}`,
  theseCookSheetsWereOpened: 'These cook sheets were opened here before, and go on without it:',
  batch: (title: string, id: number) => `${title === '' ? 'Unnamed sauce' : title}, batch ${id}`,
};
