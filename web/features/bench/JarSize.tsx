import { Box, Button } from '@mui/material';
import { useState } from 'react';
import type { Balance } from '../../api/client';
import { TextInput } from '../../ui/TextInput';
import { say } from './sentences';

interface Props {
  told: NonNullable<Balance['yield']>;
  onYield: (yielded: string) => void;
}

/** A recipe that "makes 3 jars" does not say how much that is: asked for where it stands. */
export function JarSize({ told, onYield }: Props) {
  const [size, setSize] = useState('');
  if (told.jars === null) return null;
  const jars = told.jars;
  return (
    <Box
      component="form"
      data-jar-size={jars}
      onSubmit={(event: { preventDefault: () => void }) => {
        event.preventDefault();
        if (size.trim() !== '') onYield(`${jars} x ${size.trim()}`);
      }}
      sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1, my: 0.5, fontSize: '0.95rem' }}
    >
      <label>
        {say.howLargeIsOne(told.text)}{' '}
        <TextInput value={size} placeholder={say.jarSizeExample} maxLength={40} onText={setSize} sx={{ width: 110 }} />
      </label>
      <Button type="submit" variant="outlined" disabled={size.trim() === ''}>
        {say.soMuchOfIt}
      </Button>
    </Box>
  );
}
