import { fixed } from '../../base/locale';
import { Box, Button, Typography } from '@mui/material';
import { useState } from 'react';
import { api, type Cook, type CookEvent, type InstrumentReading, type Instruments } from '../../api/client';
import { big, huge, quiet } from './looks';
import { TextInput } from '../../ui/TextInput';
import { typedNumber } from '../../ui/words';
import { say } from './sentences';

interface Props {
  cook: Cook;
  instruments: Instruments;
  onEvent: (event: CookEvent) => void;
  onDone: () => void;
}

/** What the instruments read of the finished sauce: it takes the place of what was estimated. */
export function ReadingsMove({ cook, instruments, onEvent, onDone }: Props) {
  const [ph, setPh] = useState('');
  const [solids, setSolids] = useState('');
  const [says, setSays] = useState<string | null>(null);
  const estimate = cook.balance.ph;
  const ask = async (reading: Promise<InstrumentReading>, take: (value: string) => void) => {
    try {
      const found = await reading;
      setSays(found.says);
      if (found.value !== null) take(String(found.value));
    } catch (reason) {
      setSays(reason instanceof Error ? reason.message : say.thatDidNotWork);
    }
  };
  /** The stand-in is dipped into something before it is read. */
  const dip = (into: { ph: number; percent: number; celsius: number }) =>
    instruments.stand_in ? api.standIn({ do: 'dip', ...into }).then(() => undefined) : Promise.resolve(undefined);
  const sauce = {
    ph: (estimate?.estimate ?? 3.9) + 0.08,
    percent: Math.max(0, cook.balance.batch.dissolved_solids_percent - 1.2),
    celsius: 22,
  };
  const buffer = (value: number) =>
    ask(
      dip({ ph: value, percent: 0, celsius: 22 }).then(() => api.buffer(value)),
      () => undefined,
    );
  const number = (text: string) => typedNumber(text);
  const save = () => {
    if (ph.trim() !== '') onEvent({ kind: 'ph', figures: { ph: number(ph) } });
    if (solids.trim() !== '') onEvent({ kind: 'solids', figures: { percent: number(solids) } });
    onDone();
  };
  const dissolved = fixed(cook.balance.batch.dissolved_solids_percent, 0);
  const hasMeter = instruments.there.includes('ph-meter');
  const hasGlass = instruments.there.includes('refractometer');
  return (
    <Box>
      <Typography sx={huge}>{say.measureItIfYouCan}</Typography>
      <Typography sx={{ ...quiet, my: 1 }}>
        {estimate === null
          ? say.phIsNotKnown(dissolved)
          : say.theEstimateIsPhTo(
              fixed(estimate.estimate, 1),
              fixed(estimate.low, 1),
              fixed(estimate.high, 1),
              dissolved,
            )}
      </Typography>
      <Box sx={row}>
        <Field label={say.ph} value={ph} onChange={setPh} />
        {hasMeter && (
          <Button
            variant="outlined"
            sx={big}
            data-read-ph
            onClick={() =>
              void ask(
                dip(sauce).then(() => api.read('ph-meter')),
                setPh,
              )
            }
          >
            {say.readTheMeter}
          </Button>
        )}
        {hasMeter && (
          <>
            <Button data-buffer="4.01" onClick={() => void buffer(4.01)}>
              {say.itStandsInBufferFour}
            </Button>
            <Button data-buffer="7" onClick={() => void buffer(7)}>
              {say.inBufferSeven}
            </Button>
          </>
        )}
      </Box>
      <Box sx={row}>
        <Field label={say.dissolvedSolids} value={solids} onChange={setSolids} />
        {hasGlass && (
          <Button
            variant="outlined"
            sx={big}
            data-read-solids
            onClick={() =>
              void ask(
                dip(sauce).then(() => api.read('refractometer')),
                setSolids,
              )
            }
          >
            {say.readTheRefractometer}
          </Button>
        )}
      </Box>
      {says !== null && (
        <Typography role="status" data-says sx={{ my: 1 }}>
          {says}
        </Typography>
      )}
      <Button variant="contained" fullWidth sx={{ ...big, mt: 1 }} data-done onClick={save}>
        {ph.trim() === '' && solids.trim() === '' ? say.nothingToMeasureWithGo : say.keepTheseAndGoOn}
      </Button>
    </Box>
  );
}

function Field({ label, value, onChange }: { label: string; value: string; onChange: (value: string) => void }) {
  return (
    <Box component="label" sx={{ display: 'flex', alignItems: 'center', gap: 0.75 }}>
      {label}
      <TextInput
        inputMode="decimal"
        value={value}
        onText={onChange}
        sx={{ width: 90, minHeight: 56, fontSize: '1.25rem' }}
      />
    </Box>
  );
}

const row = { display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center', my: 1.5 } as const;
