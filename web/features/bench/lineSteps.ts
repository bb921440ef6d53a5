import type { Balance } from '../../api/client';
import { say } from './sentences';

/** The steps at which each line goes in: a line of several things names them all. */
export function lineSteps(report: Balance | null): ReadonlyMap<number, string> {
  const steps = new Map<number, Set<number>>();
  for (const link of report?.links ?? []) {
    if (link.id !== null) steps.set(link.id, new Set([...(steps.get(link.id) ?? []), ...link.steps]));
  }
  return new Map([...steps].map(([id, numbers]) => [id, say.atStep([...numbers].sort((one, two) => one - two))]));
}
