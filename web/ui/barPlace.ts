export const channelStart = 34;
const channelEnd = 66;
/** Where every window stands. */
export const channel = { left: `${channelStart}%`, width: `${channelEnd - channelStart}%` };
const stepsShown = 6;
const openScale = 26;

/** Where so many steps stand along a bar, in per cent: every window fills the same middle third, steps beyond it are evenly wide. */
export function place(steps: number, window: readonly number[] | null): number {
  const [low, high] = window ?? [];
  if (low === undefined || high === undefined) {
    return Math.min(100, (100 * steps) / openScale);
  }
  if (steps < low) {
    return channelStart * (1 - Math.min(1, (low - steps) / stepsShown));
  }
  if (steps > high) {
    return channelEnd + (100 - channelEnd) * Math.min(1, (steps - high) / stepsShown);
  }
  return high > low
    ? channelStart + ((channelEnd - channelStart) * (steps - low)) / (high - low)
    : (channelStart + channelEnd) / 2;
}
