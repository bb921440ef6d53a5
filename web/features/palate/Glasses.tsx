import { Box } from '@mui/material';
import type { Trainer } from '../../api/client';
import { fixed } from '../../base/locale';
import { say } from './sentences';

export const letters = ['A', 'B', 'C', 'D', 'E'];

type Glass = Trainer['axes'][number]['glasses'][number];

/** The glasses of one axis, in a row as they stand on the table: the fuller the hatch, the stronger. */
export function Glasses({ glasses }: { glasses: readonly Glass[] }) {
  const strongest = Math.max(...glasses.map((glass) => glass.stock_grams));
  return (
    <Box component="ol" aria-label={say.glassesToPour} sx={row}>
      {glasses.map((glass, index) => (
        <Box component="li" key={glass.steps} data-glass={glass.steps} sx={{ textAlign: 'center' }}>
          <Box component="svg" viewBox="0 0 60 70" aria-hidden sx={{ width: 56, height: 66, display: 'inline-block' }}>
            <Box
              component="path"
              d="M9 22 L51 22 L47 64 L13 64 Z"
              sx={{
                fill: (theme) => (theme.vars ?? theme).palette.bar.window,
                fillOpacity: 0.15 + (0.85 * glass.stock_grams) / strongest,
              }}
            />
            <path d="M6 4 L12 66 L48 66 L54 4" fill="none" stroke="currentColor" strokeWidth="2.5" />
            <text x="30" y="50" textAnchor="middle" fontSize="20" fontWeight="700" fill="currentColor">
              {letters[index]}
            </text>
          </Box>
          <Box sx={{ fontWeight: 600, fontSize: '0.92rem' }}>
            {glass.steps === 0 ? say.theFirst : say.more(glass.steps)}
          </Box>
          <Box sx={{ fontSize: '0.88rem', color: 'text.secondary' }}>
            {say.gStock(fixed(glass.stock_grams, 0))}
            <br />
            {say.gWater(fixed(glass.water_grams, 0))}
          </Box>
        </Box>
      ))}
    </Box>
  );
}

const row = {
  listStyle: 'none',
  m: 0,
  my: 1.5,
  p: 0,
  display: 'grid',
  gridTemplateColumns: 'repeat(5, minmax(0, 1fr))',
  gap: 1,
  maxWidth: 560,
} as const;
