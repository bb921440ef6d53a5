import { Box } from '@mui/material';
import { say } from './sentences';

interface Props {
  /** As "#b3261a"; nothing is shown where it is not known. */
  colour: string | null;
  /** In pixels. */
  size?: number;
}

/** About the colour that the sauce will have: computed from what goes in, and rough. */
export function ColourDrop({ colour, size = 48 }: Props) {
  if (colour === null) {
    return null;
  }
  return (
    <Box
      role="img"
      aria-label={say.aboutTheColourOfThe}
      title={say.aboutThisColourRoughlyBy}
      data-colour={colour}
      style={{ width: size, height: size, backgroundColor: colour }}
      sx={{
        flex: 'none',
        borderRadius: '50% 50% 50% 12%',
        border: '1px solid',
        borderColor: 'text.secondary',
        transition: 'background-color 200ms',
        '@media (prefers-reduced-motion: reduce)': { transition: 'none' },
      }}
    />
  );
}
