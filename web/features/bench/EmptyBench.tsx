import { Box, Button, Typography } from '@mui/material';
import type { Bench } from './useBench';
import { say } from './sentences';

/** What to do with nothing written yet. */
export function EmptyBench({ bench }: { bench: Bench }) {
  return (
    <Box sx={{ mt: 2, maxWidth: '46ch' }}>
      <Typography sx={{ color: 'text.secondary' }}>{say.writeWhatGoesInOne}</Typography>
      {bench.style === null ? (
        <Typography sx={{ mt: 1.5, color: 'text.secondary' }}>{say.orChooseAFamilyAbove}</Typography>
      ) : (
        <Button
          variant="contained"
          onClick={() => void bench.design(500, (count) => say.draftedLines(count))}
          sx={{ mt: 1.5 }}
        >
          {say.draftAFirstFormulaAbout}
        </Button>
      )}
    </Box>
  );
}
