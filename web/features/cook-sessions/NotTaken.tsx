import { Box, Button, Typography } from '@mui/material';
import type { Refused } from './outbox';
import { locale } from '../../base/locale';
import { say } from './sentences';

interface Props {
  refused: readonly Refused[];
  onSeen: () => void;
  /** What may be taken another time is to be sent once more. */
  onAgain: () => void;
}

/** What the kitchen did not take stays in sight, in the cook's own words and figures, until it is put aside. */
export function NotTaken({ refused, onSeen, onAgain }: Props) {
  return (
    <Box role="alert" data-not-taken sx={{ border: '3px solid', borderColor: 'bar.preview', p: 1.5, my: 1 }}>
      <Typography sx={{ fontWeight: 700 }}>{say.wasNotTaken(refused.length)}</Typography>
      {refused.map(({ event, why }) => (
        <Typography key={event.key}>
          {why}{' '}
          <Box component="span" sx={{ color: 'text.secondary' }}>
            {say.entryOf(written(event))}
          </Box>
        </Typography>
      ))}
      {refused.some((one) => one.again === true) && (
        <Button variant="contained" sx={{ mt: 1, mr: 1, minHeight: 44 }} onClick={onAgain}>
          {say.sendItAgain}
        </Button>
      )}
      <Button variant="outlined" sx={{ mt: 1, minHeight: 44 }} onClick={onSeen}>
        {say.iHaveSeenIt}
      </Button>
    </Box>
  );
}

const written = (event: Refused['event']): string =>
  [
    event.kind.replace('-', ' '),
    ...Object.entries(event.figures ?? {}).map(([name, figure]) => `${name} ${String(figure)}`),
    ...(event.words == null || event.words === '' ? [] : [`“${event.words}”`]),
    new Date(1000 * event.at).toLocaleString(locale()),
  ].join(', ');
