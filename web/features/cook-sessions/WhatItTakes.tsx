import { Box, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { sauceQuery } from '../../api/queries';
import { say } from './sentences';

/** What is weighed and done, before it is begun: the recipe as it is written. */
export function WhatItTakes({ sauce }: { sauce: number }) {
  const found = useQuery(sauceQuery(sauce));
  if (found.data === undefined) return null;
  const { lines, method } = found.data;
  return (
    <Box component="section" aria-label={say.whatItTakes}>
      <Typography variant="h2" sx={{ mt: 2 }}>
        {say.whatItTakes}
      </Typography>
      <Box component="ul" sx={list}>
        {lines.map((line, index) => (
          <li key={index}>{line}</li>
        ))}
      </Box>
      {method.length > 0 && (
        <>
          <Typography variant="h2" sx={{ mt: 2 }}>
            {say.whatIsDone}
          </Typography>
          <Box component="ol" sx={{ ...list, listStyle: 'decimal', pl: 3 }}>
            {method.map((step, index) => (
              <li key={index}>{step}</li>
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
