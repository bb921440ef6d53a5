import { Checkbox, FormControlLabel, type SxProps, type Theme } from '@mui/material';
import type { ReactNode } from 'react';

interface Props {
  checked: boolean;
  onCheck: (checked: boolean) => void;
  /** Names the box for the page: data-… */
  attributes?: Record<`data-${string}`, string | number>;
  disabled?: boolean;
  sx?: SxProps<Theme>;
  children: ReactNode;
}

/** A box to tick, with its words. */
export function Check({ checked, onCheck, attributes, disabled = false, sx, children }: Props) {
  return (
    <FormControlLabel
      disabled={disabled}
      {...(sx === undefined ? {} : { sx })}
      label={children}
      control={
        <Checkbox
          checked={checked}
          onChange={(_, isChecked) => {
            onCheck(isChecked);
          }}
          slotProps={{ input: attributes ?? {} }}
        />
      }
    />
  );
}
