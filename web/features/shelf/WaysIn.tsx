import { Box, Button, Typography } from '@mui/material';
import { type ReactNode, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, type Style } from '../../api/client';
import { ColourDrop } from '../../ui/ColourDrop';
import { TextInput } from '../../ui/TextInput';
import { say } from './sentences';

/** Where there is a keyboard, what is typed goes into the list at once; on a phone the board would cover the shelf. */
const isAtADesk = !window.matchMedia('(pointer: coarse)').matches;

const said = (reason: unknown): string => (reason instanceof Error ? reason.message : say.thatDidNotWork);

function Way({ name, children }: { name: string; children: ReactNode }) {
  return (
    <Box component="section" aria-label={name} sx={{ mb: 2.5 }}>
      <Typography
        variant="h2"
        component="h1"
        sx={{ borderBottom: '3px solid', borderColor: 'bar.rule', pb: 0.5, mb: 1 }}
      >
        {name}
      </Typography>
      {children}
    </Box>
  );
}

/** A recipe as it stands somewhere, or a list: the bench opens on it, understood. */
export function WriteIn() {
  const [text, setText] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const navigate = useNavigate();
  const begin = async () => {
    try {
      setFault(null);
      const sauce = await api.writeSauce({ text });
      await navigate(`/sauce/${sauce.id}`);
    } catch (reason) {
      setFault(said(reason));
    }
  };
  return (
    <Way name={say.whatIsInIt}>
      <Box component="label" htmlFor="begin-text" sx={{ display: 'block', mb: 0.75 }}>
        {say.pasteARecipeAsIt}
      </Box>
      <TextInput
        id="begin-text"
        autoFocus={isAtADesk}
        value={text}
        rows={8}
        spellCheck={false}
        placeholder={say.cupCiderVinegar2Tbsp}
        onText={setText}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) void begin();
        }}
        sx={{ width: '100%', lineHeight: 1.6 }}
      />
      <Button variant="contained" fullWidth onClick={() => void begin()} sx={{ mt: 1, minHeight: 48 }}>
        {text.trim() === '' ? say.startWithAnEmptyBench : say.seeHowItIsBalanced}
      </Button>
      {fault !== null && (
        <Typography role="alert" sx={{ mt: 1 }}>
          {say.whatYouTypedIsStill(fault)}
        </Typography>
      )}
    </Way>
  );
}

/** The gallery of families, by the face of one of each kind. */
export function FromTypical({ styles }: { styles: readonly Style[] }) {
  const faces = [...new Map(styles.map((one) => [one.typical.group, one])).values()];
  return (
    <Way name={say.orFromATypicalOne}>
      <Box component={Link} to="/typical" data-typical sx={gallery}>
        <Box aria-hidden sx={{ display: 'flex', minHeight: 26, '& > * + *': { ml: '-6px' } }}>
          {faces.map((one) => (
            <ColourDrop key={one.key} colour={one.typical.colour} size={26} />
          ))}
        </Box>
        <Box component="span" className="name">
          {styles.length === 0 ? say.chooseAKindOfSauce : say.chooseOneOf(styles.length)}
        </Box>
      </Box>
    </Way>
  );
}

const gallery = {
  display: 'flex',
  flexWrap: 'wrap',
  alignItems: 'center',
  gap: 1.5,
  minHeight: 48,
  py: 0.5,
  color: 'text.primary',
  textDecoration: 'none',
  '& .name': { textDecoration: 'underline', textUnderlineOffset: '4px' },
} as const;
