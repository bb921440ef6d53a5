import { Box } from '@mui/material';
import type { ReactNode } from 'react';
import { plainTable } from './looks';

/** A table that is read and not managed; where it is wider than its place, it is moved by keys or finger. */
export function PlainTable({ label, children }: { label: string; children: ReactNode }) {
  return (
    <Box tabIndex={0} role="region" aria-label={label} sx={{ overflowX: 'auto' }}>
      <Box component="table" sx={plainTable}>
        {children}
      </Box>
    </Box>
  );
}
