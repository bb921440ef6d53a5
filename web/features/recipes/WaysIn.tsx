import { Box, Button, Typography } from '@mui/material';
import { type ReactNode, useState } from 'react';
import { useNavigate } from 'react-router';
import { api, type Style } from '../../api/client';
import { Pick } from '../../ui/Pick';
import { TextInput } from '../../ui/TextInput';

/** Where there is a keyboard, what is typed goes into the list at once; on a phone the board would cover the shelf. */
const isAtADesk = !window.matchMedia('(pointer: coarse)').matches;

const said = (reason: unknown): string => (reason instanceof Error ? reason.message : 'That did not work.');

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
    <Way name="What is in it?">
      <Box component="label" htmlFor="begin-text" sx={{ display: 'block', mb: 0.75 }}>
        Paste a recipe as it stands on its page, or type one ingredient a line
      </Box>
      <TextInput
        id="begin-text"
        autoFocus={isAtADesk}
        value={text}
        rows={8}
        spellCheck={false}
        placeholder={'½ cup cider vinegar\n2 tbsp honey\n1 tin chopped tomatoes\na pinch of cayenne'}
        onText={setText}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) void begin();
        }}
        sx={{ width: '100%', lineHeight: 1.6 }}
      />
      <Button variant="contained" fullWidth onClick={() => void begin()} sx={{ mt: 1, minHeight: 48 }}>
        {text.trim() === '' ? 'Start with an empty bench' : 'See how it is balanced'}
      </Button>
      {fault !== null && (
        <Typography role="alert" sx={{ mt: 1 }}>
          {fault} What you typed is still here.
        </Typography>
      )}
    </Way>
  );
}

/** A family's typical sauce, to make one's own. */
export function FromTypical({ styles }: { styles: readonly Style[] }) {
  const [style, setStyle] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const navigate = useNavigate();
  const chosen = styles.find((one) => one.key === style);
  const begin = async () => {
    if (chosen === undefined) return;
    try {
      setFault(null);
      const draft = await api.design({ style, lines: [], measures: 'metric', batch_grams: 500, may_grow: true });
      const sauce = await api.addSauce({
        title: `My ${chosen.name.toLowerCase()}`,
        style,
        measures: 'metric',
        lines: draft.texts,
      });
      await navigate(`/sauce/${sauce.id}`);
    } catch (reason) {
      setFault(said(reason));
    }
  };
  return (
    <Way name="Or from a typical one">
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Pick aria-label="A typical sauce of" value={style} onPick={setStyle} sx={{ flex: '1 1 200px', minWidth: 0 }}>
          <option value="">choose a kind of sauce</option>
          {[...styles]
            .sort((one, other) => one.name.localeCompare(other.name))
            .map((one) => (
              <option key={one.key} value={one.key}>
                {one.name}
              </option>
            ))}
        </Pick>
        <Button variant="outlined" data-typical disabled={chosen === undefined} onClick={() => void begin()}>
          Make it my own
        </Button>
      </Box>
      {chosen !== undefined && (
        <Typography sx={{ mt: 0.75, fontSize: '0.9rem', color: 'text.secondary' }}>
          About 500 g, as {chosen.references} recipes of its kind have it: {chosen.schools}
        </Typography>
      )}
      {fault !== null && (
        <Typography role="alert" sx={{ mt: 1 }}>
          {fault}
        </Typography>
      )}
    </Way>
  );
}
