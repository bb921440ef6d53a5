import { Box, Button, Dialog, DialogContent, DialogTitle, Typography } from '@mui/material';
import { useState } from 'react';
import { api } from '../../api/client';
import { entrance } from '../../api/entrance';
import { TextInput } from '../../ui/TextInput';
import { say } from './sentences';

/** Asks a device of the home network for the passphrase. What was being done goes on behind it. */
export function Entrance() {
  const [phrase, setPhrase] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const enter = async () => {
    try {
      await api.enter(phrase);
      entrance.open();
    } catch (reason) {
      setFault(reason instanceof Error ? reason.message : say.thatDidNotWork);
    }
  };
  return (
    <Dialog open aria-labelledby="entrance-title" fullWidth maxWidth="xs">
      <DialogTitle id="entrance-title">{say.thePassphraseOfThisKitchen}</DialogTitle>
      <DialogContent>
        <Box
          component="form"
          data-entrance
          onSubmit={(event: { preventDefault: () => void }) => {
            event.preventDefault();
            void enter();
          }}
        >
          <Typography sx={{ mb: 1 }}>{say.onceOnThisDeviceIt}</Typography>
          <TextInput
            type="password"
            autoFocus
            autoComplete="current-password"
            aria-label={say.passphrase}
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
            {say.comeIn}
          </Button>
        </Box>
      </DialogContent>
    </Dialog>
  );
}
