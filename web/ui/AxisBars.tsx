import { fixed } from './locale';
import { Box, ButtonBase } from '@mui/material';
import { axisKeys, axisNames, figure, shortUnit, whatIsOff } from './words';
import type { Axes, Axis, AxisKey, Correction, Pungency } from '../api/client';
import { say } from './sentences';

const channelStart = 34;
const channelEnd = 66;
const stepsShown = 6;
const openScale = 26;
/** As long as a move along a bar takes. */
const pace = '160ms ease-out';

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

function Bar({
  name,
  axis,
  preview,
  height,
}: {
  name: AxisKey;
  axis: Axis;
  preview: Axis | undefined;
  height: number;
}) {
  const window = axis.window_steps;
  const at = (steps: number) => `${place(steps, window)}%`;
  const opensAtNothing = window !== null && window[0] === 0;
  const value = place(axis.steps, window);
  const considered = preview === undefined ? value : place(preview.steps, window);
  const moves = Math.abs(considered - value) > 0.3;
  return (
    <Box role="img" aria-label={spoken(name, axis, preview)} sx={{ position: 'relative', height, minWidth: 0 }}>
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
      <Box data-considered={moves ? '' : undefined} sx={moves ? goal : noGoal} style={{ left: `${considered}%` }} />
      <Box sx={standing} style={{ left: `${value}%` }} />
    </Box>
  );
}

interface BarsProps {
  axes: Axes;
  preview: Axes | null;
  styleName: string | null;
  /** The family is only what it looks like: its windows are dashed. */
  isTentative?: boolean;
  /** The axis whose makers are looked at, and what to do when another is picked; without it the names are plain. */
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
}: BarsProps) {
  return (
    <Box component="section" aria-label={say.balance} sx={isTentative ? tentative : undefined}>
      {styleName !== null && (
        <Box aria-hidden sx={{ ...grid, fontSize: { xs: '0.7rem', sm: '0.8rem' }, color: 'text.secondary' }}>
          <span />
          <Box sx={{ position: 'relative', height: 18, lineHeight: '18px' }}>
            <Box sx={{ position: 'absolute', left: 0 }}>{say.tooLittle}</Box>
            <Box sx={middle}>{say.aboutRight}</Box>
            <Box sx={{ position: 'absolute', right: 0 }}>{say.tooMuch}</Box>
          </Box>
          <span />
        </Box>
      )}
      {axisKeys.map((key) => {
        const axis = axes[key];
        const verdict = (preview?.[key] ?? axis).verdict;
        const mend = mends?.[key];
        return (
          <Box key={key} data-axis={key} data-steps={axis.steps} data-off={axis.off_by_steps ?? ''} sx={{ py: 0.25 }}>
            <Box sx={grid}>
              {onLook === undefined ? (
                <Box sx={axisName}>{axisNames[key]}</Box>
              ) : (
                <ButtonBase
                  aria-pressed={looked === key}
                  title={say.whatBringsThe(axisNames[key].toLowerCase())}
                  onClick={() => {
                    onLook(key);
                  }}
                  sx={pressedName}
                >
                  {axisNames[key]}
                </ButtonBase>
              )}
              <Bar name={key} axis={axis} preview={preview?.[key]} height={28} />
              <Box aria-hidden sx={figures}>
                <Box component="span" data-value sx={{ fontWeight: 700 }}>
                  {figure(axis.value)}
                </Box>{' '}
                <Box component="span" sx={small}>
                  {shortUnit(key)}
                </Box>
              </Box>
            </Box>
            <Box sx={{ ...below, fontWeight: axis.is_off ? 600 : 400 }}>
              <Box component="span" sx={{ display: 'inline-grid', '& > *': { gridArea: '1 / 1' } }}>
                <span data-verdict>{letGo.includes(key) ? say.doesNotCountHere : verdict}</span>
                {/* holds the place: what is beside it must not move away from a pointer that looks at it */}
                {mend !== undefined && (
                  <Box component="span" aria-hidden sx={{ visibility: 'hidden' }}>
                    {axis.verdict}
                  </Box>
                )}
              </Box>
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
              <Box component="span" aria-hidden sx={mend === undefined ? range : rangeBesideWayIn}>
                {axis.high > 0 ? `${figure(axis.low)}–${figure(axis.high)}` : say.noneOfIt}
              </Box>
            </Box>
          </Box>
        );
      })}
      {pungency !== null && pungency.share > 0 && <Bite pungency={pungency} />}
    </Box>
  );
}

/** "½ tsp salt would bring it in": one press adds it. */
function WayIn({
  mend,
  axis,
  onMend,
  onConsider,
}: {
  mend: Correction;
  axis: AxisKey;
  onMend: (mend: Correction) => void;
  onConsider: ((mend: Correction | null) => void) | undefined;
}) {
  const what = mend.additions.map((one) => one.line).join(' + ');
  const show = () => onConsider?.(mend);
  const hide = () => onConsider?.(null);
  return (
    <ButtonBase
      data-mend={axis}
      title={say.itBringsItIn(mend.why)}
      onMouseEnter={show}
      onMouseLeave={hide}
      onFocus={show}
      onBlur={hide}
      onClick={() => {
        hide();
        onMend(mend);
      }}
      sx={wayIn}
    >
      {say.add(what)}
    </ButtonBase>
  );
}

/** Mustard, horseradish, wasabi: on a scale of its own, for no family has a window of it. */
function Bite({ pungency }: { pungency: Pungency }) {
  return (
    <Box data-pungency={pungency.value} sx={{ py: 0.25 }}>
      <Box sx={grid}>
        <Box sx={axisName}>{say.bite}</Box>
        <Box
          role="img"
          aria-label={say.biteInTheNoseAs(pungency.says, figure(pungency.low), figure(pungency.high))}
          sx={{ position: 'relative', height: 20 }}
        >
          <Box sx={{ ...strip, left: 0, right: 0, bgcolor: 'bar.track' }} />
          <Box sx={pungent} style={{ width: `${100 * pungency.share}%` }} />
        </Box>
        <Box aria-hidden sx={figures}>
          <Box component="span" sx={small}>
            {pungency.says}
          </Box>
        </Box>
      </Box>
    </Box>
  );
}

/** The same five bars, small and with their names, as a sauce's mark. */
export function BarMark({ axes }: { axes: Axes }) {
  const label = whatIsOff(axes);
  return (
    <Box role="img" aria-label={label === '' ? say.balanced : label} sx={{ display: 'grid', rowGap: '1px', py: '2px' }}>
      {axisKeys.map((key) => (
        <Box key={key} sx={markRow}>
          <Box component="span" sx={{ fontSize: '0.7rem', lineHeight: '12px', color: 'text.secondary' }}>
            {key}
          </Box>
          <Box sx={{ position: 'relative', height: 12 }}>
            <Box sx={{ position: 'absolute', left: 0, right: 0, top: 5, height: 2, bgcolor: 'bar.track' }} />
            {axes[key].window_steps !== null && <Box sx={markWindow} />}
            <Box sx={markStanding} style={{ left: `${place(axes[key].steps, axes[key].window_steps)}%` }} />
          </Box>
        </Box>
      ))}
    </Box>
  );
}

const tentative = {
  '& [data-window]': {
    bgcolor: 'transparent',
    border: '2px dashed',
    borderColor: 'bar.windowEdge',
  },
} as const;
const markRow = { display: 'grid', gridTemplateColumns: '38px minmax(0, 1fr)', columnGap: 0.75 } as const;
const markWindow = {
  position: 'absolute',
  left: `${channelStart}%`,
  width: `${channelEnd - channelStart}%`,
  top: 0,
  bottom: 0,
  bgcolor: 'bar.window',
  borderLeft: '2px solid',
  borderRight: '2px solid',
  borderColor: 'bar.windowEdge',
} as const;
const markStanding = {
  position: 'absolute',
  top: 1,
  width: 5,
  height: 10,
  ml: '-2.5px',
  bgcolor: 'bar.value',
} as const;
const axisName = { fontWeight: 700, fontSize: '1.05rem', lineHeight: 1.15 } as const;
const pressedName = {
  ...axisName,
  justifyContent: 'flex-start',
  minHeight: 28,
  '@media (pointer: coarse)': { minHeight: 44 },
  '&:hover, &[aria-pressed="true"]': {
    textDecoration: 'underline',
    textDecorationThickness: '3px',
    textUnderlineOffset: '4px',
  },
} as const;
const strip = { position: 'absolute', top: '20%', bottom: '20%' } as const;
const pungent = { ...strip, left: 0, bgcolor: 'bar.doubt' } as const;
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
  top: 0,
  bottom: 0,
  width: 12,
  ml: '-6px',
  border: '3px solid',
  borderColor: 'bar.preview',
  bgcolor: 'background.paper',
  opacity: 0,
} as const;
const goal = { ...noGoal, opacity: 1, transition: `left ${pace}` } as const;
const standing = {
  position: 'absolute',
  top: 0,
  bottom: 0,
  width: 7,
  ml: '-3.5px',
  bgcolor: 'bar.value',
  transition: `left ${pace}`,
} as const;
const middle = {
  position: 'absolute',
  left: `${channelStart}%`,
  width: `${channelEnd - channelStart}%`,
  textAlign: 'center',
  whiteSpace: 'nowrap',
} as const;
const grid = {
  display: 'grid',
  gridTemplateColumns: { xs: '64px 1fr 76px', sm: '76px 1fr 84px' },
  columnGap: 1.5,
  alignItems: 'center',
} as const;
const below = {
  display: 'flex',
  flexWrap: 'wrap',
  alignItems: 'center',
  columnGap: 1,
  fontSize: '0.88rem',
  lineHeight: '20px',
  minHeight: 20,
  color: 'text.primary',
  pl: { xs: 0, sm: '88px' },
} as const;
const small = { fontSize: '0.8rem', color: 'text.secondary' } as const;
const range = { ...small, ml: 'auto', fontWeight: 400, whiteSpace: 'nowrap' } as const;
const rangeBesideWayIn = { ...range, display: { xs: 'none', sm: 'inline' } } as const;
const figures = { textAlign: 'right', whiteSpace: 'nowrap', lineHeight: 1.15 } as const;
const wayIn = {
  font: 'inherit',
  lineHeight: '20px',
  fontWeight: 700,
  px: 0.5,
  mx: -0.5,
  textDecoration: 'underline',
  textUnderlineOffset: '3px',
  borderRadius: '4px',
  // a thumb needs more than the words
  position: 'relative',
  '&::after': {
    content: '""',
    position: 'absolute',
    inset: '-2px -6px',
    '@media (pointer: coarse)': { inset: '-12px -6px' },
  },
  '&:hover, &:focus-visible': { bgcolor: 'bar.window' },
} as const;
