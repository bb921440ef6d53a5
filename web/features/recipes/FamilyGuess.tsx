import { Box } from '@mui/material';
import type { Balance, Kitchen } from '../../api/client';
import { quietButton } from '../../ui/looks';

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
        <Box
          component="button"
          type="button"
          key={style.key}
          data-family={style.key}
          onClick={() => {
            onTake(style.key);
          }}
          sx={quietButton}
        >
          {style.name}
        </Box>
      ))}
    </Box>
  );
}
