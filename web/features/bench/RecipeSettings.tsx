import { Box } from '@mui/material';
import type { Kitchen, Measures } from '../../api/client';
import { Fold } from '../../ui/Fold';
import { Pick } from '../../ui/Pick';
import { TextInput } from '../../ui/TextInput';
import type { Draft } from '../sauce/draft';
import { say } from './sentences';

interface Props {
  draft: Draft;
  kitchen: Kitchen;
  set: <Field extends keyof Draft>(field: Field, value: Draft[Field]) => void;
}

/** What is set once and seldom looked at: which cup, and how much there was in the end. */
export function RecipeSettings({ draft, kitchen, set }: Props) {
  const cups = kitchen.measures.find((one) => one.key === draft.measures)?.name ?? '';
  return (
    <Fold says={[cups, draft.yield === null ? '' : say.finished(draft.yield)].filter(Boolean).join(' · ')}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, mb: 1 }}>
        <label>
          <Box component="span" sx={caption}>
            {say.aCupMeans}
          </Box>
          <Pick
            value={draft.measures}
            onPick={(picked) => {
              set('measures', picked as Measures);
            }}
          >
            {kitchen.measures.map((one) => (
              <option key={one.key} value={one.key}>
                {one.name}
              </option>
            ))}
          </Pick>
        </label>
        <label>
          <Box component="span" sx={caption}>
            {say.finishedAmountIfCooked}
          </Box>
          <TextInput
            value={draft.yield ?? ''}
            placeholder={say.yieldExample}
            maxLength={200}
            onText={(text) => {
              set('yield', text === '' ? null : text);
            }}
            sx={{ width: 160 }}
          />
        </label>
      </Box>
    </Fold>
  );
}

const caption = { display: 'block', fontSize: '0.8rem', color: 'text.secondary' } as const;
