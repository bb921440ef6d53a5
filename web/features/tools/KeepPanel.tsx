import { Box, Typography } from '@mui/material';
import { Link } from 'react-router';
import { KeepFacts } from '../../ui/KeepFacts';
import { api, type Formula } from '../../api/client';
import { useLatest } from '../../api/useLatest';
import { say } from './sentences';

/** How the sauce keeps as it is written; a batch that was measured knows better. */
export function KeepPanel({ formula, sauce }: { formula: Formula; sauce: number }) {
  const found = useLatest(formula, api.keep);
  return (
    <Box>
      {found.fault !== null && <Typography role="alert">{found.fault}</Typography>}
      {found.answer !== null && <KeepFacts keep={found.answer} />}
      <Typography sx={{ mt: 1 }}>
        <Box component={Link} to={`/sauce/${sauce}/card`} sx={{ color: 'text.primary' }}>
          {say.aRecipeCardToPrint}
        </Box>
        {say.labelsArePrintedFromA}
      </Typography>
    </Box>
  );
}
