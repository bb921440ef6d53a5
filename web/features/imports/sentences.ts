/** What this place says. A translation has the same keys. */
export const say = {
  thatCouldNotBeRead: 'That could not be read.',
  bringingIn: (name: string) => `Bringing in ${name}`,
  lookingThrough: (name: string) => `Looking through ${name}`,
  takingIn: (name: string) => `Taking in ${name}`,
  importFiles: 'Import files',
  recipesSavedWebPagesTables:
    'Recipes, saved web pages, tables (CSV) or a whole kitchen. Or drop or paste them anywhere here.',
  importThis: 'Import this?',
  unnamed: 'Unnamed',
  thereAlreadyKeptBesideIt: ', there already: kept beside it',
  thereAlreadyLeftOut: ', there already: left out',
  keepBothWhereItIs: 'Keep both where it is there already',
  leaveIt: 'Leave it',
  importIt: 'Import it',
  imported: (taken: string) => `Imported: ${taken}.`,
  undo: 'Undo',
  cancel: 'Cancel',
};
