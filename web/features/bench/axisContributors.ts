import type { AxisKey, Balance } from '../../api/client';
import { say } from './sentences';

/** Which line brings how much of an axis, and the same as one sentence. */
export function axisContributors(
  report: Balance | null,
  axis: AxisKey | null,
): { lines: ReadonlyMap<number, string>; says: string } {
  if (report === null || axis === null) return { lines: new Map(), says: '' };
  const part = (share: number) => `${Math.round(100 * share)} %`;
  return {
    lines: new Map(report.shares[axis].map((one) => [one.id, say.shareOfAxis(part(one.share), axis)])),
    says: report.shares_say[axis],
  };
}
