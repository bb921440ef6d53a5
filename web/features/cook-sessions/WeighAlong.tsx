import { fixed } from '../../base/locale';
import { Box, Button, Typography } from '@mui/material';
import { useEffect, useRef, useState } from 'react';
import { api, type InstrumentReading } from '../../api/client';
import { big, inGrams } from './looks';
import { useScale } from './useScale';
import { TextInput } from '../../ui/TextInput';
import { typedNumber } from '../../ui/words';
import { displayFont } from '../../ui/theme/index';
import { say } from './sentences';

interface Props {
  /** What the scale is to come to; null where anything goes. */
  target: number | null;
  /** Within so many grams it is on the line. */
  tolerance?: number;
  hasScale: boolean;
  isStandIn: boolean;
  /** Whether what is on the scale counts as nothing when this begins. */
  tares: boolean;
  /** What the stand-in would put on when it plays along. */
  pours: number;
  accept: string;
  /** Whether it may be taken as planned where nothing was weighed; what only a weight can tell may not. */
  mayBePlanned?: boolean;
  onGrams: (grams: number, isPlanned: boolean) => void;
}

const lineAt = 75;
/** Less than this a scale shows with nothing on it. */
const noise = 2;

const still = (left: number, tolerance: number): string => {
  if (Math.abs(left) <= tolerance) return say.onTheLine;
  return left > 0 ? say.toGo(inGrams(left)) : say.over(inGrams(-left));
};

/** Live weight against a line; by hand where there is no scale, or it has fallen silent. */
export function WeighAlong({
  target,
  tolerance = 0,
  hasScale,
  isStandIn,
  tares,
  pours,
  accept,
  mayBePlanned = false,
  onGrams,
}: Props) {
  const reading = useScale(hasScale);
  const [typed, setTyped] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const [waits, setWaits] = useState(false);
  const isTaken = useRef(false);
  const [isTared, setIsTared] = useState(!hasScale || !tares);
  useEffect(() => {
    if (!hasScale || !tares) return;
    void api
      .tare()
      .catch(() => undefined)
      .finally(() => {
        setIsTared(true);
      });
  }, [hasScale, tares]);
  const live = reading?.value ?? null;
  // a reading counts once something was put on, and once it has settled
  const moved = isTared && live !== null && Math.abs(live) >= noise;
  const settled = moved && reading?.settled === true;
  useEffect(() => {
    if (!waits || !settled || live < 0) return;
    if (isTaken.current) return;
    isTaken.current = true;
    onGrams(live, false);
  }, [waits, settled, live, onGrams]);
  const take = () => {
    const number = typedNumber(typed);
    if (typed.trim() !== '') {
      if (!(number >= 0)) setFault(say.aWeightIsANumber);
      else onGrams(number, false);
    } else if (moved) {
      if (live < 0) setFault(reading?.says ?? say.theScaleReadsBelowZero);
      else if (settled) onGrams(live, false);
      else setWaits(true);
    } else if (target !== null && mayBePlanned) {
      onGrams(target, true);
    } else {
      setFault(hasScale ? say.putItOnTheScale : say.typeWhatTheScaleShows);
    }
  };
  const isAsPlanned = typed.trim() === '' && !moved && target !== null && mayBePlanned;
  return (
    <Box>
      {live !== null && <Live reading={reading} target={target} tolerance={tolerance} />}
      {reading?.says !== undefined && reading.says !== null && (
        <Typography role="status" data-scale-says sx={{ my: 1 }}>
          {reading.says}
        </Typography>
      )}
      <Button variant="contained" fullWidth sx={{ ...big, mt: 1.5 }} data-accept onClick={take}>
        {isAsPlanned ? say.asPlanned(accept) : accept}
      </Button>
      {waits && (
        <Typography role="status" data-waits sx={{ mt: 1 }}>
          {say.waitingForASteadyReading}
        </Typography>
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center', mt: 1.5 }}>
        <Box component="label" sx={{ display: 'flex', alignItems: 'center', gap: 0.75 }}>
          {say.byHand}
          <TextInput
            inputMode="decimal"
            aria-label={say.gramsByHand}
            value={typed}
            onText={(text) => {
              setTyped(text);
              setFault(null);
            }}
            onKeyDown={(event: { key: string }) => {
              if (event.key === 'Enter') take();
            }}
            sx={{ width: 100, minHeight: 48, fontSize: '1.1rem' }}
          />
          {say.g}
        </Box>
        {hasScale && <Button onClick={() => void api.tare().catch(() => undefined)}>{say.tare}</Button>}
      </Box>
      {isStandIn && isTared && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1, alignItems: 'center' }}>
          <Typography component="span" sx={{ color: 'text.secondary', fontSize: '0.9rem' }}>
            {say.standInScale}
          </Typography>
          <Button data-pour="line" onClick={() => void pour(pours, !tares)}>
            {say.putOn(inGrams(pours))}
          </Button>
          <Button data-pour="over" onClick={() => void pour(1.25 * pours, !tares)}>
            {say.aQuarterTooMuch}
          </Button>
        </Box>
      )}
      {fault !== null && (
        <Typography role="alert" sx={{ mt: 1 }}>
          {fault}
        </Typography>
      )}
    </Box>
  );
}

/** What is weighed as it stands goes onto an empty scale; what is weighed in goes on top. */
async function pour(amount: number, isOntoEmpty: boolean) {
  try {
    if (isOntoEmpty) {
      await api.standIn({ do: 'clear' });
      await new Promise((done) => setTimeout(done, 1_500));
      await api.tare();
    }
    await api.standIn({ do: 'pour', grams: amount, seconds: 1.5 });
  } catch {
    // a stand-in that is gone pours nothing, and the page says that the scale is silent
  }
}

function Live({
  reading,
  target,
  tolerance,
}: {
  reading: InstrumentReading | null;
  target: number | null;
  tolerance: number;
}) {
  const live = reading?.value ?? 0;
  const left = target === null ? null : target - live;
  const share = target === null || target <= 0 ? 0 : Math.max(0, Math.min(100, (lineAt * live) / target));
  return (
    <Box>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2, flexWrap: 'wrap' }}>
        <Typography
          component="span"
          data-live={live}
          data-settled={reading?.settled}
          sx={{ fontFamily: displayFont, fontSize: 'clamp(2.6rem, 12vw, 5rem)', fontWeight: 700, lineHeight: 1.1 }}
        >
          {say.gramsOnTheScale(fixed(live, 0))}
        </Typography>
        {target !== null && left !== null && (
          <Typography component="span" sx={{ fontSize: '1.6rem', fontWeight: 600 }}>
            {still(left, tolerance)}
          </Typography>
        )}
      </Box>
      {target !== null && target > 0 && (
        <Box aria-hidden sx={{ position: 'relative', height: 34, bgcolor: 'bar.track', mt: 0.5 }}>
          <Box sx={{ position: 'absolute', inset: 0, right: 'auto', width: `${share}%`, bgcolor: 'bar.windowEdge' }} />
          <Box
            sx={{
              position: 'absolute',
              left: `${lineAt}%`,
              top: -6,
              bottom: -6,
              borderLeft: '4px solid',
              borderColor: 'bar.value',
            }}
          />
        </Box>
      )}
    </Box>
  );
}
