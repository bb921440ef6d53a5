import { fixed } from '../../base/locale';
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
import { SaucePage } from '../sauce/SaucePage';
import { Diary } from './Diary';
import { OverTime } from './OverTime';
import { tasted } from './tasted';
import { halves } from '../../ui/looks';
import { say } from './sentences';

type Batch = SauceLog['batches'][number];

/** Every batch of a sauce as a diary, and over time: where it stood, what changed, what was learned. */
export function LogPage() {
  const sauce = Number(useParams().id);
  const [axis, setAxis] = useState<AxisKey>('sour');
  const log = useQuery(logQuery(sauce));
  const batches = log.data?.batches ?? [];
  return (
    <SaucePage sauce={sauce} at="log" name={say.log}>
      {log.error !== null && <Typography role="alert">{log.error.message}</Typography>}
      {log.data !== undefined && batches.length === 0 && (
        <Box sx={{ mt: 2, maxWidth: '60ch' }}>
          <Typography sx={{ mb: 1.5 }}>{say.noBatchYetCookIt}</Typography>
          <Button component={Link} to={`/sauce/${sauce}/cook`} variant="contained">
            {say.cookIt}
          </Button>{' '}
          <Button component={Link} to={`/sauce/${sauce}/taste`} variant="outlined">
            {say.tasteAPanOfIt}
          </Button>
        </Box>
      )}
      {batches.length > 0 && (
        <Box sx={halves}>
          <Box>
            <Typography variant="h2" sx={{ mt: 1.5 }}>
              {say.diary}
            </Typography>
            <Diary batches={batches} />
            {log.data?.answers != null && (
              <Typography data-answers sx={{ mt: 1.5 }}>
                {log.data.answers}
              </Typography>
            )}
          </Box>
          <Box>
            <Box component="section" aria-label={say.overTimeHeading}>
              <Typography variant="h2" sx={{ mt: 1.5, mb: 1 }}>
                {say.overTimeHeading}
              </Typography>
              <Choice
                label={say.axis}
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
    <Box component="section" aria-label={say.measuredAndEstimated} sx={{ mt: 2.5 }}>
      <Typography variant="h2">{say.measuredAndEstimated}</Typography>
      <PlainTable label={say.measuredAndEstimatedAsA}>
        <thead>
          <tr>
            <th scope="col">{say.batchColumn}</th>
            <th scope="col">{say.phMeasured}</th>
            <th scope="col">{say.estimated}</th>
            <th scope="col">{say.dissolvedMeasured}</th>
            <th scope="col">{say.estimated}</th>
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
          <strong>{say.itRepeats}</strong>
          {say.inBatchesCameOutThe(
            one.batches,
            one.figure,
            fixed(Math.abs(one.gap), one.figure === 'ph' ? 2 : 1),
            one.gap,
            one.name.toLowerCase(),
          )}
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
    <Box component="section" aria-label={say.twoBatches} data-between sx={{ mt: 2.5 }}>
      <Typography variant="h2">{say.whatChangedBetweenTwo}</Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center', my: 1 }}>
        {say.from}
        {pick(say.fromBatch, before, setBefore)}
        {say.to}
        {pick(say.toBatch, after, setAfter)}
      </Box>
      {answer !== undefined && (
        <>
          <Typography data-changed>
            {answer.changes.length === 0 ? say.nothingThatChangesTheTaste : `${answer.changes.join(', ')}.`}
          </Typography>
          <Typography sx={{ color: 'text.secondary' }}>
            {moves(answer.steps) === '' ? say.noAxisMoved : say.inSteps(moves(answer.steps))}
          </Typography>
          {answer.brands.map((brand) => (
            <Typography key={brand} data-brand>
              {brand}.
            </Typography>
          ))}
          <Typography>{say.tastedBefore(tasted({ tastings: answer.tasted.before }))}</Typography>
          <Typography>{say.tastedAfter(tasted({ tastings: answer.tasted.after }))}</Typography>
        </>
      )}
    </Box>
  );
}
