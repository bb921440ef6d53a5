import { Box, type SxProps, type Theme } from '@mui/material';
import type { Balance } from '../api/client';
import { say } from './sentences';

const signs = { stop: say.stop, warn: say.mind, info: say.note } as const;

interface Props {
  caution: Balance['cautions'][number];
  sx?: SxProps<Theme>;
}

/** One warning with where it comes from; how grave it is stands in a word, not in a colour. */
export function CautionLine({ caution, sx }: Props) {
  return (
    <Box component="p" data-caution={caution.severity} sx={[{ my: 0.5 }, sx as object]}>
      <strong>{signs[caution.severity]}:</strong> {caution.text}{' '}
      <Box component="span" sx={{ color: 'text.secondary' }}>
        ({caution.source})
      </Box>
    </Box>
  );
}
