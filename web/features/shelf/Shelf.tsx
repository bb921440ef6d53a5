import { Box, Button, Snackbar, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { api, type ShelfSauce, type Style, Unreachable } from '../../api/client';
import { kitchenQuery, shelfQuery } from '../../api/queries';
import { useChange } from '../../api/useChange';
import { BarMark } from '../../ui/BarMark';
import { ColourDrop } from '../../ui/ColourDrop';
import { FromTypical, WriteIn } from './WaysIn';
import { keptCooks } from '../../api/keptCooks';
import { Frame } from '../../ui/Frame';
import { TextInput } from '../../ui/TextInput';
import { TakeIn } from '../imports/TakeIn';
import { say } from './sentences';

const standing = (sauce: ShelfSauce): string => sauce.standing.verdict || say.noFamilyChosen;

/** All sauces, and the ways to start one. */
export function Shelf() {
  const [wanted, setWanted] = useState('');
  const [pages, setPages] = useState(1);
  const shelf = useQuery(shelfQuery(wanted.trim(), pages));
  const kitchen = useQuery(kitchenQuery);
  const change = useChange<unknown>('shelf', (_, queries) => queries.invalidateQueries({ queryKey: ['shelf'] }));
  const [away, setAway] = useState<ShelfSauce | null>(null);

  useEffect(() => {
    document.title = say.shelfVinculum;
  }, []);

  const putAway = async (sauce: ShelfSauce) => {
    if (await change.make(() => api.putAway(sauce.id))) setAway(sauce);
  };

  const bringBack = async () => {
    if (away !== null && (await change.make(() => api.bringBack(away.id)))) setAway(null);
  };

  const sauces = shelf.data?.sauces ?? [];
  const isEmpty = shelf.isSuccess && sauces.length === 0 && wanted === '';
  const found = sauces.filter((sauce) => sauce.title.toLowerCase().includes(wanted.trim().toLowerCase()));

  return (
    <Frame>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: {
            xs: 'minmax(0, 1fr)',
            md: isEmpty ? 'minmax(0, 1fr)' : 'minmax(0, 2fr) minmax(0, 3fr)',
          },
          gap: 4,
          pt: 2,
        }}
      >
        <Box sx={isEmpty ? waysInSideBySide : undefined}>
          <WriteIn />
          <FromTypical styles={kitchen.data?.styles ?? noStyles} />
          <Box sx={{ mt: 2, display: 'flex', flexWrap: 'wrap', alignItems: 'start', gap: 1.5 }}>
            <Box>
              <TakeIn />
            </Box>
            <Button component={Link} to="/backups">
              {say.backupsAndExport}
            </Button>
          </Box>
          {change.fault !== null && <Typography role="alert">{change.fault}</Typography>}
        </Box>
        <Box component="section" aria-labelledby="shelf">
          <Box
            sx={{
              display: 'flex',
              alignItems: 'end',
              gap: 2,
              borderBottom: '3px solid',
              borderColor: 'bar.rule',
              pb: 0.5,
            }}
          >
            <Typography id="shelf" variant="h1" component="h2" sx={{ flex: 1 }}>
              {say.shelf}
            </Typography>
            {(sauces.length > 5 || wanted !== '') && (
              <TextInput
                type="search"
                aria-label={say.findASauce}
                placeholder={say.findASauce}
                value={wanted}
                onText={setWanted}
                sx={{ width: 180 }}
              />
            )}
          </Box>
          {shelf.isError && (
            <Typography role="alert" sx={{ mt: 2 }}>
              {shelf.error.message} <Button onClick={() => void shelf.refetch()}>{say.tryAgain}</Button>
            </Typography>
          )}
          {shelf.error instanceof Unreachable && <KeptSheets />}
          {shelf.isSuccess && sauces.length === 0 && wanted === '' && (
            <Typography sx={{ mt: 2 }}>{say.noSaucesYet}</Typography>
          )}
          {found.length === 0 && wanted !== '' && <Typography sx={{ mt: 2 }}>{say.noSauceOfThatName}</Typography>}
          <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
            {found.map((sauce) => (
              <ShelfRow
                key={sauce.id}
                sauce={sauce}
                style={kitchen.data?.styles.find((one) => one.key === sauce.style)}
                onPutAway={() => void putAway(sauce)}
              />
            ))}
          </Box>
        </Box>
      </Box>
      {shelf.data?.more === true && (
        <Button
          variant="outlined"
          onClick={() => {
            setPages(pages + 1);
          }}
        >
          {say.showMoreSauces}
        </Button>
      )}
      <Snackbar
        open={away !== null}
        autoHideDuration={12_000}
        onClose={() => {
          setAway(null);
        }}
        message={say.isArchived(away?.title)}
        action={
          <Button color="inherit" onClick={() => void bringBack()}>
            {say.bringItBack}
          </Button>
        }
      />
    </Frame>
  );
}

function ShelfRow({ sauce, style, onPutAway }: { sauce: ShelfSauce; style: Style | undefined; onPutAway: () => void }) {
  const title = sauce.title === '' ? say.unnamedSauce : sauce.title;
  const { colour, axes } = sauce.standing as Partial<ShelfSauce['standing']> & Pick<ShelfSauce['standing'], 'axes'>;
  return (
    <Box
      component="li"
      sx={{ display: 'flex', alignItems: 'center', gap: 1, borderBottom: '1px solid', borderColor: 'divider' }}
    >
      <Box component={Link} to={`/sauce/${sauce.id}`} sx={row}>
        <Box>
          <ColourDrop colour={colour ?? null} size={40} />
        </Box>
        <Box sx={{ minWidth: 0 }}>
          <Typography className="name" variant="h3" component="h3" noWrap>
            {title}
          </Typography>
          <Typography sx={{ fontSize: '0.88rem', color: 'text.secondary' }}>
            {[style?.name, standing(sauce)].filter(Boolean).join(' · ')}
          </Typography>
        </Box>
        <Box sx={{ display: { xs: 'none', sm: 'block' } }}>
          <BarMark axes={axes} />
        </Box>
      </Box>
      <Button aria-label={say.archiveWhat(title)} onClick={onPutAway} sx={{ '&&': { color: 'text.secondary' } }}>
        {say.archive}
      </Button>
    </Box>
  );
}

const row = {
  flex: 1,
  minWidth: 0,
  display: 'grid',
  gridTemplateColumns: { xs: '40px minmax(0, 1fr)', sm: '40px minmax(0, 1fr) 170px' },
  columnGap: 2,
  alignItems: 'center',
  minHeight: 74,
  py: 0.5,
  color: 'text.primary',
  textDecoration: 'none',
  '&:hover .name': { textDecoration: 'underline', textUnderlineOffset: '4px' },
} as const;
const waysInSideBySide = {
  display: 'grid',
  gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'repeat(auto-fit, minmax(360px, 1fr))' },
  columnGap: 4,
} as const;
const noStyles: readonly Style[] = [];

/** Cooks that this browser can open without the server. */
function KeptSheets() {
  const kept = keptCooks.all();
  if (kept.length === 0) return null;
  return (
    <Box data-kept-sheets sx={{ mt: 1 }}>
      <Typography>{say.theseCookSheetsWereOpened}</Typography>
      {kept.map((cook) => (
        <Box key={cook.id} component={Link} to={`/cook/${cook.id}`} sx={keptSheet}>
          {say.batch(cook.title, cook.id)}
        </Box>
      ))}
    </Box>
  );
}

const keptSheet = {
  display: 'flex',
  alignItems: 'center',
  minHeight: 44,
  color: 'text.primary',
  fontWeight: 600,
} as const;
