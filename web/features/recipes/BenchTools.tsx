import { Button, Typography } from '@mui/material';
import type { Saving } from './Saver';
import type { Bench } from './useBench';

const savingWords: Record<Saving['state'], string> = {
  saved: 'Saved',
  saving: 'Saving …',
  away: 'Server away: kept here, sent later',
  troubled: 'Kept here, tried again',
  refused: 'Not stored',
  conflict: 'Changed elsewhere',
};

/** Whether it is stored, and the way back. */
export function BenchTools({ bench }: { bench: Bench }) {
  const { state } = bench.saving;
  return (
    <>
      <Typography
        component="span"
        role="status"
        data-saving={state}
        sx={{ fontSize: '0.9rem', color: 'text.secondary', minWidth: 64, textAlign: 'right', px: 0.5 }}
      >
        {savingWords[state]}
      </Typography>
      <Button onClick={bench.undo} disabled={!bench.canUndo}>
        Undo
      </Button>
      <Button onClick={bench.redo} disabled={!bench.canRedo}>
        Redo
      </Button>
    </>
  );
}
