import { fixed } from '../../ui/locale';
import { Box, Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import type { AxisKey, SauceLog } from '../../api/client';
import { betweenQuery, logQuery } from '../../api/queries';
import { Choice } from '../../ui/Choice';
import { PlainTable } from '../../ui/PlainTable';
import { axisKeys, axisNames, moves } from '../../ui/words';
import { Pick } from '../../ui/Pick';
import { SaucePage } from '../recipes/SaucePage';
import { Diary } from './Diary';
import { OverTime } from './OverTime';
import { tasted } from './tasted';
import { halves } from '../../ui/looks';

type Batch = SauceLog['batches'][number];

/** Every batch of a sauce as a diary, and over time: where it stood, what changed, what was learned. */
export function LogPage() {
  const sauce = Number(useParams().id);
  const [axis, setAxis] = useState<AxisKey>('sour');
  const log = useQuery(logQuery(sauce));
  const batches = log.data?.batches ?? [];
  return (
    <SaucePage sauce={sauce} at="log" name="Log">
      {log.error !== null && <Typography role="alert">{log.error.message}</Typography>}
      {log.data !== undefined && batches.length === 0 && (
        <Box sx={{ mt: 2, maxWidth: '60ch' }}>
          <Typography sx={{ mb: 1.5 }}>
            No batch yet. Cook it, or taste a pan of it, and it is remembered here: its colour and its balance then,
            what went in, its jars, and what the tongue said.
          </Typography>
          <Button component={Link} to={`/sauce/${sauce}/cook`} variant="contained">
            Cook it
          </Button>{' '}
          <Button component={Link} to={`/sauce/${sauce}/taste`} variant="outlined">
            Taste a pan of it
          </Button>
        </Box>
      )}
      {batches.length > 0 && (
        <Box sx={halves}>
          <Box>
            <Typography variant="h2" sx={{ mt: 1.5 }}>
              Diary
            </Typography>
            <Diary batches={batches} />
          </Box>
          <Box>
            <Box component="section" aria-label="Over time">
              <Typography variant="h2" sx={{ mt: 1.5, mb: 1 }}>
                Over time
              </Typography>
              <Choice
                label="Axis"
                options={axisKeys.map((key) => [key, axisNames[key]] as const)}
                value={axis}
                onChoose={setAxis}
              />
              <OverTime batches={batches} axis={axis} />
            </Box>
            {batches.length > 1 && <TwoBatches batches={batches} />}
            <Measured batches={batches} learned={log.data?.learned ?? []} />
          </Box>
        </Box>
      )}
    </SaucePage>
  );
}

/** Estimates beside what was measured, and what that teaches when it repeats. */
function Measured({ batches, learned }: { batches: readonly Batch[]; learned: SauceLog['learned'] }) {
  const measured = batches.filter((one) => one.measured.ph !== null || one.measured.solids !== null);
  if (measured.length === 0) return null;
  return (
    <Box component="section" aria-label="Measured and estimated" sx={{ mt: 2.5 }}>
      <Typography variant="h2">Measured and estimated</Typography>
      <PlainTable label="Measured and estimated, as a table">
        <thead>
          <tr>
            <th scope="col">Batch</th>
            <th scope="col">pH measured</th>
            <th scope="col">estimated</th>
            <th scope="col">Dissolved, measured</th>
            <th scope="col">estimated</th>
          </tr>
        </thead>
        <tbody>
          {measured.map(({ id, code, measured: { ph, solids } }) => (
            <tr key={id}>
              <th scope="row">{code}</th>
              <td>{ph === null ? '' : fixed(ph.value, 2)}</td>
              <td>
                {ph?.estimate == null
                  ? ''
                  : `${fixed(ph.estimate, 2)} (${fixed(ph.low ?? 0, 1)}–${fixed(ph.high ?? 0, 1)})`}
              </td>
              <td>{solids === null ? '' : `${fixed(solids.value, 1)} %`}</td>
              <td>{solids === null ? '' : `${fixed(solids.estimate, 1)} %`}</td>
            </tr>
          ))}
        </tbody>
      </PlainTable>
      {learned.map((one) => (
        <Typography key={one.ingredient + one.figure} data-learned sx={{ mt: 1 }}>
          <strong>It repeats:</strong> in {one.batches} batches{' '}
          {one.figure === 'ph' ? 'the pH' : 'the dissolved solids'} came out{' '}
          {fixed(Math.abs(one.gap), one.figure === 'ph' ? 2 : 1)}
          {one.figure === 'ph' ? '' : ' points'} {one.gap > 0 ? 'above' : 'below'} the estimate, and most of the doubt
          is {one.name.toLowerCase()}: yours differs from the table. Enter it in the pantry as your own, and the
          estimate follows.
        </Typography>
      ))}
    </Box>
  );
}

/** Two batches side by side: what changed between them, and how the taste changed with it. */
function TwoBatches({ batches }: { batches: readonly Batch[] }) {
  const [before, setBefore] = useState(batches.at(-2)?.id ?? 0);
  const [after, setAfter] = useState(batches.at(-1)?.id ?? 0);
  const found = useQuery(betweenQuery(before, after));
  const pick = (label: string, value: number, onPick: (id: number) => void) => (
    <Pick
      aria-label={label}
      value={value}
      onPick={(picked) => {
        onPick(Number(picked));
      }}
    >
      {batches.map((one) => (
        <option key={one.id} value={one.id}>
          {one.code}
        </option>
      ))}
    </Pick>
  );
  const answer = found.data;
  return (
    <Box component="section" aria-label="Two batches" data-between sx={{ mt: 2.5 }}>
      <Typography variant="h2">What changed between two</Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center', my: 1 }}>
        from {pick('From batch', before, setBefore)} to {pick('To batch', after, setAfter)}
      </Box>
      {answer !== undefined && (
        <>
          <Typography data-changed>
            {answer.changes.length === 0 ? 'Nothing that changes the taste.' : `${answer.changes.join(', ')}.`}
          </Typography>
          <Typography sx={{ color: 'text.secondary' }}>
            {moves(answer.steps) === '' ? 'No axis moved.' : `In steps: ${moves(answer.steps)}.`}
          </Typography>
          {answer.brands.map((brand) => (
            <Typography key={brand} data-brand>
              {brand}.
            </Typography>
          ))}
          <Typography>Tasted before: {tasted({ tastings: answer.tasted.before }) || 'not tasted'}</Typography>
          <Typography>Tasted after: {tasted({ tastings: answer.tasted.after }) || 'not tasted'}</Typography>
        </>
      )}
    </Box>
  );
}
