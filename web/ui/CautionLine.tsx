import { Box, ButtonBase, type SxProps, type Theme } from '@mui/material';
import { useState } from 'react';
import type { Balance } from '../api/client';
import { say } from './sentences';

const signs = { stop: say.stop, warn: say.mind, info: say.note } as const;

interface Props {
  caution: Balance['cautions'][number];
  sx?: SxProps<Theme>;
}

/** One warning, and a tap away where it comes from; how grave it is stands in a word, not in a colour. */
export function CautionLine({ caution, sx }: Props) {
  const [showsSource, setShowsSource] = useState(false);
  return (
    <Box component="p" data-caution={caution.severity} sx={[{ my: 0.5 }, sx as object]}>
      <strong>{signs[caution.severity]}:</strong> {caution.text}{' '}
      {showsSource ? (
        <Box component="span" sx={{ color: 'text.secondary' }}>
          ({caution.source})
        </Box>
      ) : (
        <ButtonBase
          onClick={() => {
            setShowsSource(true);
          }}
          sx={more}
        >
          {say.whoSaysSo}
        </ButtonBase>
      )}
    </Box>
  );
}

const more = {
  font: 'inherit',
  color: 'text.secondary',
  textDecoration: 'underline',
  textUnderlineOffset: '3px',
  verticalAlign: 'baseline',
  '@media (pointer: coarse)': { minHeight: 44, px: 1 },
} as const;
