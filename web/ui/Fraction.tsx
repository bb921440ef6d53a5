import { fixed, upTo } from '../base/locale';
import { Box } from '@mui/material';
import { displayFont } from './theme/index';
import { say } from './sentences';

interface Props {
  ratio: number | null;
  above: string;
  below: string;
}

const short = (value: number): string => (value >= 9.95 ? fixed(value, 0) : upTo(Number(value.toPrecision(2)), 3));

/** A ratio set as a real fraction: what is more stands against one of what is less. */
export function Fraction({ ratio, above, below }: Props) {
  const [top, bottom] =
    ratio === null || ratio <= 0 ? ['–', '–'] : ratio >= 1 ? [short(ratio), '1'] : ['1', short(1 / ratio)];
  const spoken = ratio === null ? say.toNotThere(above, below) : say.toTo(above, below, top, bottom);
  return (
    <Box
      role="img"
      aria-label={spoken}
      sx={{ display: 'inline-grid', gridTemplateColumns: 'auto auto', columnGap: 1, alignItems: 'center' }}
    >
      <Box component="span" sx={{ ...number, borderBottom: '3px solid', borderColor: 'bar.rule' }}>
        {top}
      </Box>
      <Box component="span" sx={{ ...label, alignSelf: 'end' }}>
        {above}
      </Box>
      <Box component="span" sx={number}>
        {bottom}
      </Box>
      <Box component="span" sx={{ ...label, alignSelf: 'start' }}>
        {below}
      </Box>
    </Box>
  );
}

const number = {
  fontFamily: displayFont,
  fontWeight: 600,
  fontSize: '1.3rem',
  lineHeight: 1.15,
  textAlign: 'center',
  minWidth: 40,
  px: 0.5,
} as const;
const label = { fontSize: '0.8rem', color: 'text.secondary' } as const;
