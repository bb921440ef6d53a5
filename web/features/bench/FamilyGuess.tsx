import { Box, Chip } from '@mui/material';
import type { Balance, Kitchen } from '../../api/client';
import { say } from './sentences';

interface Props {
  offered: Balance['offered'];
  kitchen: Kitchen;
  onTake: (style: string) => void;
}

/** What a sauce without a family looks like: a guess, and said to be one; taken with one tap. */
export function FamilyGuess({ offered, kitchen, onTake }: Props) {
  const styles = offered.flatMap((key) => kitchen.styles.find((style) => style.key === key) ?? []);
  if (styles.length === 0) return null;
  return (
    <Box component="span" sx={{ display: 'inline-flex', flexWrap: 'wrap', alignItems: 'center', gap: 0.75 }}>
      <Box component="span" sx={{ fontSize: '0.9rem', color: 'text.secondary' }}>
        {say.looksLike}
      </Box>
      {styles.map((style) => (
        <Chip
          key={style.key}
          variant="outlined"
          label={`${style.name}?`}
          data-family={style.key}
          onClick={() => {
            onTake(style.key);
          }}
          sx={{ borderColor: 'bar.preview', fontWeight: 600 }}
        />
      ))}
    </Box>
  );
}
