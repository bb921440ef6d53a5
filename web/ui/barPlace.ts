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

/** The steps that stand at so many per cent of a bar: place() the other way round. */
export function stepsAt(percent: number, window: readonly number[] | null): number {
  const at = Math.min(100, Math.max(0, percent));
  const [low, high] = window ?? [];
  if (low === undefined || high === undefined) {
    return (at * openScale) / 100;
  }
  if (at < channelStart) {
    return Math.max(0, low - stepsShown * (1 - at / channelStart));
  }
  if (at > channelEnd) {
    return high + (stepsShown * (at - channelEnd)) / (100 - channelEnd);
  }
  return low + ((high - low) * (at - channelStart)) / (channelEnd - channelStart);
}
