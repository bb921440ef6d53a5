import { Box, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { api, Refusal } from '../../api/client';
import { instrumentsQuery } from '../../api/queries';
import { keptCooks } from '../../api/keptCooks';
import { Frame } from '../../ui/Frame';
import { LostPage } from '../../ui/LostPage';
import { CookSheet } from './CookSheet';
import { say } from './sentences';

/** Opens a cook, and asks which instruments are there. */
export function CookPage() {
  const id = Number(useParams().id);
  const cook = useQuery({
    queryKey: ['cook', id],
    queryFn: () => keptCooks.asked(id, api.cook),
  });
  const instruments = useQuery(instrumentsQuery);
  if (cook.error instanceof Refusal && cook.error.status === 404) return <LostPage />;
  if (cook.data === undefined) {
    return (
      <Frame>
        <Typography role="status" sx={{ mt: 4 }}>
          {cook.error?.message ?? say.opening}
        </Typography>
      </Frame>
    );
  }
  return (
    <Box component="main" sx={{ minHeight: '100vh', bgcolor: 'background.default' }}>
      <CookSheet
        opened={cook.data.cook}
        offset={cook.data.offset}
        instruments={instruments.data ?? { there: [], stand_in: false, calibration: null, says: null }}
      />
    </Box>
  );
}
