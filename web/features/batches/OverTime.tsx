import { Box, useTheme } from '@mui/material';
import type { AxisKey, SauceLog } from '../../api/client';
import { axisNames, day } from '../../ui/words';
import { say } from './sentences';

type Batch = SauceLog['batches'][number];

const [wide, high] = [640, 220];
const edge = { left: 34, right: 14, top: 12, bottom: 30 };

/** One axis over all batches: time along the bottom, the family's window and the cook's own as bands, each batch a point with its doubt. */
export function OverTime({ batches, axis }: { batches: readonly Batch[]; axis: AxisKey }) {
  const theme = useTheme();
  const bar = theme.vars?.palette.bar ?? theme.palette.bar;
  const dated = batches.filter((one) => one.at !== null);
  const times = dated.map((one) => Date.parse(one.at ?? ''));
  const [first, last] = [Math.min(...times), Math.max(...times)];
  const axes = dated.map((one) => one.axes[axis]);
  const heights = axes.flatMap((one) => [
    one.low_steps,
    one.high_steps,
    ...(one.window_steps ?? []),
    ...(one.own_steps ?? []),
  ]);
  const [lowest, highest] = [Math.max(0, Math.min(...heights) - 1), Math.max(...heights) + 1];
  const x = (at: number) =>
    edge.left + (first === last ? 0.5 : (at - first) / (last - first)) * (wide - edge.left - edge.right - 20) + 10;
  const y = (steps: number) =>
    edge.top + (1 - (steps - lowest) / Math.max(0.1, highest - lowest)) * (high - edge.top - edge.bottom);
  const band = (pick: (one: Batch['axes'][AxisKey]) => readonly number[] | null) => {
    const edges = axes.map(pick);
    if (edges.some((one) => one === null)) return null;
    const points = [
      ...edges.map((one, at) => `${x(times[at] ?? first)},${y(one?.[1] ?? 0)}`),
      ...edges.map((one, at) => `${x(times[at] ?? first)},${y(one?.[0] ?? 0)}`).reverse(),
    ];
    // one batch has no width: its band runs through
    return edges.length === 1
      ? `${edge.left},${y(edges[0]?.[1] ?? 0)} ${wide},${y(edges[0]?.[1] ?? 0)} ${wide},${y(edges[0]?.[0] ?? 0)} ${edge.left},${y(edges[0]?.[0] ?? 0)}`
      : points.join(' ');
  };
  const [family, own] = [band((one) => one.window_steps), band((one) => one.own_steps)];
  const said = dated.map((one, at) => `${day(one.at ?? '')}: ${axes[at]?.verdict ?? ''}`).join('; ');
  return (
    <Box tabIndex={0} role="region" aria-label={say.overTimeAsAPicture} sx={{ overflowX: 'auto' }}>
      <svg
        viewBox={`0 0 ${wide} ${high}`}
        role="img"
        aria-label={say.overTime(axisNames[axis], said)}
        data-over={axis}
        style={{ width: '100%', minWidth: 420, maxWidth: 860, display: 'block' }}
      >
        {family !== null && <polygon points={family} fill={bar.window} stroke={bar.windowEdge} strokeWidth={1.5} />}
        {own !== null && (
          <polygon points={own} fill="none" stroke={bar.preview} strokeWidth={2} strokeDasharray="6 4" />
        )}
        <polyline
          points={axes.map((one, at) => `${x(times[at] ?? first)},${y(one.steps)}`).join(' ')}
          fill="none"
          stroke={bar.doubt}
          strokeWidth={1.5}
        />
        {axes.map((one, at) => {
          const across = x(times[at] ?? first);
          return (
            <g key={dated[at]?.id}>
              <line
                x1={across}
                x2={across}
                y1={y(one.low_steps)}
                y2={y(one.high_steps)}
                stroke={bar.doubt}
                strokeWidth={2}
              />
              <rect x={across - 9} y={y(one.steps) - 3.5} width={18} height={7} fill={bar.value} />
              {(at === 0 || at === axes.length - 1 || axes.length < 6) && (
                <text
                  x={across}
                  y={high - 10}
                  textAnchor={
                    at === 0 && axes.length > 1 ? 'start' : at === axes.length - 1 && at > 0 ? 'end' : 'middle'
                  }
                  fontSize={13}
                  fill="currentColor"
                >
                  {day(dated[at]?.at ?? '')}
                </text>
              )}
            </g>
          );
        })}
        <text x={0} y={edge.top + 8} fontSize={12} fill="currentColor">
          {say.more}
        </text>
        <text x={0} y={high - edge.bottom} fontSize={12} fill="currentColor">
          {say.less}
        </text>
      </svg>
      <Box sx={{ fontSize: '0.85rem', color: 'text.secondary' }}>{say.shadedTheFamilysWindowThe(own)}</Box>
    </Box>
  );
}
