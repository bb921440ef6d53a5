import { Box, Button, Typography } from '@mui/material';
import type { Refused } from './outbox';
import { locale } from '../../ui/locale';
import { say } from './sentences';

/** What the kitchen would not take stays in sight, in the cook's own words and figures, until it is put aside. */
export function NotTaken({ refused, onSeen }: { refused: readonly Refused[]; onSeen: () => void }) {
  return (
    <Box role="alert" data-not-taken sx={{ border: '3px solid', borderColor: 'bar.preview', p: 1.5, my: 1 }}>
      {refused.map(({ event, why }) => (
        <Typography key={event.key}>
          {why}{' '}
          <Box component="span" sx={{ color: 'text.secondary' }}>
            {say.itWas(written(event))}
          </Box>
        </Typography>
      ))}
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
