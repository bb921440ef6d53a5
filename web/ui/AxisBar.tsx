import type { Axis, AxisKey } from '../api/client';
import { channel, channelStart, place } from './barPlace';
import looks from './bars.module.css';
import { type Handle, useBarHandle } from './useBarHandle';
import { fixed } from '../base/locale';
import { say } from './sentences';
import { axisNames, figure, shortUnit } from './words';

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

interface Props {
  name: AxisKey;
  axis: Axis;
  preview: Axis | undefined;
  /** Its mark can be pulled; where it cannot, the bar is a picture. */
  handle?: Handle | undefined;
  /** Where the family's known recipes stand. */
  known?: readonly Known[];
}

/** A known recipe of the family: its title, and where it stands on this axis, in steps. */
export interface Known {
  readonly title: string;
  readonly steps: number;
}

const none: readonly never[] = [];

/** One axis: its window, where it stands with its doubt, the own target, and where a considered correction would move it. */
export function AxisBar({ name, axis, preview, handle, known = none }: Props) {
  const window = axis.window_steps;
  const at = (steps: number) => `${place(steps, window)}%`;
  const opensAtNothing = window !== null && window[0] === 0;
  const value = place(axis.steps, window);
  const considered = preview === undefined ? value : place(preview.steps, window);
  const moves = Math.abs(considered - value) > 0.3;
  const pull = useBarHandle(handle, axis.steps, window);
  const said = spoken(name, axis, preview);
  const ends = window === null ? [0, 26] : [Math.max(0, (window[0] ?? 0) - 6), (window[1] ?? 0) + 6];
  return (
    <div
      {...(handle === undefined
        ? { role: 'img', 'aria-label': said }
        : {
            role: 'slider',
            'aria-label': axisNames[name],
            'aria-valuemin': ends[0],
            'aria-valuemax': ends[1],
            'aria-valuenow': handle.held ?? handle.placed ?? axis.steps,
            'aria-valuetext': handle.placed === null ? said : `${said}; ${say.thisSaucesOwnPlace}`,
            title: say.pullToAim,
          })}
      {...pull}
      className={looks.bar}
      data-moves={moves ? '' : undefined}
      data-handle={handle === undefined ? undefined : ''}
    >
      <div className={looks.track} style={{ left: opensAtNothing ? `${channelStart}%` : 0 }} />
      {window !== null && <div data-window className={looks.window} style={channel} />}
      {(axis.is_liked_otherwise || handle?.placed != null) && axis.own_steps !== null && (
        <div
          data-own
          className={looks.own}
          style={{
            left: at(axis.own_steps[0] ?? 0),
            width: `${Math.max(0.8, place(axis.own_steps[1] ?? 0, window) - place(axis.own_steps[0] ?? 0, window))}%`,
          }}
        />
      )}
      {known.map((one) => (
        <div key={one.title} data-known={one.title} className={looks.known} style={{ left: at(one.steps) }} />
      ))}
      <div
        className={looks.whisker}
        style={{
          left: at(axis.low_steps),
          width: `${Math.max(0.4, place(axis.high_steps, window) - place(axis.low_steps, window))}%`,
        }}
      />
      <div
        className={looks.way}
        style={{ left: `${Math.min(value, considered)}%`, width: `${Math.abs(considered - value)}%` }}
      />
      <div data-considered={moves ? '' : undefined} className={looks.goal} style={{ transform: across(considered) }} />
      <div className={looks.standing} style={{ transform: across(value) }} />
      {handle?.held != null && (
        <div data-held className={looks.grip} style={{ transform: across(place(handle.held, window)) }} />
      )}
    </div>
  );
}

/** A mark moves by so many hundredths of the bar: the browser then draws it elsewhere without laying out the page again. */
const across = (percent: number) => `translateX(${percent}cqw)`;
