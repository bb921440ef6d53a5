import { Box, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { api } from '../../api/client';
import { useLatest } from '../../api/useLatest';
import { sauceQuery } from '../../api/queries';
import { formulaOf, sized } from '../sauce/formulaOf';
import { say } from './sentences';

interface Props {
  sauce: number;
  /** As it is typed. */
  size: string;
}

/** What is got ready and done, before it is begun: at the size that is asked for, with what this kitchen measures with. */
export function WhatItTakes({ sauce, size }: Props) {
  const found = useQuery(sauceQuery(sauce));
  const wish = useMemo(
    () => (found.data === undefined ? null : { ...formulaOf(found.data), ...sized(size) }),
    [found.data, size],
  );
  const { answer: sheet } = useLatest(wish, api.sheet);
  if (sheet === null) return null;
  return (
    <Box component="section" aria-label={say.whatItTakes}>
      <Typography variant="h2" sx={{ mt: 2 }}>
        {say.whatItTakes}
      </Typography>
      <Box component="ul" sx={list}>
        {sheet.ready.map((one) => (
          <li key={one.line}>{one.says}</li>
        ))}
      </Box>
      {sheet.steps.length > 0 && (
        <>
          <Typography variant="h2" sx={{ mt: 2 }}>
            {say.whatIsDone}
          </Typography>
          <Box component="ol" sx={{ ...list, listStyle: 'decimal', pl: 3 }}>
            {sheet.steps.map((step, index) => (
              <li key={index}>{step.text}</li>
            ))}
          </Box>
        </>
      )}
    </Box>
  );
}

const list = {
  listStyle: 'none',
  m: 0,
  p: 0,
  '& li': { borderBottom: '1px solid', borderColor: 'divider', py: 0.5 },
} as const;
