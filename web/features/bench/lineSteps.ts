import type { Balance } from '../../api/client';
import { say } from './sentences';

/** The steps at which each row goes in, by row from 1: a row of several things names them all. */
export function lineSteps(report: Balance | null): ReadonlyMap<number, string> {
  const steps = new Map<number, Set<number>>();
  for (const link of report?.links ?? []) {
    const row = (report?.lines[link.line - 1]?.row ?? link.line - 1) + 1;
    steps.set(row, new Set([...(steps.get(row) ?? []), ...link.steps]));
  }
  return new Map([...steps].map(([row, numbers]) => [row, say.atStep([...numbers].sort((one, two) => one - two))]));
}
