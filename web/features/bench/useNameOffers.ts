import { useMemo } from 'react';
import { api, type Formula } from '../../api/client';
import { useLatest } from '../../api/useLatest';

/** The line that is being written, and what it holds so far. */
export interface Writing {
  readonly index: number;
  readonly text: string;
}

export const noOffers: readonly string[] = [];

/** Names that a line being written may become; none while another line's are still under way. */
export function useNameOffers(writing: Writing | null, formula: Formula): readonly string[] {
  const question = useMemo(
    () =>
      writing === null
        ? null
        : {
            text: writing.text.slice(0, 400),
            ...(formula.measures === undefined ? {} : { measures: formula.measures }),
            sauce: formula.sauce ?? null,
          },
    [writing, formula.measures, formula.sauce],
  );
  const found = useLatest(question, api.suggest);
  return useMemo(
    () =>
      writing === null || !found.isCurrent
        ? noOffers
        : (found.answer?.suggestions ?? [])
            .map((one) => one.text)
            .filter((text) => text.toLowerCase() !== writing.text.trim().toLowerCase()),
    [writing, found.isCurrent, found.answer],
  );
}
