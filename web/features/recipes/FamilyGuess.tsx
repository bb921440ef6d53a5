import { Box, Button } from '@mui/material';
import type { Balance, Kitchen } from '../../api/client';

/** What a sauce without a family looks like, to take with one tap. */
export function FamilyGuess({
  families,
  kitchen,
  onTake,
}: {
  families: Balance['families'];
  kitchen: Kitchen;
  onTake: (style: string) => void;
}) {
  const offered = families
    .filter((one) => one.likelihood >= 0.2)
    .slice(0, 2)
    .flatMap((one) => kitchen.styles.find((style) => style.key === one.style) ?? []);
  if (offered.length === 0) return null;
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 1, fontSize: '0.88rem', mb: 0.5 }}>
      It looks like
      {offered.map((style) => (
        <Button
          key={style.key}
          data-family={style.key}
          onClick={() => {
            onTake(style.key);
          }}
        >
          {style.name}
        </Button>
      ))}
    </Box>
  );
}
