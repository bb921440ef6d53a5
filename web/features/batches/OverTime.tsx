import { useTheme } from '@mui/material';
import { LineChart } from '@mui/x-charts/LineChart';
import type { AxisKey, SauceLog } from '../../api/client';
import { axisNames } from '../../ui/words';

/** One axis over all batches: where each stood, between the edges of the style's window and against the cook's own target. */
export function OverTime({ batches, axis }: { batches: SauceLog['batches']; axis: AxisKey }) {
  const theme = useTheme();
  const bar = theme.vars?.palette.bar ?? theme.palette.bar;
  const of = (pick: (one: SauceLog['batches'][number]['axes'][AxisKey]) => number | null | undefined) =>
    batches.map((batch) => pick(batch.axes[axis]) ?? null);
  const lines = [
    {
      label: `${axisNames[axis]}, steps`,
      data: of((one) => one.steps),
      color: bar.value,
      shape: 'circle' as const,
      showMark: true,
    },
    {
      label: 'window, from',
      data: of((one) => one.window_steps?.[0]),
      color: bar.windowEdge,
      shape: 'triangle' as const,
      showMark: true,
    },
    {
      label: 'window, to',
      data: of((one) => one.window_steps?.[1]),
      color: bar.windowEdge,
      shape: 'square' as const,
      showMark: true,
    },
    {
      label: 'your own, from',
      data: of((one) => one.own_steps?.[0]),
      color: bar.preview,
      shape: 'diamond' as const,
      showMark: true,
    },
    {
      label: 'your own, to',
      data: of((one) => one.own_steps?.[1]),
      color: bar.preview,
      shape: 'cross' as const,
      showMark: true,
    },
  ].filter((line) => line.data.some((value) => value !== null));
  return (
    <LineChart
      height={260}
      margin={{ right: 48 }}
      skipAnimation
      xAxis={[{ data: batches.map((batch) => batch.code), scaleType: 'point', height: 30 }]}
      yAxis={[{ label: 'steps', width: 46 }]}
      series={lines.map((line) => ({ ...line, curve: 'linear' as const }))}
    />
  );
}
