import { Box, Button, Snackbar, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, type ShelfSauce, type Style, Unreachable } from '../../api/client';
import { kitchenQuery, shelfQuery } from '../../api/queries';
import { useChange } from '../../api/useChange';
import { BarMark } from '../../ui/AxisBars';
import { keptCooks } from '../cook-sessions/keptCooks';
import { Frame } from '../../ui/Frame';
import { TextInput } from '../../ui/TextInput';
import { TakeIn } from '../imports/TakeIn';

/** Where there is a keyboard, what is typed goes into the list at once; on a phone the board would cover the shelf. */
const isAtADesk = !window.matchMedia('(pointer: coarse)').matches;

const standing = (sauce: ShelfSauce): string => (sauce.verdict === '' ? 'no style chosen' : sauce.verdict);

/** All sauces, and the place to start one. */
export function Shelf() {
  const [wanted, setWanted] = useState('');
  const [pages, setPages] = useState(1);
  const shelf = useQuery(shelfQuery(wanted.trim(), pages));
  const kitchen = useQuery(kitchenQuery);
  const change = useChange<unknown>('shelf', (_, queries) => queries.invalidateQueries({ queryKey: ['shelf'] }));
  const navigate = useNavigate();
  const [text, setText] = useState('');
  const [away, setAway] = useState<ShelfSauce | null>(null);
  const [fault, setFault] = useState<string | null>(null);

  useEffect(() => {
    document.title = 'Shelf · Vinculum';
  }, []);

  const begin = async () => {
    try {
      setFault(null);
      const sauce = await api.writeSauce({ text });
      await navigate(`/sauce/${sauce.id}`);
    } catch (reason) {
      setFault(reason instanceof Error ? reason.message : 'That did not work.');
    }
  };

  const putAway = async (sauce: ShelfSauce) => {
    if (await change.make(() => api.putAway(sauce.id))) setAway(sauce);
  };

  const bringBack = async () => {
    if (away !== null && (await change.make(() => api.bringBack(away.id)))) setAway(null);
  };

  const sauces = shelf.data?.sauces ?? [];
  const found = sauces.filter((sauce) => sauce.title.toLowerCase().includes(wanted.trim().toLowerCase()));

  return (
    <Frame>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 2fr) minmax(0, 3fr)' },
          gap: 4,
          pt: 3,
        }}
      >
        <Box component="section" aria-labelledby="begin">
          <Typography
            id="begin"
            variant="h1"
            sx={{
              borderBottom: '3px solid',
              borderColor: 'bar.rule',
              pb: 0.5,
              mb: 1.5,
              minHeight: 48,
              display: 'flex',
              alignItems: 'end',
            }}
          >
            What is in it?
          </Typography>
          <Box component="label" htmlFor="begin-text" sx={{ display: 'block', mb: 0.75 }}>
            Paste a recipe as it stands on its page, or type one ingredient a line
          </Box>
          <TextInput
            id="begin-text"
            autoFocus={isAtADesk}
            value={text}
            rows={9}
            spellCheck={false}
            placeholder={'½ cup cider vinegar\n2 tbsp honey\n1 tin chopped tomatoes\na pinch of cayenne'}
            onText={(text) => {
              setText(text);
            }}
            onKeyDown={(event: { key: string; ctrlKey: boolean; metaKey: boolean }) => {
              if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) void begin();
            }}
            sx={{ width: '100%', lineHeight: 1.6 }}
          />
          <Button
            variant="contained"
            size="large"
            onClick={() => void begin()}
            sx={{ mt: 1, minHeight: 48, width: '100%' }}
          >
            {text.trim() === '' ? 'Start with an empty bench' : 'See how it is balanced'}
          </Button>
          {change.fault !== null && <Typography role="alert">{change.fault}</Typography>}
          {fault !== null && (
            <Typography role="alert" sx={{ mt: 1 }}>
              {fault} What you typed is still here.
            </Typography>
          )}
          <Box sx={{ mt: 2 }}>
            <TakeIn />
            <Box
              component={Link}
              to="/copies"
              sx={{ color: 'text.primary', display: 'inline-flex', minHeight: 44, alignItems: 'center' }}
            >
              Copies of the kitchen, and taking things out
            </Box>
          </Box>
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
              Shelf
            </Typography>
            {(sauces.length > 5 || wanted !== '') && (
              <TextInput
                type="search"
                aria-label="Find a sauce"
                placeholder="Find a sauce"
                value={wanted}
                onText={setWanted}
                sx={{ width: 180 }}
              />
            )}
          </Box>
          {shelf.isError && (
            <Typography role="alert" sx={{ mt: 2 }}>
              {shelf.error.message} <Button onClick={() => void shelf.refetch()}>Try again</Button>
            </Typography>
          )}
          {shelf.error instanceof Unreachable && <KeptSheets />}
          {shelf.isSuccess && sauces.length === 0 && wanted === '' && (
            <Typography sx={{ mt: 2 }}>Empty as yet. The first sauce you start stands here, and stays.</Typography>
          )}
          {found.length === 0 && wanted !== '' && <Typography sx={{ mt: 2 }}>No sauce of that name.</Typography>}
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
          Show more sauces
        </Button>
      )}
      <Snackbar
        open={away !== null}
        autoHideDuration={12_000}
        onClose={() => {
          setAway(null);
        }}
        message={`${away?.title === '' ? 'The sauce' : (away?.title ?? '')} is put away.`}
        action={
          <Button color="inherit" onClick={() => void bringBack()}>
            Bring it back
          </Button>
        }
      />
    </Frame>
  );
}

function ShelfRow({ sauce, style, onPutAway }: { sauce: ShelfSauce; style: Style | undefined; onPutAway: () => void }) {
  const title = sauce.title === '' ? 'Unnamed sauce' : sauce.title;
  return (
    <Box
      component="li"
      sx={{ display: 'flex', alignItems: 'center', gap: 1, borderBottom: '1px solid', borderColor: 'divider' }}
    >
      <Box
        component={Link}
        to={`/sauce/${sauce.id}`}
        sx={{
          flex: 1,
          minWidth: 0,
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr) 84px', sm: 'minmax(0, 1fr) 140px' },
          columnGap: 2,
          alignItems: 'center',
          minHeight: 64,
          py: 0.75,
          color: 'text.primary',
          textDecoration: 'none',
          '&:hover .name': { textDecoration: 'underline', textUnderlineOffset: '4px' },
        }}
      >
        <Box sx={{ minWidth: 0 }}>
          <Typography className="name" variant="h3" component="h3" noWrap>
            {title}
          </Typography>
          <Typography sx={{ fontSize: '0.88rem', color: 'text.secondary' }}>
            {[style?.name, `${sauce.line_count} ${sauce.line_count === 1 ? 'line' : 'lines'}`, standing(sauce)]
              .filter(Boolean)
              .join(' · ')}
          </Typography>
        </Box>
        <BarMark axes={sauce.standing.axes} />
      </Box>
      <Button
        aria-label={`Put away: ${title}`}
        title="Put away"
        onClick={onPutAway}
        sx={{ color: 'text.secondary', fontSize: '0.85rem' }}
      >
        Put away
      </Button>
    </Box>
  );
}

/** Cooks that this browser can open without the server. */
function KeptSheets() {
  const kept = keptCooks.all();
  if (kept.length === 0) return null;
  return (
    <Box data-kept-sheets sx={{ mt: 1 }}>
      <Typography>These cook sheets were opened here before, and go on without it:</Typography>
      {kept.map((cook) => (
        <Box key={cook.id} component={Link} to={`/cook/${cook.id}`} sx={keptSheet}>
          {cook.title === '' ? 'Unnamed sauce' : cook.title}, batch {cook.id}
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
