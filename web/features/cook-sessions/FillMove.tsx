import { fixed } from '../../ui/locale';
import { Box, Button, Typography } from '@mui/material';
import { Link } from 'react-router';
import type { Cook, CookEvent } from '../../api/client';
import { grams, millilitres } from '../../ui/words';
import { big, huge, quiet } from './looks';

/** Into the jars, and away. */
export function FillMove({ cook, onEvent }: { cook: Cook; onEvent: (event: CookEvent) => void }) {
  const { measured } = cook;
  return (
    <Box>
      <Typography sx={huge}>
        {cook.finished === null ? 'Into the jars' : 'Done'}: {grams(cook.balance.batch.grams)},{' '}
        {millilitres(cook.balance.batch.millilitres)}
      </Typography>
      {cook.fill.map((one) => (
        <Typography key={one.container_ml} sx={{ fontSize: '1.3rem', my: 0.5 }}>
          {one.count} × {millilitres(one.container_ml)}: {millilitres(one.filled_ml)} in each
          {one.left_over_ml >= 1 && `, ${millilitres(one.left_over_ml)} left over`}
        </Typography>
      ))}
      <Typography sx={{ ...quiet, my: 1.5 }}>
        Clean jars, the date and a batch number on each: this is batch {cook.id}. Into the fridge or freezer, not onto a
        shelf.
      </Typography>
      {measured.ph !== null && (
        <Typography data-measured="ph">
          pH {fixed(measured.ph.value, 2)} measured
          {measured.ph.estimate !== null && `, ${fixed(measured.ph.estimate, 2)} estimated`}
        </Typography>
      )}
      {measured.solids !== null && (
        <Typography data-measured="solids">
          {fixed(measured.solids.value, 1)} % dissolved measured, {fixed(measured.solids.estimate, 1)} % estimated
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
          It is in the jars
        </Button>
      ) : (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, mt: 2 }}>
          <Button component={Link} to={`/sauce/${cook.sauce}/taste`} variant="contained" sx={big}>
            Taste it
          </Button>
          <Button component={Link} to={`/batch/${cook.id}`} variant="outlined" sx={big}>
            Jars, labels, keeping
          </Button>
          <Button component={Link} to={`/sauce/${cook.sauce}`} variant="outlined" sx={big}>
            Back to the bench
          </Button>
        </Box>
      )}
    </Box>
  );
}
