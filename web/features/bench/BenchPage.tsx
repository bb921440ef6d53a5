import { Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { Refusal } from '../../api/client';
import { kitchenQuery, benchQuery } from '../../api/queries';
import { Frame } from '../../ui/Frame';
import { LostPage } from '../../ui/LostPage';
import { Bench } from './Bench';
import { say } from './sentences';

/** Fetches the sauce, then opens the bench on it. */
export function BenchPage() {
  const id = Number(useParams().id);
  const sauce = useQuery(benchQuery(id));
  const kitchen = useQuery(kitchenQuery);
  if (!Number.isInteger(id) || (sauce.error instanceof Refusal && sauce.error.status === 404)) {
    return <LostPage />;
  }
  if (sauce.data === undefined || kitchen.data === undefined) {
    const fault = sauce.error ?? kitchen.error;
    return (
      <Frame>
        <Typography role="status" sx={{ mt: 6 }}>
          {fault === null ? say.openingTheSauce : say.itIsTriedAgainBy(fault.message)}
        </Typography>
      </Frame>
    );
  }
  return <Bench key={id} sauce={sauce.data} kitchen={kitchen.data} />;
}
