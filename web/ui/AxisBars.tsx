import { Box, ButtonBase, Typography } from '@mui/material';
import { axisKeys, axisNames, figure, shortUnit } from './words';
import type { Axes, Axis, AxisKey } from '../api/client';

const channelStart = 34;
const channelEnd = 66;
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

/** Whether the cook's own target is elsewhere than the style's window by as much as could be noticed. */
const isOwn = (axis: Axis): boolean =>
  axis.own_steps !== null &&
  axis.window_steps !== null &&
  Math.abs((axis.own_steps[1] ?? 0) - (axis.window_steps[1] ?? 0)) >= 0.25;

function spoken(key: AxisKey, axis: Axis, preview: Axis | undefined): string {
  const unit = shortUnit(key) === '%' ? 'per cent' : 'Scoville units';
  const parts = [
    `${axisNames[key]} ${figure(axis.value)} ${unit}, likely between ${figure(axis.low)} and ${figure(axis.high)}`,
  ];
  if (axis.window !== null) {
    parts.push(`${axis.verdict}; the style runs from ${figure(axis.window[0] ?? 0)} to ${figure(axis.window[1] ?? 0)}`);
  }
  if (axis.own_steps !== null && axis.own_off_by_steps !== null) {
    const off = axis.own_off_by_steps;
    parts.push(
      off === 0
        ? 'inside your own target'
        : `${Math.abs(off).toFixed(1)} steps ${off > 0 ? 'above' : 'below'} your own target`,
    );
  }
  if (preview !== undefined) {
    parts.push(`would become ${figure(preview.value)}${preview.window === null ? '' : `, ${preview.verdict}`}`);
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
  const next = preview === undefined ? null : place(preview.steps, window);
  return (
    <Box role="img" aria-label={spoken(name, axis, preview)} sx={{ position: 'relative', height, minWidth: 0 }}>
      <Box sx={{ ...strip, left: opensAtNothing ? `${channelStart}%` : 0, right: 0, bgcolor: 'bar.track' }} />
      {window !== null && (
        <Box
          sx={{
            ...strip,
            left: `${channelStart}%`,
            width: `${channelEnd - channelStart}%`,
            bgcolor: 'bar.window',
            borderLeft: '2px solid',
            borderRight: '2px solid',
            borderColor: 'bar.windowEdge',
          }}
        />
      )}
      {isOwn(axis) && axis.own_steps !== null && (
        <Box
          data-own
          sx={{
            position: 'absolute',
            top: 0,
            height: '22%',
            left: at(axis.own_steps[0] ?? 0),
            width: `${Math.max(0.8, place(axis.own_steps[1] ?? 0, window) - place(axis.own_steps[0] ?? 0, window))}%`,
            border: '2px solid',
            borderBottom: 0,
            borderColor: 'bar.preview',
          }}
        />
      )}
      <Box
        sx={{
          position: 'absolute',
          top: '50%',
          height: 8,
          mt: '-4px',
          left: at(axis.low_steps),
          width: `${Math.max(0.4, place(axis.high_steps, window) - place(axis.low_steps, window))}%`,
          borderLeft: '2px solid',
          borderRight: '2px solid',
          borderColor: 'bar.doubt',
          '&::before': {
            content: '""',
            position: 'absolute',
            left: 0,
            right: 0,
            top: 3,
            height: 2,
            bgcolor: 'bar.doubt',
          },
        }}
      />
      {next !== null && Math.abs(next - value) > 0.3 && (
        <>
          <Box
            sx={{
              position: 'absolute',
              top: '50%',
              left: `${Math.min(value, next)}%`,
              width: `${Math.abs(next - value)}%`,
              borderTop: '3px dotted',
              borderColor: 'bar.preview',
              mt: '-1.5px',
            }}
          />
          <Box
            sx={{
              position: 'absolute',
              top: 0,
              bottom: 0,
              left: `${next}%`,
              width: 12,
              ml: '-6px',
              border: '3px solid',
              borderColor: 'bar.preview',
              bgcolor: 'background.paper',
            }}
          />
        </>
      )}
      <Box
        sx={{
          position: 'absolute',
          top: 0,
          bottom: 0,
          left: `${value}%`,
          width: 7,
          ml: '-3.5px',
          bgcolor: 'bar.value',
          transition: 'left 120ms ease-out',
        }}
      />
    </Box>
  );
}

interface BarsProps {
  axes: Axes;
  preview: Axes | null;
  styleName: string | null;
  /** The axis whose makers are looked at, and what to do when another is picked; without it the names are plain. */
  looked?: AxisKey | null;
  onLook?: (axis: AxisKey) => void;
}

/** The five axes as parallel bars: window, value, doubt, own target, and where a considered correction would move them. */
export function AxisBars({ axes, preview, styleName, looked = null, onLook }: BarsProps) {
  return (
    <Box component="section" aria-label="Balance">
      {styleName !== null && (
        <Box aria-hidden sx={{ ...grid, mb: 0.25, fontSize: { xs: '0.7rem', sm: '0.8rem' }, color: 'text.secondary' }}>
          <span />
          <Box sx={{ position: 'relative', height: 20 }}>
            <Box sx={{ position: 'absolute', left: 0 }}>too little</Box>
            <Box
              sx={{
                position: 'absolute',
                left: `${channelStart}%`,
                width: `${channelEnd - channelStart}%`,
                textAlign: 'center',
                whiteSpace: 'nowrap',
              }}
            >
              about right
            </Box>
            <Box sx={{ position: 'absolute', right: 0 }}>too much</Box>
          </Box>
          <span />
        </Box>
      )}
      {axisKeys.map((key) => {
        const axis = axes[key];
        return (
          <Box
            key={key}
            data-axis={key}
            data-steps={axis.steps}
            data-off={axis.off_by_steps ?? ''}
            sx={{ ...grid, py: 0.5 }}
          >
            <Box>
              {onLook === undefined ? (
                <Typography component="div" sx={{ fontWeight: 700, fontSize: '1.05rem', lineHeight: 1.15 }}>
                  {axisNames[key]}
                </Typography>
              ) : (
                <ButtonBase
                  aria-pressed={looked === key}
                  title={`What brings the ${axisNames[key].toLowerCase()}`}
                  onClick={() => {
                    onLook(key);
                  }}
                  sx={axisName}
                >
                  {axisNames[key]}
                </ButtonBase>
              )}
              <Typography
                component="div"
                data-verdict
                sx={{ fontSize: '0.85rem', lineHeight: 1.2, color: 'text.secondary', minHeight: '1.2em' }}
              >
                {(preview?.[key] ?? axis).verdict}
              </Typography>
            </Box>
            <Bar name={key} axis={axis} preview={preview?.[key]} height={34} />
            <Box aria-hidden sx={{ textAlign: 'right', whiteSpace: 'nowrap', lineHeight: 1.15 }}>
              <Box component="span" data-value sx={{ fontWeight: 700 }}>
                {figure(axis.value)}
              </Box>{' '}
              <Box component="span" sx={{ fontSize: '0.8rem', color: 'text.secondary' }}>
                {shortUnit(key)}
              </Box>
              <Box sx={{ fontSize: '0.78rem', color: 'text.secondary' }}>
                {axis.high > 0 ? `${figure(axis.low)}–${figure(axis.high)}` : 'none'}
              </Box>
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}

/** The same five bars, small, as a sauce's mark on the shelf. */
export function BarMark({ axes }: { axes: Axes }) {
  const label = axisKeys
    .map((key) => axes[key].verdict)
    .filter((word) => word !== '' && word !== 'about right')
    .join(', ');
  return (
    <Box
      role="img"
      aria-label={label === '' ? 'balanced' : label}
      sx={{ position: 'relative', width: '100%', display: 'grid', gap: '4px', py: '4px' }}
    >
      <Box
        sx={{
          position: 'absolute',
          top: 0,
          bottom: 0,
          left: `${channelStart}%`,
          width: `${channelEnd - channelStart}%`,
          bgcolor: 'bar.window',
          borderLeft: '2px solid',
          borderRight: '2px solid',
          borderColor: 'bar.windowEdge',
        }}
      />
      {axisKeys.map((key) => (
        <Box key={key} sx={{ position: 'relative', height: 8 }}>
          <Box sx={{ position: 'absolute', left: 0, right: 0, top: 3, height: 2, bgcolor: 'bar.track' }} />
          <Box
            sx={{
              position: 'absolute',
              left: `${place(axes[key].steps, axes[key].window_steps)}%`,
              top: 0,
              width: 6,
              height: 8,
              ml: '-3px',
              bgcolor: 'bar.value',
            }}
          />
        </Box>
      ))}
    </Box>
  );
}

const axisName = {
  font: 'inherit',
  fontWeight: 700,
  fontSize: '1.05rem',
  lineHeight: 1.15,
  display: 'block',
  width: '100%',
  textAlign: 'left',
  minHeight: 24,
  '@media (pointer: coarse)': { minHeight: 44 },
  p: 0,
  border: 0,
  bgcolor: 'transparent',
  color: 'text.primary',
  cursor: 'pointer',
  '&:hover, &[aria-pressed="true"]': {
    textDecoration: 'underline',
    textDecorationThickness: '3px',
    textUnderlineOffset: '4px',
  },
} as const;
const strip = { position: 'absolute', top: '20%', bottom: '20%' } as const;
const grid = {
  display: 'grid',
  gridTemplateColumns: { xs: '104px 1fr 72px', sm: '150px 1fr 84px' },
  columnGap: 1.5,
  alignItems: 'center',
} as const;
