import type { Axis, AxisKey } from '../api/client';
import { channel, channelStart, place } from './barPlace';
import looks from './bars.module.css';
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

/** One axis: its window, where it stands with its doubt, the own target, and where a considered correction would move it. */
export function AxisBar({ name, axis, preview }: { name: AxisKey; axis: Axis; preview: Axis | undefined }) {
  const window = axis.window_steps;
  const at = (steps: number) => `${place(steps, window)}%`;
  const opensAtNothing = window !== null && window[0] === 0;
  const value = place(axis.steps, window);
  const considered = preview === undefined ? value : place(preview.steps, window);
  const moves = Math.abs(considered - value) > 0.3;
  return (
    <div role="img" aria-label={spoken(name, axis, preview)} className={looks.bar} data-moves={moves ? '' : undefined}>
      <div className={looks.track} style={{ left: opensAtNothing ? `${channelStart}%` : 0 }} />
      {window !== null && <div data-window className={looks.window} style={channel} />}
      {axis.is_liked_otherwise && axis.own_steps !== null && (
        <div
          data-own
          className={looks.own}
          style={{
            left: at(axis.own_steps[0] ?? 0),
            width: `${Math.max(0.8, place(axis.own_steps[1] ?? 0, window) - place(axis.own_steps[0] ?? 0, window))}%`,
          }}
        />
      )}
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
    </div>
  );
}

/** A mark moves by so many hundredths of the bar: the browser then draws it elsewhere without laying out the page again. */
const across = (percent: number) => `translateX(${percent}cqw)`;
