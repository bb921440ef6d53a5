import { Box, Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Link } from 'react-router';
import { api, type Palate } from '../../api/client';
import { palateQuery } from '../../api/queries';
import { useChange } from '../../api/useChange';
import { Frame } from '../../ui/Frame';
import { axisKeys } from '../../ui/words';
import { LikingBar } from './LikingBar';
import { say } from './sentences';

/** What the tastings have taught: how far this cook's own target lies from each family's, and how sure that is. */
export function PalatePage() {
  const palate = useQuery(palateQuery);
  const change = useChange<Palate>('palate', (found, queries) => {
    queries.setQueryData(palateQuery.queryKey, found);
    return undefined;
  });
  useEffect(() => {
    document.title = say.palateVinculum;
  }, []);
  const data = palate.data;
  return (
    <Frame>
      <Box sx={{ maxWidth: 860, pt: 2 }}>
        <Typography variant="h1">{say.yourPalate}</Typography>
        <Typography sx={{ my: 1.5, maxWidth: '64ch' }}>{say.eachTastingYouKeepSays}</Typography>
        <Typography sx={{ mb: 1.5 }}>
          <Box component={Link} to="/trainer" sx={{ color: 'text.primary', fontWeight: 600 }}>
            {say.trainTheTongue}
          </Box>
          {say.withGlassesMixedFromYour}
        </Typography>
        {palate.error !== null && <Typography role="alert">{palate.error.message}</Typography>}
        {change.fault !== null && <Typography role="alert">{change.fault}</Typography>}
        {data !== undefined && (
          <Button
            variant="outlined"
            role="switch"
            aria-checked={data.on}
            onClick={() => void change.make(() => api.switchPalate(!data.on))}
          >
            {data.on ? say.inUseSwitchItOff : say.switchedOffUseItAgain}
          </Button>
        )}
        {data?.families.length === 0 && <Typography sx={{ mt: 2 }}>{say.nothingIsLearnedYetOpen}</Typography>}
        {data?.families.map((family) => (
          <Box
            component="section"
            key={family.style}
            aria-label={family.name}
            data-family={family.style}
            sx={{ mt: 2.5 }}
          >
            <Box
              sx={{
                display: 'flex',
                flexWrap: 'wrap',
                alignItems: 'baseline',
                columnGap: 2,
                borderBottom: '3px solid',
                borderColor: 'bar.rule',
              }}
            >
              <Typography variant="h2" component="h2" sx={{ flex: 1 }}>
                {family.name}
              </Typography>
              <Button onClick={() => void change.make(() => api.resetPalate(family.style))}>{say.forgetThis}</Button>
            </Box>
            <Typography data-learned sx={{ my: 0.75 }}>
              {family.says ??
                (family.tastings === 0 ? say.forgottenItIsTheFamilys : say.asTheFamilyHasIt(family.tastings))}
            </Typography>
            {family.answers !== null && (
              <Typography data-answers sx={{ my: 0.75 }}>
                {family.answers}
              </Typography>
            )}
            <Box>
              {axisKeys.map((axis) => {
                const liking = family.axes[axis];
                return liking === undefined ? null : <LikingBar key={axis} axis={axis} liking={liking} />;
              })}
            </Box>
          </Box>
        ))}
      </Box>
    </Frame>
  );
}
