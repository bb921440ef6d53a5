import { Box, Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, type Copies } from '../../api/client';
import { backupsQuery } from '../../api/queries';
import { useChange } from '../../api/useChange';
import { Frame } from '../../ui/Frame';
import { PlainTable } from '../../ui/PlainTable';
import { DoorFacts } from '../auth/HomeNetworkFacts';
import { TakeIn } from '../imports/TakeIn';
import { fixed, locale } from '../../ui/locale';

const kinds: readonly (readonly [string, string])[] = [
  ['/api/export/kitchen', 'The whole kitchen, one file'],
  ['/api/export/products', 'Own products, CSV'],
  ['/api/export/batches', 'Batches, CSV'],
  ['/api/export/ingredients', 'Ingredients, CSV'],
];

const reasons: Readonly<Record<string, string>> = {
  daily: 'daily',
  'by-hand': 'made by hand',
  'before-upgrade': 'before an upgrade',
  'before-restore': 'before a copy was put back',
  'set-aside': 'could not be used, and was set aside',
};

/** Copies of the kitchen, and everything in and out of it. */
export function BackupsPage() {
  const backups = useQuery(backupsQuery);
  const change = useChange<Copies>('backups', async (found, queries) => {
    await queries.invalidateQueries();
    queries.setQueryData(backupsQuery.queryKey, found);
  });
  const [said, setSaid] = useState<string | null>(null);
  useEffect(() => {
    document.title = 'Backups · Vinculum';
  }, []);
  const then = async (ask: () => Promise<Copies>, words: string) => {
    setSaid((await change.make(ask)) ? words : null);
  };
  const newest = backups.data?.copies[0];
  return (
    <Frame>
      <Box sx={{ maxWidth: 760, pt: 2 }}>
        <Typography variant="h1">Backups and export</Typography>
        <Typography data-newest sx={{ my: 1 }}>
          {backups.data === undefined
            ? 'Looking …'
            : newest === undefined
              ? 'There is no backup yet.'
              : `The newest is from ${dayAndTime(newest.at)}, and it ${newest.opens ? 'opens and is sound' : 'is damaged'}.`}{' '}
          One is made each day while the kitchen runs, and the last seven are kept.
        </Typography>
        <Button variant="contained" data-make-copy onClick={() => void then(api.makeCopy, 'A backup is made.')}>
          Make a backup now
        </Button>
        <Typography role="status" data-copy-said sx={{ minHeight: '1.6em' }}>
          {change.fault ?? said}
        </Typography>
        {newest !== undefined && (
          <PlainTable label="All backups">
            <thead>
              <tr>
                <th scope="col">Made</th>
                <th scope="col">Why</th>
                <th scope="col">Size</th>
                <th scope="col">Opens</th>
                <th scope="col">Restore</th>
              </tr>
            </thead>
            <tbody>
              {backups.data?.copies.map((copy) => (
                <tr key={copy.name} data-copy={copy.name}>
                  <th scope="row">{dayAndTime(copy.at)}</th>
                  <td>{reasons[copy.why] ?? copy.why}</td>
                  <td>{fixed(copy.bytes / 1000, 0)} kB</td>
                  <td>{copy.opens ? 'yes' : 'damaged'}</td>
                  <td>
                    <Button
                      disabled={!copy.opens}
                      onClick={() =>
                        void then(
                          () => api.putCopyBack(copy.name),
                          'It is restored. What was there before is a backup now: restore that to undo it.',
                        )
                      }
                    >
                      Restore
                    </Button>
                  </td>
                </tr>
              ))}
            </tbody>
          </PlainTable>
        )}
        <Typography variant="h2" sx={{ mt: 3 }}>
          Export and import
        </Typography>
        <Box component="ul" sx={{ m: 0, mb: 1, pl: 2.5 }}>
          {kinds.map(([address, says]) => (
            <li key={address}>
              <Box
                component="a"
                href={address}
                sx={{ color: 'text.primary', display: 'inline-flex', minHeight: 44, alignItems: 'center' }}
              >
                {says}
              </Box>
            </li>
          ))}
        </Box>
        <TakeIn />
        <DoorFacts />
      </Box>
    </Frame>
  );
}

/** "27 Nov 2026, 08:27" of seconds since the epoch. */
const dayAndTime = (seconds: number): string =>
  new Date(seconds * 1000).toLocaleString(locale(), { dateStyle: 'medium', timeStyle: 'short' });
