import { Box, Button, Dialog, DialogContent, DialogTitle, Typography } from '@mui/material';
import { useState } from 'react';
import { api } from '../../api/client';
import { entrance } from './entrance';
import { TextInput } from '../../ui/TextInput';

/** Asks a device of the home network for the passphrase. What was being done goes on behind it. */
export function Entrance() {
  const [phrase, setPhrase] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const enter = async () => {
    try {
      await api.enter(phrase);
      entrance.open();
    } catch (reason) {
      setFault(reason instanceof Error ? reason.message : 'That did not work.');
    }
  };
  return (
    <Dialog open aria-labelledby="entrance-title" fullWidth maxWidth="xs">
      <DialogTitle id="entrance-title">The passphrase of this kitchen</DialogTitle>
      <DialogContent>
        <Box
          component="form"
          data-entrance
          onSubmit={(event: { preventDefault: () => void }) => {
            event.preventDefault();
            void enter();
          }}
        >
          <Typography sx={{ mb: 1 }}>
            Once on this device. It stays in for a week, or until half a day goes by without it.
          </Typography>
          <TextInput
            type="password"
            autoFocus
            autoComplete="current-password"
            aria-label="Passphrase"
            value={phrase}
            onText={setPhrase}
            sx={{ width: '100%', minHeight: 48 }}
          />
          {fault !== null && (
            <Typography role="alert" sx={{ mt: 1 }}>
              {fault}
            </Typography>
          )}
          <Button type="submit" variant="contained" fullWidth disabled={phrase === ''} sx={{ mt: 2, minHeight: 48 }}>
            Come in
          </Button>
        </Box>
      </DialogContent>
    </Dialog>
  );
}
