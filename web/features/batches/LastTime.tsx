import { Box, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { logQuery, palateQuery, sauceQuery } from '../../api/queries';
import { AxisBars } from '../../ui/AxisBars';
import { day, grams } from '../../ui/words';
import { tasted } from './tasted';
import { say } from './sentences';

/** What is known before the spoon goes in: the last batch, what was said of it, and what tastings taught of its family. */
export function LastTime({ sauce }: { sauce: number }) {
  const log = useQuery(logQuery(sauce));
  const found = useQuery(sauceQuery(sauce));
  const palate = useQuery(palateQuery);
  const last = log.data?.batches.at(-1);
  const learned = palate.data?.families.find((one) => one.style === found.data?.style)?.says;
  return (
    <Box component="section" aria-label={say.lastTime}>
      {last === undefined ? (
        found.data !== undefined && (
          <>
            <Typography variant="h2" sx={{ mt: 2, mb: 0.5 }}>
              {say.asItIsWritten}
            </Typography>
            <AxisBars axes={found.data.standing.axes} preview={null} styleName={found.data.style} />
          </>
        )
      ) : (
        <>
          <Typography variant="h2" sx={{ mt: 2 }}>
            {say.lastTimeOn(last.at === null ? '' : day(last.at))}
          </Typography>
          <Typography sx={{ my: 0.5 }}>
            {tasted(last) === '' ? say.notTasted : `“${tasted(last)}”`}{' '}
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {say.batch(grams(last.grams))}
              <Box component={Link} to={`/batch/${last.id}`} sx={{ color: 'inherit' }}>
                {last.code}
              </Box>
            </Box>
          </Typography>
          <AxisBars axes={last.axes} preview={null} styleName={found.data?.style ?? null} />
        </>
      )}
      {learned != null && (
        <Typography sx={{ mt: 1 }}>
          <strong>{say.learned}</strong> {learned}
        </Typography>
      )}
    </Box>
  );
}
