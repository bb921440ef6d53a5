import { Box, ButtonBase } from '@mui/material';
import type { Axes, AxisKey, Correction, Pungency } from '../api/client';
import { AxisBar } from './AxisBar';
import { axisName, figures, grid, small, strip } from './barLooks';
import { channelEnd, channelStart } from './barPlace';
import { say } from './sentences';
import { WayIn, wayIn } from './WayIn';
import { axisKeys, axisNames, figure, shortUnit } from './words';

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
              <AxisBar name={key} axis={axis} preview={preview?.[key]} />
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

const tentative = {
  '& [data-window]': {
    bgcolor: 'transparent',
    border: '2px dashed',
    borderColor: 'bar.windowEdge',
  },
} as const;
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
const pungent = { ...strip, left: 0, bgcolor: 'bar.doubt' } as const;
const middle = {
  position: 'absolute',
  left: `${channelStart}%`,
  width: `${channelEnd - channelStart}%`,
  textAlign: 'center',
  whiteSpace: 'nowrap',
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
const range = { ...small, ml: 'auto', fontWeight: 400, whiteSpace: 'nowrap' } as const;
const rangeBesideWayIn = { ...range, display: { xs: 'none', sm: 'inline' } } as const;
