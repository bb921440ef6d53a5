import { Box } from '@mui/material';
import type { Axis, AxisKey } from '../api/client';
import { strip } from './barLooks';
import { channelEnd, channelStart, place } from './barPlace';
import { fixed } from './locale';
import { say } from './sentences';
import { axisNames, figure, shortUnit } from './words';

/** As long as a move along a bar takes. */
const pace = '160ms ease-out';

/** Whether the cook's own target is elsewhere than the style's window by as much as could be noticed. */
const isOwn = (axis: Axis): boolean =>
  axis.own_steps !== null &&
  axis.window_steps !== null &&
  Math.abs((axis.own_steps[1] ?? 0) - (axis.window_steps[1] ?? 0)) >= 0.25;

function spoken(key: AxisKey, axis: Axis, preview: Axis | undefined): string {
  const unit = shortUnit(key) === '%' ? say.perCent : say.scovilleUnits;
  const parts = [say.likelyBetweenAnd(axisNames[key], figure(axis.value), unit, figure(axis.low), figure(axis.high))];
  if (axis.window !== null) {
    parts.push(say.theStyleRunsFromTo(axis.verdict, figure(axis.window[0] ?? 0), figure(axis.window[1] ?? 0)));
  }
  if (axis.own_steps !== null && axis.own_off_by_steps !== null) {
    const off = axis.own_off_by_steps;
    parts.push(off === 0 ? say.insideYourOwnTarget : say.stepsYourOwnTarget(fixed(Math.abs(off), 1), off));
  }
  if (preview !== undefined) {
    parts.push(say.wouldBecome(figure(preview.value), preview.window === null ? null : preview.verdict));
  }
  return parts.join('; ');
}

/** One axis: its window, where it stands with its doubt, the own target, and where a considered correction would move it. */
export function AxisBar({ name, axis, preview }: { name: AxisKey; axis: Axis; preview: Axis | undefined }) {
  const window = axis.window_steps;
  const at = (steps: number) => `${place(steps, window)}%`;
  const opensAtNothing = window !== null && window[0] === 0;
  const value = place(axis.steps, window);
  const considered = preview === undefined ? value : place(preview.steps, window);
  const moves = Math.abs(considered - value) > 0.3;
  return (
    <Box role="img" aria-label={spoken(name, axis, preview)} sx={bar}>
      <Box sx={track} style={{ left: opensAtNothing ? `${channelStart}%` : 0 }} />
      {window !== null && <Box data-window sx={windowStrip} />}
      {isOwn(axis) && axis.own_steps !== null && (
        <Box
          data-own
          sx={ownBracket}
          style={{
            left: at(axis.own_steps[0] ?? 0),
            width: `${Math.max(0.8, place(axis.own_steps[1] ?? 0, window) - place(axis.own_steps[0] ?? 0, window))}%`,
          }}
        />
      )}
      <Box
        sx={whisker}
        style={{
          left: at(axis.low_steps),
          width: `${Math.max(0.4, place(axis.high_steps, window) - place(axis.low_steps, window))}%`,
        }}
      />
      <Box
        sx={moves ? way : noWay}
        style={{ left: `${Math.min(value, considered)}%`, width: `${Math.abs(considered - value)}%` }}
      />
      <Box
        data-considered={moves ? '' : undefined}
        sx={moves ? goal : noGoal}
        style={{ transform: across(considered) }}
      />
      <Box sx={standing} style={{ transform: across(value) }} />
    </Box>
  );
}

/** A mark moves by so many hundredths of the bar: the browser then draws it elsewhere without laying out the page again. */
const across = (percent: number) => `translateX(${percent}cqw)`;
const bar = { position: 'relative', height: 28, minWidth: 0, containerType: 'inline-size' } as const;
const track = { ...strip, right: 0, bgcolor: 'bar.track' } as const;
const windowStrip = {
  ...strip,
  left: `${channelStart}%`,
  width: `${channelEnd - channelStart}%`,
  bgcolor: 'bar.window',
  borderLeft: '2px solid',
  borderRight: '2px solid',
  borderColor: 'bar.windowEdge',
} as const;
const ownBracket = {
  position: 'absolute',
  top: 0,
  height: '22%',
  border: '2px solid',
  borderBottom: 0,
  borderColor: 'bar.preview',
} as const;
const whisker = {
  position: 'absolute',
  top: '50%',
  height: 8,
  mt: '-4px',
  borderLeft: '2px solid',
  borderRight: '2px solid',
  borderColor: 'bar.doubt',
  '&::before': { content: '""', position: 'absolute', left: 0, right: 0, top: 3, height: 2, bgcolor: 'bar.doubt' },
} as const;
/** From where it stands to where it would: only while something is considered. */
const noWay = {
  position: 'absolute',
  top: '50%',
  borderTop: '3px dotted',
  borderColor: 'bar.preview',
  mt: '-1.5px',
  opacity: 0,
} as const;
const way = { ...noWay, opacity: 1, transition: `left ${pace}, width ${pace}` } as const;
const noGoal = {
  position: 'absolute',
  left: 0,
  top: 0,
  bottom: 0,
  width: 12,
  ml: '-6px',
  border: '3px solid',
  borderColor: 'bar.preview',
  bgcolor: 'background.paper',
  opacity: 0,
} as const;
const goal = { ...noGoal, opacity: 1, transition: `transform ${pace}` } as const;
const standing = {
  position: 'absolute',
  left: 0,
  top: 0,
  bottom: 0,
  width: 7,
  ml: '-3.5px',
  bgcolor: 'bar.value',
  transition: `transform ${pace}`,
} as const;
