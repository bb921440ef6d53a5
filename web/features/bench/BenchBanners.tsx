import { Box, Button, Typography } from '@mui/material';
import type { Sauce } from '../../api/client';
import type { Saving } from './Saver';
import { say } from './sentences';

interface Props {
  saving: Saving;
  /** What keeps the bars from being current; null where nothing does. */
  fault: string | null;
  keepMine: () => Promise<void>;
  takeTheirs: (theirs: Sauce | null) => void;
}

/** What stands in the way of storing, each with its way out. */
export function BenchBanners({ saving, fault, keepMine, takeTheirs }: Props) {
  return (
    <>
      {saving.state === 'conflict' && (
        <Box role="alert" sx={banner}>
          <Typography sx={{ flex: 1, minWidth: 240 }}>{saving.message}</Typography>
          <Button variant="contained" onClick={() => void keepMine()}>
            {say.keepMineAsACopy}
          </Button>
          <Button
            variant="outlined"
            onClick={() => {
              takeTheirs(saving.theirs);
            }}
          >
            {saving.theirs === null ? say.leaveMine : say.takeTheirs}
          </Button>
        </Box>
      )}
      {saving.state === 'troubled' && (
        <Box role="alert" sx={banner} data-troubled>
          <Typography>{saving.message}</Typography>
        </Box>
      )}
      {saving.state === 'refused' && (
        <Box role="alert" sx={banner}>
          <Typography>{say.whatYouTypedStaysHere(saving.message)}</Typography>
        </Box>
      )}
      {fault !== null && saving.state !== 'conflict' && (
        <Box role="alert" sx={banner}>
          <Typography>{say.theBarsShowTheLast(fault)}</Typography>
        </Box>
      )}
    </>
  );
}

const banner = {
  display: 'flex',
  flexWrap: 'wrap',
  gap: 1.5,
  alignItems: 'center',
  border: '3px solid',
  borderColor: 'bar.preview',
  p: 1.5,
  mt: 1.5,
} as const;
