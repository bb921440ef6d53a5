import { Box, Button, Typography } from '@mui/material';
import type { Bench } from './useBench';

/** What to do with nothing written yet. */
export function EmptyBench({ bench }: { bench: Bench }) {
  return (
    <Box sx={{ mt: 2, maxWidth: '46ch' }}>
      <Typography sx={{ color: 'text.secondary' }}>
        Write what goes in, one line for each thing, as you would tell a friend: “2 tbsp honey”, “juice of half a
        lemon”, “a pinch of cayenne”. Or paste a whole recipe. The balance appears here with the first line.
      </Typography>
      {bench.style === null ? (
        <Typography sx={{ mt: 1.5, color: 'text.secondary' }}>
          Or choose a family above, and have a first formula drafted.
        </Typography>
      ) : (
        <Button
          variant="contained"
          onClick={() => void bench.design(500, (count) => `Drafted ${count} lines.`)}
          sx={{ mt: 1.5 }}
        >
          Draft a first formula, about 500 g
        </Button>
      )}
    </Box>
  );
}
