import { fixed } from '../../base/locale';
import { Box, Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, type AxisKey, type Trainer } from '../../api/client';
import { kitchenQuery, trainerQuery } from '../../api/queries';
import { useChange } from '../../api/useChange';
import { Frame } from '../../ui/Frame';
import { axisNames } from '../../ui/words';
import { Fold } from '../../ui/Fold';
import { Glasses, letters } from './Glasses';
import { ToldApart } from './ToldApart';
import { say } from './sentences';

const draw = (): boolean => (crypto.getRandomValues(new Uint8Array(1))[0] ?? 0) < 128;

/** Two glasses at a time, one of them stronger, until it is known how fine the tongue is. */
export function TrainerPage() {
  const trainer = useQuery(trainerQuery);
  const change = useChange<Trainer>('trainer', (found, queries) => {
    queries.setQueryData(trainerQuery.queryKey, found);
    return queries.invalidateQueries(kitchenQuery);
  });
  const [axis, setAxis] = useState<AxisKey>('salt');
  const [isLeft, setIsLeft] = useState(draw);
  const [said, setSaid] = useState<string | null>(null);
  useEffect(() => {
    document.title = say.trainTheTongueVinculum;
  }, []);
  const one = trainer.data?.axes.find((row) => row.axis === axis);
  const answer = async (left: boolean) => {
    if (one === undefined) return;
    const right = left === isLeft;
    setSaid(right ? say.right : say.theOtherOneWasStronger);
    await change.make(() => api.guess({ axis, level: one.next, right }));
    setIsLeft(draw());
  };
  const whole = (one?.glasses[0]?.stock_grams ?? 0) + (one?.glasses[0]?.water_grams ?? 0);
  const strong = one?.glasses.findIndex((glass) => glass.steps === one.next) ?? 0;
  const [leftGlass, rightGlass] = isLeft ? [letters[strong], letters[0]] : [letters[0], letters[strong]];
  return (
    <Frame>
      <Typography variant="h1" sx={{ pt: 2, mb: 1 }}>
        {say.trainTheTongue}
      </Typography>
      <Box sx={halves}>
        {trainer.data !== undefined && (
          <ToldApart
            axes={trainer.data.axes}
            axis={axis}
            onAxis={(key) => {
              setAxis(key);
              setSaid(null);
              setIsLeft(draw());
            }}
          />
        )}
        {trainer.error !== null && <Typography role="alert">{trainer.error.message}</Typography>}
        {one !== undefined && (
          <Box component="section" aria-label={axisNames[axis]}>
            <Typography variant="h2">{say.fiveGlasses(axisNames[axis])}</Typography>
            <Typography sx={{ my: 0.5 }}>
              {say.makeTheStockGOf(
                one.stock.solute_grams,
                one.stock.name.toLowerCase(),
                one.stock.water_grams,
                one.stock.how,
                fixed(whole, 0),
              )}
            </Typography>
            <Glasses glasses={one.glasses} />
            <Typography variant="h2" sx={{ mt: 2 }}>
              {say.whichIsStronger}
            </Typography>
            <Fold says={say.forWhoeverPoursOutOf} sx={{ my: 1 }}>
              <Typography data-order>
                {say.leftGlass}
                {leftGlass}
                {say.rightGlass}
                {rightGlass}
                {say.alonePourBothIntoLike}
                {leftGlass}.
              </Typography>
            </Fold>
            <Box sx={{ display: 'flex', gap: 1.5 }}>
              <Button variant="outlined" data-guess="left" sx={big} onClick={() => void answer(true)}>
                {say.theLeft}
              </Button>
              <Button variant="outlined" data-guess="right" sx={big} onClick={() => void answer(false)}>
                {say.theRight}
              </Button>
            </Box>
            <Typography role="status" data-said sx={{ minHeight: '1.6em', mt: 1 }}>
              {change.fault ?? said}
            </Typography>
            <Typography data-own sx={{ fontSize: '1.1rem' }}>
              {one.own_step === null
                ? say.soFarAfterSomeMore(one.trials)
                : say.youTellStepsApartOn(
                    fixed(one.own_step, 1),
                    axisNames[axis].toLowerCase(),
                    one.trials,
                    one.verdict,
                  )}
            </Typography>
            {one.trials > 0 && (
              <Button sx={{ textDecoration: 'underline' }} onClick={() => void change.make(() => api.forgetAxis(axis))}>
                {say.forgetTheseAnswers}
              </Button>
            )}
          </Box>
        )}
      </Box>
    </Frame>
  );
}

const big = { minHeight: 64, minWidth: 140, fontSize: '1.2rem' } as const;
const halves = {
  display: 'grid',
  gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 2fr) minmax(0, 3fr)' },
  columnGap: 5,
  rowGap: 2,
  alignItems: 'start',
} as const;
