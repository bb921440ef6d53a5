import { fixed } from '../base/locale';
import { CautionLine } from './CautionLine';
import { Fold } from './Fold';
import { Box, Typography } from '@mui/material';
import type { Keep } from '../api/client';
import { say } from './sentences';

const span = (days: Keep['days']): string =>
  days.low === days.high ? say.days(fixed(days.high, 0)) : say.toDays(fixed(days.low, 0), fixed(days.high, 0));

/** "In the fridge 21 to 30 days, in the freezer 6 months". */
export const keepWords = (keep: Keep): string =>
  keep.storage === 'serve-at-once'
    ? say.serveAtOnceItDoes
    : say.inThe(
        keep.storage,
        span(keep.days),
        keep.freezer_months === null ? say.notInTheFreezer : say.inTheFreezerMonths(fixed(keep.freezer_months, 0)),
      );

/** How it is kept, why, what cooks say, and what should be measured first. */
export function KeepFacts({ keep }: { keep: Keep }) {
  return (
    <Box data-keep={keep.storage}>
      <Typography data-keep-words sx={{ fontSize: '1.15rem', fontWeight: 700, mt: 0.5 }}>
        {say.neverAtRoomTemperature(keepWords(keep))}
      </Typography>
      {keep.keeping_claim !== null && (
        <Typography data-keeping-claim sx={{ my: 0.75, color: 'text.secondary' }}>
          <strong>{say.theRecipeSays}</strong> {keep.keeping_claim}
        </Typography>
      )}
      {keep.asks.map((ask) => (
        <Typography key={ask} sx={{ my: 0.75 }}>
          <strong>{say.toDo}</strong> {ask}
        </Typography>
      ))}
      {keep.cautions.map((caution) => (
        <CautionLine key={caution.code} caution={caution} sx={{ fontSize: '0.92rem' }} />
      ))}
      <Fold says={say.whyAndByWhichRules} sx={{ mt: 1 }}>
        <Box component="ol" data-why sx={{ m: 0, pl: 2.5, maxWidth: '72ch' }}>
          {keep.reasons.map((reason) => (
            <li key={reason}>{reason}</li>
          ))}
        </Box>
        {keep.traditions.map((tradition) => (
          <Typography key={tradition} sx={{ my: 0.75, color: 'text.secondary', maxWidth: '72ch' }}>
            <strong>{say.cooksSay}</strong> {tradition}
          </Typography>
        ))}
      </Fold>
    </Box>
  );
}
