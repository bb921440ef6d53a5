import { Box, Button, Typography } from '@mui/material';
import { Link } from 'react-router';
import { quietButton } from '../../ui/looks';
import type { Saving } from './Saver';

const savingWords: Record<Saving['state'], string> = {
  saved: 'Saved',
  saving: 'Saving …',
  away: 'Server away: kept here, sent later',
  troubled: 'Kept here, tried again',
  refused: 'Not stored',
  conflict: 'Changed elsewhere',
};

const places = [
  ['taste', 'Taste'],
  ['cook', 'Cook'],
  ['log', 'Log'],
] as const;

interface Props {
  sauce: number;
  saving: Saving;
  undo: () => void;
  redo: () => void;
  canUndo: boolean;
  canRedo: boolean;
}

/** What stands in the bar above the bench: whether it is stored, where else to go, and the way back. */
export function BenchTools({ sauce, saving, undo, redo, canUndo, canRedo }: Props) {
  return (
    <>
      <Typography
        component="span"
        role="status"
        data-saving={saving.state}
        sx={{ fontSize: '0.9rem', color: 'text.secondary' }}
      >
        {savingWords[saving.state]}
      </Typography>
      {places.map(([place, name]) => (
        <Box
          key={place}
          component={Link}
          to={`/sauce/${sauce}/${place}`}
          sx={{ ...quietButton, display: 'inline-flex', alignItems: 'center', textDecoration: 'underline' }}
        >
          {name}
        </Box>
      ))}
      <Button onClick={undo} disabled={!canUndo}>
        Undo
      </Button>
      <Button onClick={redo} disabled={!canRedo}>
        Redo
      </Button>
    </>
  );
}
