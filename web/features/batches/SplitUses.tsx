import { Box, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type SplitRequest } from '../../api/client';
import { grams, typedNumber } from '../../ui/words';
import { TextInput } from '../../ui/TextInput';
import { Check } from '../../ui/Check';
import { say } from './sentences';

type Use = SplitRequest['uses'][number];
const names: readonly (readonly [Use, string])[] = [
  ['table', say.atTheTable],
  ['marinade', say.asAMarinade],
  ['basting', say.forBasting],
  ['mop', say.asAMop],
];

/** The batch divided before it is used, so that nothing that touched raw meat comes back. */
export function SplitUses({ batch }: { batch: number }) {
  const [uses, setUses] = useState<readonly Use[]>(['table', 'basting']);
  const [kilograms, setKilograms] = useState('2');
  const [people, setPeople] = useState('6');
  const number = (text: string) => typedNumber(text) || 0;
  const wish: SplitRequest = { uses: [...uses], kilograms: number(kilograms), people: number(people) };
  const found = useQuery({
    queryKey: ['split', batch, wish],
    queryFn: () => api.split(batch, wish),
    enabled: uses.length > 0,
    placeholderData: (last) => last,
  });
  const input = (label: string, value: string, onChange: (value: string) => void) => (
    <TextInput inputMode="decimal" aria-label={label} value={value} onText={onChange} sx={{ width: 70 }} />
  );
  return (
    <Box component="section" aria-label={say.use} sx={{ mt: 2.5 }}>
      <Typography variant="h2">{say.splitIntoUses}</Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center', my: 0.5 }}>
        {names.map(([use, says]) => (
          <Check
            key={use}
            checked={uses.includes(use)}
            onCheck={(checked) => {
              setUses(checked ? [...uses, use] : uses.filter((one) => one !== use));
            }}
          >
            {says}
          </Check>
        ))}
      </Box>
      <Typography component="div">
        {say.forSoMuch}
        {input(say.kilogramsOfFood, kilograms, setKilograms)}
        {say.kgOfFoodAnd}
        {input(say.peopleField, people, setPeople)}
        {say.people}
      </Typography>
      {found.error !== null && <Typography role="alert">{found.error.message}</Typography>}
      {found.data?.parts.map((part) => (
        <Box key={part.use} data-part={part.use} sx={{ borderTop: '1px solid', borderColor: 'divider', py: 0.75 }}>
          <strong>
            {grams(part.grams)} {names.find(([use]) => use === part.use)?.[1]}
          </strong>
          {part.grams < part.wanted_grams - 1 && say.wouldBeUsualThereIs(grams(part.wanted_grams))}
          <Box component="span" sx={{ display: 'block', fontSize: '0.92rem' }}>
            {part.timing} <strong>{part.rule}</strong>{' '}
            <Box component="span" sx={{ color: 'text.secondary' }}>
              ({part.source})
            </Box>
          </Box>
        </Box>
      ))}
      {found.data !== undefined && (
        <Typography sx={{ mt: 0.5 }}>{say.leftToKeep(grams(found.data.left_grams))}</Typography>
      )}
    </Box>
  );
}
