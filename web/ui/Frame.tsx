import { Box, Button } from '@mui/material';
import { useState, type ReactNode } from 'react';
import { Link, NavLink } from 'react-router';
import { displayFont } from './theme/index';
import { Help } from './Help';
import { say } from './sentences';

interface Props {
  /** What stands between the strip and the page: a sauce's head. */
  head?: ReactNode;
  /** What stands at the bottom edge of a phone, under the thumb. */
  foot?: ReactNode;
  children: ReactNode;
}

const places = [
  ['/', say.shelf],
  ['/pantry', say.pantry],
  ['/palate', say.palate],
  ['/plan', say.plan],
] as const;

/** The strip at the top with the kitchen's places, and the room below it. */
export function Frame({ head, foot, children }: Props) {
  const [showsKeys, setShowsKeys] = useState(false);
  return (
    <Box sx={{ minHeight: '100vh', display: 'flex', flexDirection: 'column' }}>
      <Box component="header" sx={strip}>
        <Box component={Link} to="/" aria-label={say.vinculumToTheShelf} sx={brand}>
          {say.vinculum}
        </Box>
        <Box component="nav" aria-label={say.theKitchen} sx={{ display: 'flex' }}>
          {places.map(([to, name]) => (
            <Box key={to} component={NavLink} to={to} end={to === '/'} sx={place}>
              {name}
            </Box>
          ))}
        </Box>
        <Button
          component={Link}
          to="/settings"
          sx={{ '&&': { color: 'strip.text' }, ml: 'auto', display: { xs: 'none', sm: 'inline-flex' } }}
        >
          {say.settings}
        </Button>
        <Button
          aria-label={say.helpWhatTheBarsSay}
          title={say.help}
          onClick={() => {
            setShowsKeys(true);
          }}
          sx={{ '&&': { color: 'strip.text' }, ml: { xs: 'auto', sm: 0 }, fontSize: '1.1rem' }}
        >
          ?
        </Button>
      </Box>
      {head !== undefined && (
        <Box data-head sx={{ borderBottom: '3px solid', borderColor: 'bar.rule', bgcolor: 'background.paper' }}>
          <Box sx={room}>{head}</Box>
        </Box>
      )}
      <Box component="main" sx={{ ...room, flex: 1, pb: { xs: foot === undefined ? 3 : 10, md: 3 } }}>
        {children}
      </Box>
      {foot}
      <Help open={showsKeys} onOpenChange={setShowsKeys} />
    </Box>
  );
}

const room = { width: '100%', maxWidth: 1400, mx: 'auto', px: { xs: 1.5, md: 3 } } as const;
const strip = {
  display: 'flex',
  alignItems: 'center',
  columnGap: { xs: 0.25, sm: 2 },
  px: { xs: 1, md: 3 },
  minHeight: 46,
  bgcolor: 'strip.ground',
  color: 'strip.text',
  '& :focus-visible': { outlineColor: 'currentColor', outlineOffset: '-3px' },
} as const;
const brand = {
  fontFamily: displayFont,
  fontWeight: 700,
  fontSize: { xs: '1.05rem', sm: '1.25rem' },
  lineHeight: 1,
  color: 'inherit',
  textDecoration: 'none',
  display: 'flex',
  alignItems: 'center',
  minHeight: 44,
  // the bar of the fraction over the name
  backgroundImage: (theme: { vars?: { palette: { strip: { accent: string } } } }) =>
    `linear-gradient(${theme.vars?.palette.strip.accent ?? 'currentColor'}, ${theme.vars?.palette.strip.accent ?? 'currentColor'})`,
  backgroundSize: '100% 3px',
  backgroundRepeat: 'no-repeat',
  backgroundPosition: '0 8px',
} as const;
const place = {
  display: 'flex',
  alignItems: 'center',
  minHeight: 44,
  px: { xs: 0.5, sm: 1.25 },
  color: 'strip.text',
  fontWeight: 600,
  fontSize: { xs: '0.95rem', sm: '1rem' },
  textDecoration: 'none',
  borderBottom: '3px solid transparent',
  borderTop: '3px solid transparent',
  '&:hover': { textDecoration: 'underline', textUnderlineOffset: '5px' },
  '&.active': { borderBottomColor: 'strip.accent' },
} as const;
