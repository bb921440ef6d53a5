import { Box, Typography } from '@mui/material';
import type { AxisKey, Trainer } from '../../api/client';
import { RowButton } from '../../ui/RowButton';
import { axisNames, steps } from '../../ui/words';
import { say } from './sentences';

/** As far as the strip goes, in steps: as far as the glasses do. */
const MOST = 4;

interface Props {
  axes: Trainer['axes'];
  axis: AxisKey;
  onAxis: (axis: AxisKey) => void;
}

/** What this tongue tells apart on each axis, as far as that is known; the finer, the shorter. */
export function ToldApart({ axes, axis, onAxis }: Props) {
  return (
    <Box component="section" aria-label={say.whatYouTellApart}>
      <Typography variant="h2">{say.whatYouTellApart}</Typography>
      <Typography sx={{ fontSize: '0.92rem', color: 'text.secondary', mb: 1 }}>{say.theShorterTheFinerMost}</Typography>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {axes.map((one) => (
          <Box component="li" key={one.axis} sx={{ borderTop: '1px solid', borderColor: 'divider' }}>
            <RowButton
              data-choice={one.axis}
              aria-pressed={one.axis === axis}
              onClick={() => {
                onAxis(one.axis);
              }}
              sx={{ ...row, ...(one.axis === axis && { bgcolor: 'bar.track' }) }}
            >
              <Box component="span" sx={{ fontWeight: 700 }}>
                {axisNames[one.axis]}
              </Box>
              <Box component="span" aria-hidden sx={strip}>
                <Box component="span" sx={{ ...mark, left: `${100 / MOST}%` }} />
                {one.own_step !== null && (
                  <Box component="span" sx={{ ...filled, width: `${Math.min(100, (100 * one.own_step) / MOST)}%` }} />
                )}
              </Box>
              <Box component="span" sx={{ fontSize: '0.92rem', color: 'text.secondary' }}>
                {one.own_step !== null
                  ? steps(one.own_step)
                  : one.trials === 0
                    ? say.notTried
                    : say.answers(one.trials)}
              </Box>
            </RowButton>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

const row = {
  display: 'grid',
  gridTemplateColumns: '76px minmax(0, 1fr) 92px',
  alignItems: 'center',
  columnGap: 1.5,
  minHeight: 48,
  px: 0.5,
} as const;
const strip = {
  position: 'relative',
  display: 'block',
  height: 20,
  bgcolor: 'background.paper',
  border: '1px solid',
  borderColor: 'divider',
  borderRadius: '2px',
} as const;
const filled = {
  position: 'absolute',
  left: 0,
  top: 0,
  bottom: 0,
  bgcolor: 'bar.value',
  borderRadius: '2px',
  opacity: 0.85,
} as const;
const mark = { position: 'absolute', top: -3, bottom: -3, width: '2px', bgcolor: 'bar.windowEdge' } as const;
