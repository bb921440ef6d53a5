import type { SauceLog } from '../../api/client';

type Tasting = SauceLog['batches'][number]['tastings'][number];

const words: Record<string, readonly [string, string]> = {
  sweet: ['too sweet', 'sweetness'],
  sour: ['too sharp', 'sharpness'],
  salt: ['too salty', 'salt'],
  umami: ['too savoury', 'savour'],
  heat: ['too hot', 'heat'],
};

/** "a little too sweet", "wants a touch more heat": from −2, far too little, to +2. */
function scoreWords(scores: Tasting['scores']): string {
  return Object.entries(scores)
    .filter(([, score]) => score !== 0)
    .map(([axis, score]) => {
      const [tooMuch, more] = words[axis] ?? [`too much ${axis}`, axis];
      const degree = Math.abs(score) < 1 ? 'a touch' : Math.abs(score) < 2 ? 'a little' : 'clearly';
      return score > 0 ? `${degree} ${tooMuch}` : `wants ${degree} more ${more}`;
    })
    .join(', ');
}

/** What was said of a batch, in one line; nothing where it was not tasted. */
export const tasted = (batch: { tastings: readonly Tasting[] }): string =>
  batch.tastings
    .map(
      (one) =>
        [one.words ?? '', scoreWords(one.scores), one.food === null ? '' : `with ${one.food}`]
          .filter((part) => part !== '')
          .join('; ') || 'good',
    )
    .join(' · ');
