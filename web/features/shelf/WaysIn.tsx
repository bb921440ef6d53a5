import { Box, Button, Typography } from '@mui/material';
import { type ReactNode, useState } from 'react';
import { useNavigate } from 'react-router';
import { api, type Style } from '../../api/client';
import { Pick } from '../../ui/Pick';
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
        title: say.my(chosen.name.toLowerCase()),
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
    <Way name={say.orFromATypicalOne}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Pick aria-label={say.aTypicalSauceOf} value={style} onPick={setStyle} sx={{ flex: '1 1 200px', minWidth: 0 }}>
          <option value="">{say.chooseAKindOfSauce}</option>
          {[...styles]
            .sort((one, other) => one.name.localeCompare(other.name))
            .map((one) => (
              <option key={one.key} value={one.key}>
                {one.name}
              </option>
            ))}
        </Pick>
        <Button variant="outlined" data-typical disabled={chosen === undefined} onClick={() => void begin()}>
          {say.makeItMyOwn}
        </Button>
      </Box>
      {chosen !== undefined && (
        <Typography sx={{ mt: 0.75, fontSize: '0.9rem', color: 'text.secondary' }}>
          {say.about500GAsRecipes(chosen.references, chosen.schools)}
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
