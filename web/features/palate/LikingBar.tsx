import { Box } from '@mui/material';
import type { AxisKey, Palate } from '../../api/client';
import { place } from '../../ui/barPlace';
import { axisNames } from '../../ui/words';
import { say } from './sentences';

type Liking = NonNullable<Palate['families'][number]['axes'][string]>;

/** One axis of a family: its window, and over it the bracket of where this cook likes it, as wide as that is unsure. */
export function LikingBar({ axis, liking }: { axis: AxisKey; liking: Liking }) {
  const window = liking.window_steps;
  const at = (steps: number) => place(steps, window);
  const [from, to] = [at(liking.ideal - liking.deviation), at(liking.ideal + liking.deviation)];
  const tastings = liking.tastings === 0 ? say.notTastedYet : say.tastings(liking.tastings);
  return (
    <Box data-liking={axis} sx={row}>
      <Box sx={{ fontWeight: 700 }}>{axisNames[axis]}</Box>
      <Box
        role="img"
        aria-label={say.youLikeFrom(axisNames[axis], liking.says, tastings)}
        sx={{ position: 'relative', height: 34 }}
      >
        <Box sx={{ ...strip, left: 0, right: 0, bgcolor: 'bar.track' }} />
        {window !== null && (
          <Box
            sx={{
              ...strip,
              left: `${at(window[0] ?? 0)}%`,
              width: `${at(window[1] ?? 0) - at(window[0] ?? 0)}%`,
              bgcolor: 'bar.window',
              borderLeft: '2px solid',
              borderRight: '2px solid',
              borderColor: 'bar.windowEdge',
            }}
          />
        )}
        <Box
          sx={{
            position: 'absolute',
            top: 2,
            height: 10,
            left: `${from}%`,
            width: `${Math.max(1, to - from)}%`,
            border: '3px solid',
            borderBottom: 0,
            borderColor: 'bar.preview',
          }}
        />
        <Box
          sx={{
            position: 'absolute',
            top: 2,
            bottom: 4,
            left: `${at(liking.ideal)}%`,
            width: 3,
            ml: '-1.5px',
            bgcolor: 'bar.preview',
          }}
        />
      </Box>
      <Box>
        {liking.says}
        <Box component="span" sx={{ display: 'block', color: 'text.secondary', fontSize: '0.85rem' }}>
          {tastings}
        </Box>
      </Box>
    </Box>
  );
}

const row = {
  display: 'grid',
  gridTemplateColumns: { xs: '64px minmax(0, 1fr)', sm: '76px minmax(0, 1fr) 230px' },
  columnGap: 1.5,
  alignItems: 'center',
  '& > :nth-of-type(3)': { gridColumn: { xs: '2', sm: 'auto' } },
  py: 0.25,
} as const;
const strip = { position: 'absolute', top: 12, bottom: 4 } as const;
