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
import { fixed, locale } from '../../base/locale';
import { say } from './sentences';

const kinds: readonly (readonly [string, string])[] = [
  ['/api/export/kitchen', say.theWholeKitchenOneFile],
  ['/api/export/products', say.ownProductsCsv],
  ['/api/export/batches', say.batchesCsv],
  ['/api/export/ingredients', say.ingredientsCsv],
];

const reasons: Readonly<Record<string, string>> = {
  daily: 'daily',
  'by-hand': say.madeByHand,
  'before-upgrade': say.beforeAnUpgrade,
  'before-restore': say.beforeACopyWasPut,
  'set-aside': say.couldNotBeUsedAnd,
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
    document.title = say.backupsVinculum;
  }, []);
  const then = async (ask: () => Promise<Copies>, words: string) => {
    setSaid((await change.make(ask)) ? words : null);
  };
  const newest = backups.data?.copies[0];
  return (
    <Frame>
      <Box sx={{ maxWidth: 760, pt: 2 }}>
        <Typography variant="h1">{say.backupsAndExport}</Typography>
        <Typography data-newest sx={{ my: 1 }}>
          {say.oneIsMadeEachDay(
            backups.data === undefined
              ? say.looking
              : newest === undefined
                ? say.thereIsNoBackupYet
                : say.theNewestIsFromAnd(dayAndTime(newest.at), newest.opens),
          )}
        </Typography>
        <Button variant="contained" data-make-copy onClick={() => void then(api.makeCopy, say.aBackupIsMade)}>
          {say.makeABackupNow}
        </Button>
        <Typography role="status" data-copy-said sx={{ minHeight: '1.6em' }}>
          {change.fault ?? said}
        </Typography>
        {newest !== undefined && (
          <PlainTable label={say.allBackups}>
            <thead>
              <tr>
                <th scope="col">{say.made}</th>
                <th scope="col">{say.why}</th>
                <th scope="col">{say.size}</th>
                <th scope="col">{say.opens}</th>
                <th scope="col">{say.restore}</th>
              </tr>
            </thead>
            <tbody>
              {backups.data?.copies.map((copy) => (
                <tr key={copy.name} data-copy={copy.name}>
                  <th scope="row">{dayAndTime(copy.at)}</th>
                  <td>{reasons[copy.why] ?? copy.why}</td>
                  <td>{say.kb(fixed(copy.bytes / 1000, 0))}</td>
                  <td>{copy.opens ? say.itOpens : say.isDamaged}</td>
                  <td>
                    <Button
                      disabled={!copy.opens}
                      onClick={() => void then(() => api.putCopyBack(copy.name), say.itIsRestoredWhatWas)}
                    >
                      {say.restore}
                    </Button>
                  </td>
                </tr>
              ))}
            </tbody>
          </PlainTable>
        )}
        <Typography variant="h2" sx={{ mt: 3 }}>
          {say.exportAndImport}
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
