import { Box, Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { keptCooks } from '../../api/keptCooks';
import { api } from '../../api/client';
import { sessionQuery } from '../../api/queries';
import { say } from './sentences';

/** Who may come in, and how this device leaves again. */
export function DoorFacts() {
  const session = useQuery(sessionQuery);
  if (session.data === undefined) return null;
  const { addresses, came_in, welcome, fingerprint } = session.data;
  return (
    <Box component="section" data-door>
      <Typography variant="h2" sx={{ mt: 3 }}>
        {say.whoMayComeIn}
      </Typography>
      {addresses.length === 0 ? (
        <Typography sx={{ my: 1 }}>
          {say.onlyThisMachineForA}
          <code>{say.vinculumStartLan}</code>
          {say.yourHomeNetworkThenFinds}
        </Typography>
      ) : (
        <Typography sx={{ my: 1 }}>{say.thisMachineAndWithThe(addresses.join(' · '))}</Typography>
      )}
      {welcome !== null && <Typography sx={{ my: 1 }}>{say.aNewDeviceBeginsAt(welcome)}</Typography>}
      {fingerprint !== null && (
        <Typography variant="body2" sx={{ my: 1, overflowWrap: 'anywhere' }}>
          {say.fingerprint(fingerprint)}
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
          {say.lockThisDeviceOutAgain}
        </Button>
      )}
    </Box>
  );
}
