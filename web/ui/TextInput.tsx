import { Box, type SxProps, type Theme } from '@mui/material';
import type { ChangeEvent, ComponentPropsWithoutRef } from 'react';
import { textField } from './looks';

interface Props extends Omit<ComponentPropsWithoutRef<'input'>, 'onChange' | 'value' | 'color'> {
  value: string;
  onText: (text: string) => void;
  sx?: SxProps<Theme>;
}

/** One line to type into, in the house's look. */
export function TextInput({ onText, sx, ...rest }: Props) {
  return (
    <Box
      component="input"
      onChange={(event: ChangeEvent<HTMLInputElement>) => {
        onText(event.target.value);
      }}
      {...rest}
      sx={[textField, ...(Array.isArray(sx) ? (sx as readonly SxProps<Theme>[]) : [sx])] as SxProps<Theme>}
    />
  );
}
