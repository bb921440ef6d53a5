import { Box, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { Style } from '../../api/client';
import { kitchenQuery } from '../../api/queries';
import { ColourDrop } from '../../ui/ColourDrop';
import { Fraction } from '../../ui/Fraction';
import { Frame } from '../../ui/Frame';
import { TextInput } from '../../ui/TextInput';
import { say } from './sentences';
import { ratioOf } from './ratioOf';

/** Every word that was typed begins a word of its name, its recipe, or what it goes with. */
const isFound = (style: Style, wanted: string): boolean => {
  const said = [
    style.name,
    style.key,
    style.typical.title,
    ...style.typical.titled,
    style.typical.goes_with,
    style.typical.group,
  ]
    .join(' ')
    .toLowerCase()
    .split(/[^\p{L}\d']+/u);
  return wanted
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '')
    .every((word) => said.some((one) => one.startsWith(word)));
};

/** Every family by what it is made of: its plain sauce's colour, sweet over sour, and what it goes with. */
export function TypicalPage() {
  const kitchen = useQuery(kitchenQuery);
  const [wanted, setWanted] = useState('');
  useEffect(() => {
    document.title = say.titleOfThePage;
  }, []);
  const groups = useMemo(() => {
    const byGroup = new Map<string, Style[]>(Object.keys(say.names).map((group) => [group, []]));
    for (const style of kitchen.data?.styles ?? []) {
      if (isFound(style, wanted)) byGroup.get(style.typical.group)?.push(style);
    }
    return [...byGroup]
      .filter(([, styles]) => styles.length > 0)
      .map(([group, styles]) => [group, styles.sort((one, other) => one.name.localeCompare(other.name))] as const);
  }, [kitchen.data, wanted]);
  const count = groups.reduce((sum, [, styles]) => sum + styles.length, 0);
  return (
    <Frame>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'end', gap: 2, pt: 2, mb: 1 }}>
        <Box sx={{ flex: '1 1 320px' }}>
          <Typography variant="h1">{say.typicalSauces}</Typography>
          <Typography sx={{ color: 'text.secondary' }}>{say.chooseOneToMakeYourOwn}</Typography>
        </Box>
        <Box sx={{ flex: '0 1 340px', minWidth: 240 }}>
          <TextInput
            type="search"
            autoFocus={isAtADesk}
            aria-label={say.find}
            placeholder={say.find}
            value={wanted}
            onText={setWanted}
            sx={{ width: '100%' }}
          />
          <Typography role="status" sx={{ fontSize: '0.85rem', color: 'text.secondary', minHeight: '1.4em' }}>
            {kitchen.isSuccess && say.countFound(count)}
          </Typography>
        </Box>
      </Box>
      {kitchen.isError && <Typography role="alert">{kitchen.error.message}</Typography>}
      {kitchen.isSuccess && count === 0 && <Typography>{say.noneOfThatName}</Typography>}
      {groups.map(([group, styles]) => (
        <Box component="section" key={group} aria-label={say.names[group]} sx={{ mb: 2.5 }}>
          <Typography
            variant="h2"
            sx={{ borderBottom: '3px solid', borderColor: 'bar.rule', pb: 0.5, mb: 0.5, fontSize: '1.15rem' }}
          >
            {say.names[group]}
          </Typography>
          <Box component="ul" sx={tiles}>
            {styles.map((style) => (
              <Tile key={style.key} style={style} />
            ))}
          </Box>
        </Box>
      ))}
    </Frame>
  );
}

function Tile({ style }: { style: Style }) {
  const { typical } = style;
  return (
    <Box component="li" data-family={style.key}>
      <Box component={Link} to={`/typical/${style.key}`} sx={tile}>
        <ColourDrop colour={typical.colour} size={40} />
        <Box sx={{ minWidth: 0 }}>
          <Typography className="name" variant="h3" component="h3" sx={{ fontSize: '1rem', lineHeight: 1.2 }}>
            {style.name}
          </Typography>
          <Typography sx={{ fontSize: '0.85rem', lineHeight: 1.25, color: 'text.secondary' }}>
            {say.goesWith(typical.goes_with)}
          </Typography>
        </Box>
        <Box sx={{ '& > *': { transform: 'scale(0.85)', transformOrigin: 'right center' } }}>
          <Fraction ratio={ratioOf(typical)} above={say.sweet} below={say.sour} />
        </Box>
      </Box>
    </Box>
  );
}

/** On a phone the keyboard would cover the gallery. */
const isAtADesk = !window.matchMedia('(pointer: coarse)').matches;

const tiles = {
  listStyle: 'none',
  m: 0,
  p: 0,
  display: 'grid',
  gridTemplateColumns: 'repeat(auto-fill, minmax(min(100%, 340px), 1fr))',
  columnGap: 3,
} as const;
const tile = {
  display: 'grid',
  gridTemplateColumns: '40px minmax(0, 1fr) auto',
  columnGap: 1.5,
  alignItems: 'center',
  minHeight: 68,
  py: 0.5,
  borderBottom: '1px solid',
  borderColor: 'divider',
  color: 'text.primary',
  textDecoration: 'none',
  '&:hover .name': { textDecoration: 'underline', textUnderlineOffset: '4px' },
} as const;
