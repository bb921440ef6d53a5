import { fixed } from './locale';
import { CautionLine } from './CautionLine';
import { Box, Typography } from '@mui/material';
import type { Keep } from '../api/client';

const span = (days: Keep['days']): string =>
  days.low === days.high ? `${fixed(days.high, 0)} days` : `${fixed(days.low, 0)} to ${fixed(days.high, 0)} days`;

/** "In the fridge 21 to 30 days, in the freezer 6 months". */
export const keepWords = (keep: Keep): string =>
  keep.storage === 'serve-at-once'
    ? 'Serve at once: it does not keep'
    : `In the ${keep.storage} ${span(keep.days)}, ${keep.freezer_months === null ? 'not in the freezer' : `in the freezer ${fixed(keep.freezer_months, 0)} months`}`;

/** How it is kept, why, what cooks say, and what should be measured first. */
export function KeepFacts({ keep }: { keep: Keep }) {
  return (
    <Box data-keep={keep.storage}>
      <Typography data-keep-words sx={{ fontSize: '1.15rem', fontWeight: 700, mt: 0.5 }}>
        {keepWords(keep)}. Never at room temperature.
      </Typography>
      {keep.asks.map((ask) => (
        <Typography key={ask} sx={{ my: 0.75 }}>
          <strong>To do:</strong> {ask}
        </Typography>
      ))}
      <Typography variant="h3" component="h3" sx={{ mt: 1 }}>
        Why, the deciding rule first
      </Typography>
      <Box component="ol" sx={{ m: 0, pl: 2.5 }}>
        {keep.reasons.map((reason) => (
          <li key={reason}>{reason}</li>
        ))}
      </Box>
      {keep.traditions.map((tradition) => (
        <Typography key={tradition} sx={{ my: 0.75, color: 'text.secondary' }}>
          <strong>Cooks say:</strong> {tradition}
        </Typography>
      ))}
      {keep.cautions.map((caution) => (
        <CautionLine key={caution.code} caution={caution} sx={{ fontSize: '0.92rem' }} />
      ))}
    </Box>
  );
}
