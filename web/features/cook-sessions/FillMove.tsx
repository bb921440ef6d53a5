import { fixed } from '../../base/locale';
import { Box, Button, Typography } from '@mui/material';
import { Link } from 'react-router';
import type { Cook, CookEvent } from '../../api/client';
import { grams, millilitres } from '../../ui/words';
import { big, huge, quiet } from './looks';
import { say } from './sentences';

/** Into the jars, and away. */
export function FillMove({ cook, onEvent }: { cook: Cook; onEvent: (event: CookEvent) => void }) {
  const { measured } = cook;
  return (
    <Box>
      <Typography sx={huge}>
        {cook.finished === null ? say.intoTheJars : say.done}: {grams(cook.balance.batch.grams)},{' '}
        {millilitres(cook.balance.batch.millilitres)}
      </Typography>
      {cook.fill.map((one) => (
        <Typography key={one.container_ml} sx={{ fontSize: '1.3rem', my: 0.5 }}>
          {say.inEach(
            one.count,
            millilitres(one.container_ml),
            millilitres(one.filled_ml),
            one.left_over_ml >= 1 ? say.leftOver(millilitres(one.left_over_ml)) : '',
          )}
        </Typography>
      ))}
      <Typography sx={{ ...quiet, my: 1.5 }}>{say.cleanJarsTheDateAnd(cook.id)}</Typography>
      {measured.ph !== null && (
        <Typography data-measured="ph">
          {say.phMeasured(
            fixed(measured.ph.value, 2),
            measured.ph.estimate !== null ? say.estimated(fixed(measured.ph.estimate, 2)) : '',
          )}
        </Typography>
      )}
      {measured.solids !== null && (
        <Typography data-measured="solids">
          {say.dissolvedMeasuredEstimated(fixed(measured.solids.value, 1), fixed(measured.solids.estimate, 1))}
        </Typography>
      )}
      {cook.finished === null ? (
        <Button
          variant="contained"
          fullWidth
          sx={{ ...big, mt: 2 }}
          data-finish
          onClick={() => {
            onEvent({ kind: 'finished' });
          }}
        >
          {say.itIsInTheJars}
        </Button>
      ) : (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, mt: 2 }}>
          <Button component={Link} to={`/sauce/${cook.sauce}/taste`} variant="contained" sx={big}>
            {say.tasteIt}
          </Button>
          <Button component={Link} to={`/batch/${cook.id}`} variant="outlined" sx={big}>
            {say.jarsLabelsKeeping}
          </Button>
          <Button component={Link} to={`/sauce/${cook.sauce}`} variant="outlined" sx={big}>
            {say.backToTheBench}
          </Button>
        </Box>
      )}
    </Box>
  );
}
