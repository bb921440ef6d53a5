import { fixed } from '../../base/locale';
import { Box, Button, Typography } from '@mui/material';
import { useEffect, useState } from 'react';
import { api, type Cook, type CookEvent } from '../../api/client';
import { big, huge, quiet } from './looks';
import { TextInput } from '../../ui/TextInput';
import { typedNumber } from '../../ui/words';
import { say } from './sentences';

const probeEvery = 60_000;

/** The heat goes off, and the watch over the way down begins. */
export function CoolingMove({
  cook,
  hasProbe,
  isStandIn,
  onEvent,
  onDone,
}: {
  cook: Cook;
  hasProbe: boolean;
  isStandIn: boolean;
  onEvent: (event: CookEvent) => void;
  onDone: () => void;
}) {
  const [typed, setTyped] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const isOff = cook.heat_off !== null;
  const read = async () => {
    if (isStandIn && cook.heat_off !== null) {
      // a pan that cools as pans do, for trying it out
      const minutes = Math.max(0, Date.now() / 1000 - cook.heat_off) / 60;
      await api
        .standIn({ do: 'dip', ph: 3.8, percent: 20, celsius: 19 + 71 * Math.exp(-minutes / 30) })
        .catch(() => undefined);
      await new Promise((done) => setTimeout(done, 4_000));
    }
    const found = await api.read('probe').catch(() => null);
    if (found?.value != null) {
      onEvent({ kind: 'temperature', figures: { celsius: found.value } });
      setFault(null);
    } else {
      setFault(found?.says ?? say.theProbeDoesNotAnswer);
    }
  };
  const isCooling = isOff && cook.cooling?.stage !== 'done' && cook.cooling?.stage !== 'too-slow';
  useEffect(() => {
    if (!isCooling || !hasProbe) return undefined;
    const timer = setInterval(() => void read(), probeEvery);
    return () => {
      clearInterval(timer);
    };
    // reading needs nothing that changes
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [isCooling, hasProbe]);
  if (!isOff) {
    return (
      <Box>
        <Typography sx={huge}>{say.takeItOffTheHeat}</Typography>
        <Typography sx={{ ...quiet, my: 1.5 }}>{cook.cooling_rule}</Typography>
        <Button
          variant="contained"
          fullWidth
          sx={big}
          data-heat-off
          onClick={() => {
            onEvent({ kind: 'heat-off' });
          }}
        >
          {say.itIsOffTheHeat}
        </Button>
      </Box>
    );
  }
  const degrees = typedNumber(typed);
  return (
    <Box>
      <Typography sx={huge} data-cooling={cook.cooling?.stage}>
        {cook.cooling?.celsius == null ? say.cooling : `${fixed(cook.cooling.celsius, 1)} °C`}
      </Typography>
      <Typography
        role={cook.cooling?.stage === 'too-slow' ? 'alert' : 'status'}
        sx={{ fontSize: '1.25rem', my: 1.5, fontWeight: cook.cooling?.stage === 'too-slow' ? 700 : 400 }}
      >
        {cook.cooling?.stage === 'too-slow' && say.stop}
        {cook.cooling?.says}
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center', my: 1 }}>
        {hasProbe && (
          <Button variant="outlined" sx={big} data-read-probe onClick={() => void read()}>
            {say.readTheProbe}
          </Button>
        )}
        <Box component="label" sx={{ display: 'flex', alignItems: 'center', gap: 0.75 }}>
          {say.byHand}
          <TextInput
            inputMode="decimal"
            aria-label={say.degreesByHand}
            value={typed}
            onText={setTyped}
            onKeyDown={(event: { key: string }) => {
              if (event.key !== 'Enter' || typed.trim() === '') return;
              if (Number.isNaN(degrees)) {
                setFault(say.aTemperatureIsANumber);
              } else {
                onEvent({ kind: 'temperature', figures: { celsius: degrees } });
                setTyped('');
              }
            }}
            sx={{ width: 90, minHeight: 56, fontSize: '1.25rem' }}
          />
          {say.cThenEnter}
        </Box>
      </Box>
      {fault !== null && <Typography role="alert">{fault}</Typography>}
      <Button variant="contained" fullWidth sx={{ ...big, mt: 1 }} onClick={onDone}>
        {say.goOnWhileItCools}
      </Button>
    </Box>
  );
}
