import type { SauceLog } from '../../api/client';
import { say } from './sentences';

type Tasting = SauceLog['batches'][number]['tastings'][number];

/** What was said of a batch, one tasting after the other, in one line; nothing where it was not tasted. */
export const tasted = (batch: { tastings: readonly Tasting[] }): string =>
  batch.tastings
    .map(
      (one) =>
        [one.words ?? '', one.says.join(', '), one.food === null ? '' : say.withIt(one.food)]
          .filter((part) => part !== '')
          .join('; ') || 'good',
    )
    .map((one, number) => (number === 0 ? one : say.thenTasted(one)))
    .join(' · ');
