import { Box, Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useParams } from 'react-router';
import { api, type Batch } from '../../api/client';
import { batchesQuery, kitchenQuery } from '../../api/queries';
import { grams, moment, typedNumber } from '../../ui/words';
import { SaucePage } from '../sauce/SaucePage';
import { LastTime } from './LastTime';
import { Taste } from './Taste';
import { TextInput } from '../../ui/TextInput';
import { halves } from '../../ui/looks';
import { say } from './sentences';

/** At the pan: first how much is in it, then what the tongue says. */
export function TastePage() {
  const sauce = Number(useParams().id);
  const [batch, setBatch] = useState<Batch | null>(null);
  const kitchen = useQuery(kitchenQuery);
  return (
    <SaucePage sauce={sauce} at="taste" name={say.taste}>
      {batch === null || kitchen.data === undefined ? (
        <Box sx={halves}>
          <Begin sauce={sauce} onBatch={setBatch} />
          <LastTime sauce={sauce} />
        </Box>
      ) : (
        <Box sx={{ maxWidth: 620, mx: 'auto', pt: 1 }}>
          <Taste batch={batch} complaints={kitchen.data.complaints.filter((one) => one.is_taste)} onBatch={setBatch} />
        </Box>
      )}
    </SaucePage>
  );
}

/** What is in the pan: an open batch goes on, or one is begun with its weight. */
function Begin({ sauce, onBatch }: { sauce: number; onBatch: (batch: Batch) => void }) {
  const batches = useQuery(batchesQuery(sauce));
  const [weight, setWeight] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const typed = typedNumber(weight);
  const isTyped = weight.trim() !== '';
  const open = batches.data?.batches.find((one) => one.closed_at === null);
  const then = async (ask: Promise<Batch>) => {
    try {
      setFault(null);
      onBatch(await ask);
    } catch (reason) {
      setFault(reason instanceof Error ? reason.message : say.thatDidNotWork);
    }
  };
  const begin = () => {
    if (isTyped && !(typed > 0)) {
      setFault(say.theWeightIsANumber);
      return;
    }
    void then(api.startBatch(sauce, isTyped ? typed : null));
  };
  return (
    <Box
      component="form"
      onSubmit={(event: { preventDefault: () => void }) => {
        event.preventDefault();
        begin();
      }}
    >
      {open !== undefined && (
        <Box sx={{ borderTop: '3px solid', borderColor: 'bar.rule', py: 1.5, my: 1 }}>
          <Typography sx={{ mb: 1 }}>
            {say.aPanFromIsStill(
              moment(open.started_at),
              open.pan_grams === null ? '' : `, ${grams(open.pan_grams)}`,
              open.dose_count,
            )}
          </Typography>
          <Button variant="contained" fullWidth size="large" onClick={() => void then(api.batch(open.id))}>
            {say.goOnWithIt}
          </Button>
        </Box>
      )}
      <Typography variant="h2" component="h2" sx={{ mt: 2 }}>
        {say.howMuchIsInThe}
      </Typography>
      <Box component="label" sx={{ display: 'flex', alignItems: 'center', gap: 1, my: 1 }}>
        <TextInput
          inputMode="decimal"
          aria-label={say.gramsInThePan}
          placeholder={say.weighed}
          value={weight}
          onText={setWeight}
          sx={{ flex: 1, minWidth: 0, minHeight: 56, fontSize: '1.3rem' }}
        />
        <span>{say.g}</span>
      </Box>
      <Typography sx={{ color: 'text.secondary', mb: 1.5 }}>{say.weighPanAndSauceLess}</Typography>
      <Button type="submit" variant={open === undefined ? 'contained' : 'outlined'} fullWidth size="large">
        {isTyped ? say.tasteSoMuch(typed > 0 ? grams(typed) : 'it') : say.tasteTheFormulasAmount}
      </Button>
      {fault !== null && (
        <Typography role="alert" sx={{ mt: 1 }}>
          {fault}
        </Typography>
      )}
    </Box>
  );
}
