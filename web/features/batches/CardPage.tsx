import { Box, Button, GlobalStyles, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useParams } from 'react-router';
import { api } from '../../api/client';
import { sauceQuery } from '../../api/queries';
import { TextInput } from '../../ui/TextInput';
import { formulaOf, sized } from '../sauce/formulaOf';
import { SaucePage } from '../sauce/SaucePage';
import { PaperSheet } from './PaperSheet';
import { say } from './sentences';

/** The cook's sheet on one sheet of paper, for beside the stove. */
export function CardPage() {
  const id = Number(useParams().id);
  const [size, setSize] = useState('');
  const asked = size.trim();
  const sauce = useQuery(sauceQuery(id));
  const formula = sauce.data === undefined ? { lines: [] } : formulaOf(sauce.data);
  const isThere = sauce.data !== undefined;
  const sheet = useQuery({
    queryKey: ['paper', formula, asked],
    queryFn: () => api.sheet({ ...formula, ...sized(asked) }),
    enabled: isThere,
    retry: false,
  });
  const balance = useQuery({
    queryKey: ['paper-balance', formula],
    queryFn: () => api.balance(formula),
    enabled: isThere,
  });
  const keep = useQuery({ queryKey: ['paper-keep', formula], queryFn: () => api.keep(formula), enabled: isThere });
  return (
    <SaucePage sauce={id} at="bench" name={say.recipeCard}>
      <GlobalStyles
        styles={{
          '@page': { margin: '12mm' },
          '@media print': {
            'header, [data-head], [data-controls]': { display: 'none !important' },
            body: { background: 'white !important' },
          },
        }}
      />
      <Box data-controls sx={{ pt: 2, display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'end' }}>
        <label>
          <Box component="span" sx={{ display: 'block', fontSize: '0.85rem', color: 'text.secondary' }}>
            {say.howMuchOfIt}
          </Box>
          <TextInput value={size} placeholder={say.paperSizeExample} maxLength={200} onText={setSize} />
        </label>
        <Button
          variant="contained"
          onClick={() => {
            window.print();
          }}
        >
          {say.print}
        </Button>
      </Box>
      {sheet.error !== null && <Typography role="alert">{sheet.error.message}</Typography>}
      {sauce.data !== undefined && sheet.data !== undefined && balance.data !== undefined && (
        <PaperSheet title={sauce.data.title} sheet={sheet.data} balance={balance.data} keep={keep.data ?? null} />
      )}
    </SaucePage>
  );
}
