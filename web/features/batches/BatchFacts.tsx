import { Box, Button, Typography } from '@mui/material';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Batch, BatchRecord } from '../../api/client';
import { ColourDrop } from '../../ui/ColourDrop';
import { date, money } from '../../base/locale';
import { grams, millilitres } from '../../ui/words';
import { say } from './sentences';

/** What one asks of a batch first: how much there is, until when it is good, what it cost, where the jars are. */
export function BatchFacts({ batch, kept }: { batch: Batch; kept: BatchRecord }) {
  const open = kept.jars.filter((jar) => jar.finished_at === null);
  const places = [...new Set(open.map((jar) => jar.went_to).filter((place) => place !== null && place !== ''))];
  const { planned_grams: planned, is_as_planned: isAsPlanned, grams: came, millilitres: volume } = kept.yield;
  return (
    <Box component="section" aria-label={say.thisBatch} sx={{ pt: 2 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 2, rowGap: 1 }}>
        <ColourDrop colour={batch.balance.colour} size={40} />
        <Box sx={{ flex: 1, minWidth: 200 }}>
          <Typography variant="h2">{say.made(date(kept.made_on))}</Typography>
          <Typography sx={small}>{say.batchVersion(kept.code, batch.version)}</Typography>
        </Box>
        {batch.is_cooking && (
          <Button component={Link} to={`/cook/${batch.id}`} variant="contained">
            {say.goOnCooking}
          </Button>
        )}
        <Button component={Link} to={`/batch/${batch.id}/label`} variant="outlined">
          {say.printLabels}
        </Button>
        <Button component={Link} to={`/sauce/${batch.sauce}/log`}>
          {say.allBatches}
        </Button>
      </Box>
      <Box component="dl" sx={facts}>
        <Fact name={say.finishedAmount} value={millilitres(volume)} mark="yield">
          {grams(came)}
          {!isAsPlanned && say.planned(grams(planned))}
        </Fact>
        <Fact name={say.useBy} value={date(kept.use_by)} mark="use-by">
          {say.countedFromTheDayIt}
        </Fact>
        <Fact name={say.jars} value={kept.jars.length === 0 ? say.noneYet : say.ofLeft(open.length, kept.jars.length)}>
          {places.join(', ')}
        </Fact>
        <Fact name={say.cost} value={kept.cost.total > 0 ? money(kept.cost.total) : say.notKnown} mark="cost">
          {kept.cost.unpriced.length > 0 && say.noPriceFor(kept.cost.unpriced.join(', ').toLowerCase())}
        </Fact>
      </Box>
    </Box>
  );
}

interface FactProps {
  name: string;
  value: string;
  mark?: string;
  children?: ReactNode;
}

function Fact({ name, value, mark, children }: FactProps) {
  return (
    <Box data-fact={mark}>
      <Box component="dt" sx={small}>
        {name}
      </Box>
      <Box component="dd" sx={{ m: 0 }}>
        <Box sx={{ fontFamily: 'h2.fontFamily', fontSize: '1.45rem', fontWeight: 600, lineHeight: 1.25 }}>{value}</Box>
        <Box sx={small}>{children}</Box>
      </Box>
    </Box>
  );
}

const small = { fontSize: '0.88rem', color: 'text.secondary' } as const;
const facts = {
  display: 'grid',
  gridTemplateColumns: { xs: '1fr 1fr', md: 'repeat(4, minmax(0, 1fr))' },
  columnGap: 3,
  rowGap: 1.5,
  my: 2,
  py: 1.5,
  borderTop: '1px solid',
  borderBottom: '1px solid',
  borderColor: 'divider',
} as const;
