import { fixed } from '../../base/locale';
import { Box, useTheme } from '@mui/material';
import { LineChart } from '@mui/x-charts/LineChart';
import type { AxisKey, Reduction } from '../../api/client';
import { axisKeys, axisNames, grams } from '../../ui/words';
import { Fold } from '../../ui/Fold';
import { say } from './sentences';

/** Shapes that differ without colour: a filled dot, a cross, and the like. */
const shapes = ['circle', 'cross', 'diamond', 'square', 'triangle'] as const;

/** How the axes move while water leaves, as a chart, and the same as a table. */
export function ReductionCurve({ curve }: { curve: Reduction['curve'] }) {
  const theme = useTheme();
  const bar = theme.vars?.palette.bar ?? theme.palette.bar;
  const tones = [bar.value, bar.windowEdge, bar.preview, bar.doubt, bar.value];
  const shown = axisKeys.filter((axis) => curve.some((point) => point.steps[axis] > 0.1));
  const gained = (point: Reduction['curve'][number], axis: AxisKey) => point.steps[axis] - (curve[0]?.steps[axis] ?? 0);
  return (
    <Box data-curve>
      <LineChart
        height={220}
        skipAnimation
        xAxis={[
          {
            data: curve.map((point) => (curve[0]?.grams ?? 0) - point.grams),
            label: say.gramsBoiledOff,
            scaleType: 'linear',
            height: 60,
          },
        ]}
        yAxis={[{ label: say.stepsGained, width: 46 }]}
        series={shown.map((axis) => ({
          data: curve.map((point) => gained(point, axis)),
          label: axisNames[axis],
          color: tones[axisKeys.indexOf(axis)] ?? bar.value,
          shape: shapes[axisKeys.indexOf(axis)] ?? 'circle',
          showMark: true,
          curve: 'linear' as const,
        }))}
      />
      <Fold says={say.theSameAsATable} sx={{ fontSize: '0.88rem' }}>
        <Box component="table" sx={{ borderCollapse: 'collapse', '& th, & td': { pr: 2, textAlign: 'right' } }}>
          <thead>
            <tr>
              <th scope="col">{say.sauce}</th>
              {shown.map((axis) => (
                <th scope="col" key={axis}>
                  {axisNames[axis]}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {curve.map((point) => (
              <tr key={point.grams}>
                <td>{grams(point.grams)}</td>
                {shown.map((axis) => (
                  <td key={axis}>{fixed(gained(point, axis), 1)}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </Box>
      </Fold>
    </Box>
  );
}
