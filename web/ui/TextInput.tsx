import { OutlinedInput, type SxProps, type Theme } from '@mui/material';
import type { ComponentPropsWithRef } from 'react';

interface Props extends Omit<ComponentPropsWithRef<'input'>, 'onChange' | 'value' | 'color' | 'size'> {
  value: string;
  onText: (text: string) => void;
  /** So many lines high; one line where it is not given. */
  rows?: number;
  sx?: SxProps<Theme>;
}

/** A line, or a few, to type into. */
export function TextInput({ value, onText, rows, sx, id, autoFocus, placeholder, ref, ...rest }: Props) {
  return (
    <OutlinedInput
      value={value}
      onChange={(event) => {
        onText(event.target.value);
      }}
      {...(id === undefined ? {} : { id })}
      {...(autoFocus === undefined ? {} : { autoFocus })}
      {...(placeholder === undefined ? {} : { placeholder })}
      {...(rows === undefined ? {} : { multiline: true, rows })}
      {...(ref === undefined ? {} : { inputRef: ref })}
      {...(sx === undefined ? {} : { sx })}
      slotProps={{ input: rest }}
    />
  );
}
