import { Box, ButtonBase } from '@mui/material';
import type { Axes, AxisKey, Correction, Pungency } from '../api/client';
import { AxisBar, type Known } from './AxisBar';
import { channel } from './barPlace';
import looks from './bars.module.css';
import { say } from './sentences';
import type { Handle } from './useBarHandle';
import { WayIn, wayIn } from './WayIn';
import { axisKeys, axisNames, figure, shortUnit } from './words';

interface BarsProps {
  axes: Axes;
  preview: Axes | null;
  styleName: string | null;
  /** The family is only what it looks like: its windows are dashed. */
  isTentative?: boolean;
  /** The axis whose contributors are looked at, and what to do when another is picked; without it the names are plain. */
  looked?: AxisKey | null;
  onLook?: (axis: AxisKey) => void;
  /** The smallest way in of each axis that is off. */
  mends?: Partial<Record<AxisKey, Correction>>;
  onMend?: (mend: Correction) => void;
  /** A way in is looked at, or no longer. */
  onConsider?: (mend: Correction | null) => void;
  /** The bite in the nose, where there is any. */
  pungency?: Pungency | null;
  /** Axes that do not count for this sauce, and those of which it is asked. */
  letGo?: readonly string[];
  mayLetGo?: readonly AxisKey[];
  /** Lets an axis go, or counts it again. */
  onLetGo?: (axis: AxisKey, letsGo: boolean) => void;
  /** One slim row each, the verdict in it: a tool beside them has the room. */
  isSlim?: boolean;
  /** The marks can be pulled: what is held, what was left where, and what to do about it. */
  pull?: Pull;
  /** The family's known recipes, by axis. */
  known?: Readonly<Record<AxisKey, readonly Known[]>> | null;
}

export interface Pull {
  readonly held: Place | null;
  readonly placed: readonly Place[];
  onHold: (place: Place | null) => void;
  /** Left there; null gives the axis back to the family. */
  onPlace: (axis: AxisKey, steps: number | null) => void;
}

export interface Place {
  readonly axis: AxisKey;
  readonly steps: number;
}

const none: readonly never[] = [];

/** The five axes as parallel bars: window, value, doubt, own target, and where a considered correction would move them. */
export function AxisBars({
  axes,
  preview,
  styleName,
  isTentative = false,
  looked = null,
  onLook,
  mends,
  onMend,
  onConsider,
  pungency = null,
  letGo = none,
  mayLetGo = none,
  onLetGo,
  pull,
  known = null,
  isSlim = false,
}: BarsProps) {
  return (
    <Box
      component="section"
      aria-label={say.balance}
      className={isSlim ? looks.slim : undefined}
      sx={isTentative ? tentative : undefined}
    >
      {/* its place is kept where no family is chosen: the bars must not move when one is */}
      {styleName === null ? (
        <div className={looks.scale} />
      ) : (
        <div aria-hidden className={looks.columns}>
          <span />
          <div className={looks.scale}>
            <span>{say.tooLittle}</span>
            <span style={channel}>{say.aboutRight}</span>
            <span>{say.tooMuch}</span>
          </div>
          <span />
        </div>
      )}
      {axisKeys.map((key) => {
        const axis = axes[key];
        const verdict = (preview?.[key] ?? axis).verdict;
        const mend = mends?.[key];
        const placed = pull?.placed.find((one) => one.axis === key)?.steps ?? null;
        return (
          <div
            key={key}
            data-axis={key}
            data-steps={axis.steps}
            data-off={axis.off_by_steps ?? ''}
            className={looks.row}
          >
            <div className={looks.columns}>
              {onLook === undefined ? (
                <div className={looks.name}>{axisNames[key]}</div>
              ) : (
                <ButtonBase
                  aria-pressed={looked === key}
                  title={say.whatBringsThe(axisNames[key].toLowerCase())}
                  onClick={() => {
                    onLook(key);
                  }}
                  className={looks.name}
                  sx={pressedName}
                >
                  {axisNames[key]}
                </ButtonBase>
              )}
              <AxisBar
                name={key}
                axis={axis}
                preview={preview?.[key]}
                known={known?.[key] ?? none}
                handle={pull === undefined || letGo.includes(key) ? undefined : handleOf(pull, key, placed)}
              />
              <div aria-hidden className={looks.figures}>
                <span data-value className={looks.value}>
                  {figure(axis.value)}
                </span>{' '}
                <span className={looks.small}>{shortUnit(key)}</span>
                {isSlim && (
                  <span className={looks.beside} data-is-off={axis.is_off ? '' : undefined}>
                    {letGo.includes(key) ? say.doesNotCountHere : verdict}
                  </span>
                )}
              </div>
            </div>
            <div className={looks.below} data-is-off={axis.is_off ? '' : undefined}>
              <span className={looks.verdict}>
                <span data-verdict>{letGo.includes(key) ? say.doesNotCountHere : verdict}</span>
                {mend !== undefined && (
                  <span aria-hidden className={looks.held}>
                    {axis.verdict}
                  </span>
                )}
              </span>
              {mend !== undefined && onMend !== undefined && (
                <WayIn mend={mend} axis={key} onMend={onMend} onConsider={onConsider} />
              )}
              {onLetGo !== undefined && (letGo.includes(key) || mayLetGo.includes(key) || looked === key) && (
                <ButtonBase
                  data-let-go={key}
                  title={say.whetherItCountsInThe}
                  onClick={() => {
                    onLetGo(key, !letGo.includes(key));
                  }}
                  sx={wayIn}
                >
                  {letGo.includes(key) ? say.countItAgain : mayLetGo.includes(key) ? say.orLeaveItOut : say.leaveItOut}
                </ButtonBase>
              )}
              {placed !== null && pull !== undefined ? (
                <ButtonBase
                  data-placed={key}
                  title={say.backToTheFamily}
                  onClick={() => {
                    pull.onPlace(key, null);
                  }}
                  className={looks.range}
                  sx={wayIn}
                >
                  {say.dropOwnPlace}
                </ButtonBase>
              ) : (
                <span aria-hidden className={looks.range} data-beside-way-in={mend === undefined ? undefined : ''}>
                  {axis.high > 0 ? `${figure(axis.low)}–${figure(axis.high)}` : say.noneOfIt}
                </span>
              )}
            </div>
          </div>
        );
      })}
      {pungency !== null && pungency.share > 0 && <Bite pungency={pungency} />}
    </Box>
  );
}

const handleOf = (pull: Pull, axis: AxisKey, placed: number | null): Handle => ({
  held: pull.held?.axis === axis ? pull.held.steps : null,
  placed,
  onHold: (steps) => {
    pull.onHold(steps === null ? null : { axis, steps });
  },
  onPlace: (steps) => {
    pull.onPlace(axis, steps);
  },
});

/** Mustard, horseradish, wasabi: on a scale of its own, for no family has a window of it. */
function Bite({ pungency }: { pungency: Pungency }) {
  return (
    <div data-pungency={pungency.value} className={looks.row}>
      <div className={looks.columns}>
        <div className={looks.name}>{say.bite}</div>
        <div
          role="img"
          aria-label={say.biteInTheNoseAs(pungency.says, figure(pungency.low), figure(pungency.high))}
          className={looks.bite}
        >
          <div className={looks.track} />
          <div className={looks.fill} style={{ width: `${100 * pungency.share}%` }} />
        </div>
        <div aria-hidden className={looks.figures}>
          <span className={looks.small}>{pungency.says}</span>
        </div>
      </div>
    </div>
  );
}

const tentative = {
  '& [data-window]': {
    bgcolor: 'transparent',
    border: '2px dashed',
    borderColor: 'bar.windowEdge',
  },
} as const;
const pressedName = {
  justifyContent: 'flex-start',
  minHeight: 28,
  '@media (pointer: coarse)': { minHeight: 44 },
  '&:hover, &[aria-pressed="true"]': {
    textDecoration: 'underline',
    textDecorationThickness: '3px',
    textUnderlineOffset: '4px',
  },
} as const;
