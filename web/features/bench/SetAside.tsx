import { Box, Button, Typography } from '@mui/material';
import { type KeyboardEvent, useState } from 'react';
import type { Aside } from '../sauce/draft';
import { say } from './sentences';

interface Props {
  aside: readonly Aside[];
  onIngredient: (at: number) => void;
  onStep: (at: number) => void;
}

const kinds: Record<string, string> = {
  title: say.nameKind,
  blurb: say.aboutIt,
  heading: say.headingKind,
  time: say.timeKind,
  yield: say.amountKind,
  note: say.noteKind,
  nutrition: say.nutritionKind,
  link: say.ofThePage,
  control: say.ofThePage,
  'served-with': say.servedWithKind,
  'talked-about': say.talkedAboutKind,
  keeping: say.keepingKind,
};

/** What else stood on the page of a sauce. Nothing of it is lost, and each line can be made one of the sauce. */
export function SetAside({ aside, onIngredient, onStep }: Props) {
  const [isOpen, setIsOpen] = useState(false);
  if (aside.length === 0) return null;
  const says = say.setAside(aside.length);
  const onKey = (event: KeyboardEvent<HTMLElement>, at: number) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const key = event.key.toLowerCase();
    if (key === 'i') onIngredient(at);
    else if (key === 'm') onStep(at);
    else return;
    event.preventDefault();
  };
  return (
    <Box component="section" aria-label={say.setAsideHeading} sx={{ mt: 1.5 }}>
      <Button
        aria-expanded={isOpen}
        onClick={() => {
          setIsOpen(!isOpen);
        }}
        sx={{ px: 0.5, ml: '24px' }}
      >
        {says}: {isOpen ? say.foldAway : say.look}
      </Button>
      {isOpen && (
        <>
          <Typography sx={{ ml: '28px', fontSize: '0.82rem', color: 'text.secondary' }}>{say.notCounted}</Typography>
          <Box component="ul" aria-label={say.linesSetAside} sx={{ listStyle: 'none', m: 0, ml: '28px', p: 0 }}>
            {aside.map((one, at) => (
              <Box
                component="li"
                key={`${String(at)} ${one.text}`}
                data-aside={one.why}
                onKeyDown={(event: KeyboardEvent<HTMLElement>) => {
                  onKey(event, at);
                }}
                sx={row}
              >
                <Box component="span" sx={{ flex: '1 1 220px', minWidth: 0, overflowWrap: 'anywhere' }}>
                  <Box component="span" sx={{ color: 'text.secondary', fontSize: '0.82rem', mr: 1 }}>
                    {one.sure === false ? say.perhaps : ''}
                    {kinds[one.why] ?? one.why}
                  </Box>
                  {one.text}
                </Box>
                <Button
                  aria-label={say.makeAnIngredientOf(one.text)}
                  onClick={() => {
                    onIngredient(at);
                  }}
                >
                  {say.ingredient}
                </Button>
                <Button
                  aria-label={say.makeAStepOf(one.text)}
                  onClick={() => {
                    onStep(at);
                  }}
                >
                  {say.stepWord}
                </Button>
              </Box>
            ))}
          </Box>
        </>
      )}
    </Box>
  );
}

const row = {
  display: 'flex',
  flexWrap: 'wrap',
  alignItems: 'center',
  columnGap: 1,
  minHeight: 38,
  '@media (pointer: coarse)': { minHeight: 44 },
  borderBottom: '1px solid',
  borderColor: 'divider',
  fontSize: '0.92rem',
} as const;
