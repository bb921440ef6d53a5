import { Box, GlobalStyles, Typography } from '@mui/material';
import type { ReactNode } from 'react';
import { NavLink } from 'react-router';
import { ColourDrop } from '../../ui/ColourDrop';
import { Fraction } from '../../ui/Fraction';
import { say } from './sentences';

export type SaucePlace = 'bench' | 'cook' | 'taste' | 'log' | 'label';

interface Props {
  sauce: number;
  at: SaucePlace;
  /** Its name, or the field it is written in. */
  title: ReactNode;
  /** About its colour; null where it is not known. */
  colour: string | null;
  /** Sweet over sour; null where there is none of one. */
  ratio: number | null;
  /** In its place, where it can be set. */
  hand?: ReactNode;
  /** Family and size, in one line. */
  says: ReactNode;
  /** Whether it is stored, and the way back. */
  tools?: ReactNode;
}

const places: readonly (readonly [SaucePlace, string, string])[] = [
  ['bench', say.bench, ''],
  ['cook', say.cook, '/cook'],
  ['taste', say.taste, '/taste'],
  ['log', say.log, '/log'],
  ['label', say.label, '/label'],
];

/** What a sauce is known by, and its places in the order of the work: the same on all of them. */
export function SauceHead({ sauce, at, title, colour, ratio, hand, says, tools }: Props) {
  return (
    <Box sx={head}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, minWidth: 0 }}>
        <ColourDrop colour={colour} />
        <Box sx={{ minWidth: 0, flex: 1 }}>
          {typeof title === 'string' ? (
            <Typography variant="h1" noWrap sx={{ minHeight: 36, lineHeight: '36px', fontSize: '1.6rem' }}>
              {title}
            </Typography>
          ) : (
            title
          )}
          <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 1, minHeight: 26 }}>
            {says}
          </Box>
        </Box>
      </Box>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, gridArea: 'hand' }}>
        {hand ?? (ratio !== null && <Fraction ratio={ratio} above="sweet" below="sour" />)}
      </Box>
      <Box sx={{ gridArea: 'places', display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 1 }}>
        <Box component="nav" aria-label={say.thisSauce} sx={{ display: { xs: 'none', md: 'flex' } }}>
          <Places sauce={sauce} at={at} />
        </Box>
        <Box sx={{ ml: { md: 'auto' }, display: 'flex', flexWrap: 'wrap', alignItems: 'center' }}>{tools}</Box>
      </Box>
    </Box>
  );
}

function Places({ sauce, at }: { sauce: number; at: SaucePlace }) {
  return places.map(([key, name, path]) => (
    <Box
      key={key}
      component={NavLink}
      to={`/sauce/${sauce}${path}`}
      end
      aria-current={key === at ? 'page' : undefined}
      sx={key === at ? here : place}
    >
      {name}
    </Box>
  ));
}

/** The same places at the bottom edge of a phone. */
export function SauceFoot({ sauce, at }: { sauce: number; at: SaucePlace }) {
  return (
    <>
      <GlobalStyles styles={overTheFoot} />
      <Box component="nav" aria-label={say.thisSauce} sx={foot}>
        <Places sauce={sauce} at={at} />
      </Box>
    </>
  );
}

/** What is gone to by key or link does not end up under it. */
const overTheFoot = { html: { '@media (max-width: 899.95px)': { scrollPaddingBottom: 72 } } } as const;

const head = {
  display: 'grid',
  columnGap: 3,
  alignItems: 'center',
  gridTemplateColumns: { xs: 'minmax(0, 1fr) auto', md: 'minmax(0, 1fr) auto auto' },
  gridTemplateAreas: { xs: '"name hand" "places places"', md: '"name hand places"' },
  minHeight: 68,
  py: 0.25,
} as const;
const place = {
  display: 'flex',
  alignItems: 'center',
  justifyContent: 'center',
  minHeight: 48,
  px: { xs: 0, md: 1.5 },
  flex: { xs: 1, md: 'none' },
  color: 'text.primary',
  fontWeight: 600,
  textDecoration: 'none',
  borderBottom: '3px solid transparent',
  borderTop: '3px solid transparent',
  '&:hover': { bgcolor: 'bar.track' },
} as const;
const here = { ...place, borderBottomColor: 'bar.rule', bgcolor: 'bar.track' } as const;
const foot = {
  display: { xs: 'flex', md: 'none' },
  position: 'fixed',
  zIndex: 5,
  left: 0,
  right: 0,
  bottom: 0,
  bgcolor: 'background.paper',
  borderTop: '3px solid',
  borderColor: 'bar.rule',
  pb: 'env(safe-area-inset-bottom)',
  '@media print': { display: 'none' },
} as const;
