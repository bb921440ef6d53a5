import type { AxisKey, Balance } from '../../api/client';
import { say } from './sentences';

/** Which line brings how much of an axis, for the rows, and the same as one sentence. */
export function axisContributors(
  report: Balance | null,
  axis: AxisKey | null,
): { rows: ReadonlyMap<number, string>; says: string } {
  const shares = report === null || axis === null ? [] : report.shares[axis];
  const part = (share: number) => `${Math.round(100 * share)} %`;
  return {
    rows: new Map([...rowShares(report, shares)].map(([row, share]) => [row + 1, say.shareOfAxis(part(share), axis)])),
    says: report === null || axis === null ? '' : report.shares_say[axis],
  };
}

/** Shares by row, from 0: a row may name several ingredients. */
function rowShares(report: Balance | null, shares: Balance['shares'][AxisKey]): ReadonlyMap<number, number> {
  const sums = new Map<number, number>();
  for (const one of shares) {
    const row = report?.lines[one.line - 1]?.row ?? one.line - 1;
    sums.set(row, (sums.get(row) ?? 0) + one.share);
  }
  return sums;
}
