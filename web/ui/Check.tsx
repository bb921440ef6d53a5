import { Box, type SxProps, type Theme } from '@mui/material';
import type { ComponentPropsWithoutRef, ReactNode } from 'react';

interface Props extends Omit<ComponentPropsWithoutRef<'input'>, 'onChange' | 'children' | 'color'> {
  checked: boolean;
  onCheck: (checked: boolean) => void;
  sx?: SxProps<Theme>;
  children: ReactNode;
}

/** A box to tick, with its words. */
export function Check({ onCheck, sx, children, ...rest }: Props) {
  return (
    <Box
      component="label"
      sx={[look, ...(Array.isArray(sx) ? (sx as readonly SxProps<Theme>[]) : [sx])] as SxProps<Theme>}
    >
      <input
        type="checkbox"
        onChange={(event) => {
          onCheck(event.target.checked);
        }}
        {...rest}
      />
      {children}
    </Box>
  );
}

const look = { display: 'inline-flex', alignItems: 'center', gap: 0.75, minHeight: 44, cursor: 'pointer' } as const;
