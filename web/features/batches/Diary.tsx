import { fixed } from '../../base/locale';
import { Box, Typography } from '@mui/material';
import { Link } from 'react-router';
import type { SauceLog } from '../../api/client';
import { BarMark } from '../../ui/BarMark';
import { ColourDrop } from '../../ui/ColourDrop';
import { day, grams, spoken, whatIsOff } from '../../ui/words';
import { tasted } from './tasted';
import { say } from './sentences';

type Batch = SauceLog['batches'][number];

/** Every batch as a page of a notebook, the newest first. */
export function Diary({ batches }: { batches: readonly Batch[] }) {
  return (
    <Box component="ol" aria-label={say.allBatches} sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {[...batches].reverse().map((batch) => (
        <Box component="li" key={batch.id} data-batch-row={batch.id} sx={page}>
          <Box>
            <ColourDrop colour={batch.colour} size={40} />
          </Box>
          <Box sx={{ minWidth: 0 }}>
            <Typography variant="h3" component="h3">
              <Box component={Link} to={`/batch/${batch.id}`} sx={{ color: 'inherit', textUnderlineOffset: '4px' }}>
                {batch.at === null ? batch.code : day(batch.at)}
              </Box>{' '}
              <Box component="span" sx={aside}>
                {say.batchOf(
                  batch.code,
                  grams(batch.grams),
                  batch.measured.ph !== null ? say.ph(fixed(batch.measured.ph.value, 2)) : '',
                )}
              </Box>
            </Typography>
            <Typography sx={{ my: 0.25 }}>{tasted(batch) === '' ? say.notTasted : `“${tasted(batch)}”`}</Typography>
            {batch.added.length > 0 && (
              <Typography sx={{ fontSize: '0.92rem' }}>
                {say.addedToTaste(batch.added.map(spoken).join(', '))}
              </Typography>
            )}
            {whatIsOff(batch.axes) !== '' && <Typography sx={aside}>{whatIsOff(batch.axes)}</Typography>}
          </Box>
          <Box aria-hidden sx={{ display: { xs: 'none', sm: 'block' } }}>
            <BarMark axes={batch.axes} />
          </Box>
        </Box>
      ))}
    </Box>
  );
}

const page = {
  display: 'grid',
  gridTemplateColumns: { xs: '40px minmax(0, 1fr)', sm: '40px minmax(0, 1fr) 120px' },
  columnGap: 2,
  alignItems: 'start',
  py: 1.25,
  borderBottom: '1px solid',
  borderColor: 'divider',
} as const;
const aside = {
  fontSize: '0.88rem',
  fontFamily: 'body2.fontFamily',
  fontWeight: 400,
  color: 'text.secondary',
} as const;
