import { fixed } from '../../base/locale';
import { Box, Button, Popover, Typography } from '@mui/material';
import { useState } from 'react';
import { api } from '../../api/client';
import { Fraction } from '../../ui/Fraction';
import { TextInput } from '../../ui/TextInput';
import { typedNumber } from '../../ui/words';
import type { Bench } from './useBench';
import { say } from './sentences';

interface Props {
  bench: Bench;
  ratio: number;
  anchor: HTMLElement;
  onClose: () => void;
}

/** Where sweet over sour is set: what sweetens goes up as what sharpens goes down. */
export function RatioSetting({ bench, ratio, anchor, onClose }: Props) {
  const [typed, setTyped] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const set = async (wanted: { sweet_to_sour: number } | { by_a_notch: 'sweeter' | 'sharper' }) => {
    try {
      setFault(null);
      const { recipe_lines } = await api.ratio({ ...bench.formula, ...wanted });
      bench.rewrite(recipe_lines, 'by_a_notch' in wanted ? say.aNotch(wanted.by_a_notch) : say.ratioIsSet);
    } catch (reason) {
      setFault(reason instanceof Error ? reason.message : say.thatDidNotWork);
    }
  };
  return (
    <Popover
      open
      anchorEl={anchor}
      onClose={onClose}
      anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      transformOrigin={{ vertical: 'top', horizontal: 'right' }}
      transitionDuration={0}
      slotProps={{ paper: { role: 'dialog', 'aria-label': say.sweetOverSour, sx: { p: 2, maxWidth: 340 } } }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'center', gap: 1 }}>
        <Button variant="outlined" data-ratio="sharper" onClick={() => void set({ by_a_notch: 'sharper' })}>
          {say.sharper}
        </Button>
        <Fraction ratio={ratio} above="sweet" below="sour" />
        <Button variant="outlined" data-ratio="sweeter" onClick={() => void set({ by_a_notch: 'sweeter' })}>
          {say.sweeter}
        </Button>
      </Box>
      <Box
        component="form"
        onSubmit={(event: { preventDefault: () => void }) => {
          event.preventDefault();
          const wanted = typedNumber(typed);
          if (wanted > 0) void set({ sweet_to_sour: wanted });
        }}
        sx={{ display: 'flex', alignItems: 'center', gap: 1, mt: 1.5 }}
      >
        <TextInput
          aria-label={say.sweetToOneOfSour}
          inputMode="decimal"
          placeholder={fixed(ratio, 1)}
          value={typed}
          onText={setTyped}
          sx={{ width: 90 }}
        />
        {say.toOne}
        <Button type="submit" disabled={!(typedNumber(typed) > 0)}>
          {say.setIt}
        </Button>
      </Box>
      <Typography sx={{ mt: 1, fontSize: '0.9rem', color: 'text.secondary' }}>{say.whatSweetensGoesUpAs}</Typography>
      {fault !== null && (
        <Typography role="alert" sx={{ mt: 1 }}>
          {fault}
        </Typography>
      )}
    </Popover>
  );
}
