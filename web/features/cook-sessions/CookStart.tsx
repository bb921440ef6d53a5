import { Box, Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api } from '../../api/client';
import { batchesQuery, kitchenQuery } from '../../api/queries';
import { moment } from '../../ui/words';
import { sized } from '../sauce/formulaOf';
import { SaucePage } from '../sauce/SaucePage';
import { big } from './looks';
import { WhatItTakes } from './WhatItTakes';
import { KitchenHabits } from '../../ui/KitchenHabits';
import { TextInput } from '../../ui/TextInput';
import { halves } from '../../ui/looks';
import { say } from './sentences';

/** Before the stove is lit: how much of it, or a cook that is still going. */
export function CookStart() {
  const sauce = Number(useParams().id);
  const navigate = useNavigate();
  const [size, setSize] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const batches = useQuery(batchesQuery(sauce));
  const kitchen = useQuery(kitchenQuery);
  const open = batches.data?.batches.filter((one) => one.is_cooking) ?? [];
  const begin = async () => {
    try {
      const cook = await api.cookBatch(sauce, sized(size));
      await navigate(`/cook/${cook.id}`);
    } catch (reason) {
      setFault(reason instanceof Error ? reason.message : say.thatDidNotWork);
    }
  };
  return (
    <SaucePage sauce={sauce} at="cook" name={say.cook}>
      <Box sx={halves}>
        <Box>
          {open.map((one) => (
            <Box key={one.id} sx={{ borderTop: '3px solid', borderColor: 'bar.rule', py: 1.5, my: 1 }}>
              <Typography sx={{ mb: 1 }}>{say.begunAndNotFinished(moment(one.started_at))}</Typography>
              <Button component={Link} to={`/cook/${one.id}`} variant="contained" fullWidth sx={big}>
                {say.goOnWithIt}
              </Button>
            </Box>
          ))}
          <Box
            component="form"
            onSubmit={(event: { preventDefault: () => void }) => {
              event.preventDefault();
              void begin();
            }}
          >
            <Typography variant="h2" component="h2" sx={{ mt: 2 }}>
              {say.howMuchOfIt}
            </Typography>
            <TextInput
              aria-label={say.howMuchOfItField}
              value={size}
              placeholder={say.sizeExample}
              maxLength={200}
              onText={(text) => {
                setSize(text);
                setFault(null);
              }}
              sx={{ width: '100%', minHeight: 56, fontSize: '1.2rem', my: 1 }}
            />
            <Typography sx={{ color: 'text.secondary', mb: 1.5 }}>{say.leftEmptyItIsCooked}</Typography>
            <KitchenHabits />
            <Button type="submit" variant={open.length === 0 ? 'contained' : 'outlined'} fullWidth sx={big}>
              {say.startCooking}
            </Button>
            <Button component={Link} to={`/sauce/${sauce}/card`} sx={{ mt: 1, px: 0.5 }}>
              {say.orOnPaper}
            </Button>
            {fault !== null && (
              <Typography role="alert" sx={{ mt: 1 }}>
                {fault}
              </Typography>
            )}
          </Box>
        </Box>
        <WhatItTakes key={String(kitchen.data?.has_scale)} sauce={sauce} size={size} />
      </Box>
    </SaucePage>
  );
}
