import { Box } from '@mui/material';
import type { Axes } from '../api/client';
import { channel, place } from './barPlace';
import { say } from './sentences';
import { axisKeys, whatIsOff } from './words';

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

const markRow = { display: 'grid', gridTemplateColumns: '38px minmax(0, 1fr)', columnGap: 0.75 } as const;
const markWindow = {
  position: 'absolute',
  ...channel,
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
