import { Box, Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { keptCooks } from '../cook-sessions/keptCooks';
import { api } from '../../api/client';
import { sessionQuery } from '../../api/queries';

/** Who may come in, and how this device leaves again. */
export function DoorFacts() {
  const session = useQuery(sessionQuery);
  if (session.data === undefined) return null;
  const { addresses, came_in } = session.data;
  return (
    <Box component="section" data-door>
      <Typography variant="h2" sx={{ mt: 3 }}>
        Who may come in
      </Typography>
      {addresses.length === 0 ? (
        <Typography sx={{ my: 1 }}>
          Only this machine. For a phone or tablet at the stove, stop it and begin again with{' '}
          <code>./vinculum start --lan</code>: your home network then finds it, behind a passphrase.
        </Typography>
      ) : (
        <Typography sx={{ my: 1 }}>
          This machine, and with the passphrase every device of the home network: {addresses.join(' · ')}
        </Typography>
      )}
      {came_in && (
        <Button
          variant="outlined"
          data-leave
          onClick={() =>
            void api.leave().then(() => {
              keptCooks.forget();
              window.location.assign('/');
            })
          }
        >
          Lock this device out again
        </Button>
      )}
    </Box>
  );
}
