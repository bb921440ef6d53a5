import { Button, Typography } from '@mui/material';
import type { Saving } from './Saver';
import type { Bench } from './useBench';
import { say } from './sentences';

const savingWords: Record<Saving['state'], string> = {
  saved: say.saved,
  saving: say.saving,
  away: say.serverAwayKeptHereSent,
  troubled: say.keptHereTriedAgain,
  refused: say.notStored,
  conflict: say.changedElsewhere,
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
        {say.undo}
      </Button>
      <Button onClick={bench.redo} disabled={!bench.canRedo}>
        {say.redo}
      </Button>
    </>
  );
}
