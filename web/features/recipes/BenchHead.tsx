import { Box } from '@mui/material';
import type { Kitchen, Measures } from '../../api/client';
import { ColourDrop } from '../../ui/ColourDrop';
import { textField } from '../../ui/looks';
import { displayFont } from '../../ui/theme';
import type { Draft } from './draft';
import { TextInput } from '../../ui/TextInput';
import { Pick } from '../../ui/Pick';

interface Props {
  draft: Draft;
  kitchen: Kitchen;
  /** Of the sauce, as far as it is known. */
  colour: string | null;
  set: <Field extends keyof Draft>(field: Field, value: Draft[Field]) => void;
}

/** Name, style, measures and what it came to. */
export function BenchHead({ draft, kitchen, colour, set }: Props) {
  return (
    <>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5 }}>
        <Box
          component="input"
          value={draft.title}
          aria-label="Name of the sauce"
          placeholder="Name of the sauce"
          maxLength={200}
          onChange={(event: { target: { value: string } }) => {
            set('title', event.target.value);
          }}
          sx={title}
        />
        <ColourDrop colour={colour} />
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, mt: 0.5, mb: 1 }}>
        <Box component="label" sx={{ flex: '3 1 160px' }}>
          <Box component="span" sx={caption}>
            Style
          </Box>
          <Pick
            value={draft.style ?? ''}
            onPick={(picked) => {
              set('style', picked === '' ? null : picked);
            }}
            sx={{ width: '100%' }}
          >
            <option value="">no style yet</option>
            {byName(kitchen.styles).map((one) => (
              <option key={one.key} value={one.key}>
                {one.name}
              </option>
            ))}
          </Pick>
        </Box>
        <Box component="label" sx={{ flex: '3 1 190px' }}>
          <Box component="span" sx={caption}>
            A cup means
          </Box>
          <Pick
            value={draft.measures}
            onPick={(picked) => {
              set('measures', picked as Measures);
            }}
            sx={{ width: '100%' }}
          >
            {kitchen.measures.map((one) => (
              <option key={one.key} value={one.key}>
                {one.name}
              </option>
            ))}
          </Pick>
        </Box>
        <Box component="label" sx={{ flex: '1 1 100px' }}>
          <Box component="span" sx={caption}>
            Came to, if cooked
          </Box>
          <TextInput
            value={draft.yield ?? ''}
            placeholder="500 ml"
            maxLength={200}
            onText={(text) => {
              set('yield', text === '' ? null : text);
            }}
            sx={{ width: '100%' }}
          />
        </Box>
      </Box>
    </>
  );
}

const caption = { display: 'block', fontSize: '0.8rem', color: 'text.secondary' } as const;
const title = {
  ...textField,
  fontFamily: displayFont,
  fontWeight: 600,
  fontSize: '1.6rem',
  border: 0,
  bgcolor: 'transparent',
  px: 0,
  width: '100%',
  minHeight: 44,
} as const;

function byName(styles: Kitchen['styles']) {
  return [...styles].sort((one, other) => one.name.localeCompare(other.name));
}
