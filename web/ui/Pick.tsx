import { NativeSelect, OutlinedInput, type SxProps, type Theme } from '@mui/material';
import type { ReactNode } from 'react';

interface Props {
  value: string | number;
  onPick: (value: string) => void;
  /** What it chooses; not needed where a label stands around it. */
  'aria-label'?: string;
  sx?: SxProps<Theme>;
  /** The options, as the browser draws them: its own list is the best one under a thumb. */
  children: ReactNode;
}

/** One of many, from a list. */
export function Pick({ value, onPick, 'aria-label': label, sx, children }: Props) {
  return (
    <NativeSelect
      value={value}
      onChange={(event) => {
        onPick(event.target.value);
      }}
      input={<OutlinedInput />}
      inputProps={label === undefined ? {} : { 'aria-label': label }}
      {...(sx === undefined ? {} : { sx })}
    >
      {children}
    </NativeSelect>
  );
}
