import { Box, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, useParams } from 'react-router';
import { later } from '../../ui/later';
import { type AxisKey, Refusal, type SauceLog } from '../../api/client';
import { betweenQuery, logQuery, sauceQuery } from '../../api/queries';
import { Choice } from '../../ui/Choice';
import { Frame } from '../../ui/Frame';
import { PlainTable } from '../../ui/PlainTable';
import { LostPage } from '../../ui/LostPage';
import { axisKeys, axisNames, figure, grams, moment, moves } from '../../ui/words';
import { Pick } from '../../ui/Pick';

const OverTime = later(async () => (await import('./OverTime')).OverTime);

type Batch = SauceLog['batches'][number];

const scoreWords = (scores: Batch['tastings'][number]['scores']): string =>
  Object.entries(scores)
    .filter(([, score]) => score !== 0)
    .map(([axis, score]) => `${axis} ${score > 0 ? '+' : '−'}${Math.abs(score)}`)
    .join(', ');

const tasted = (batch: Pick<Batch, 'tastings'>): string =>
  batch.tastings
    .map(
      (one) =>
        [one.words ?? '', scoreWords(one.scores), one.food === null ? '' : `with ${one.food}`]
          .filter((part) => part !== '')
          .join('; ') || 'good',
    )
    .join(' · ');

/** Every batch of a sauce over time: where it stood, what changed, what was learned. */
export function LogPage() {
  const sauce = Number(useParams().id);
  const [axis, setAxis] = useState<AxisKey>('sour');
  const found = useQuery(sauceQuery(sauce));
  const log = useQuery(logQuery(sauce));
  useEffect(() => {
    document.title = `Log: ${found.data?.title ?? ''} · Vinculum`;
  }, [found.data?.title]);
  if (found.error instanceof Refusal && found.error.status === 404) return <LostPage />;
  const batches = log.data?.batches ?? [];
  return (
    <Frame>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2, mt: 2 }}>
        <Typography variant="h1" sx={{ minWidth: 0 }} noWrap>
          {found.data?.title ?? 'Opening …'}
        </Typography>
        <Box component={Link} to={`/sauce/${sauce}`} sx={{ color: 'text.primary' }}>
          Bench
        </Box>
      </Box>
      {log.error !== null && <Typography role="alert">{log.error.message}</Typography>}
      {log.data !== undefined && batches.length === 0 && (
        <Typography sx={{ mt: 2 }}>
          No batch yet. Cook it, or taste a pan of it, and it is remembered here with its balance, its jars and what the
          tongue said.
        </Typography>
      )}
      {batches.length > 0 && (
        <>
          <Box component="section" aria-label="Over time" sx={{ mt: 1 }}>
            <Choice
              label="Axis"
              options={axisKeys.map((key) => [key, axisNames[key]] as const)}
              value={axis}
              onChoose={setAxis}
            />
            <OverTime batches={batches} axis={axis} />
          </Box>
          <PlainTable label="All batches">
            <thead>
              <tr>
                <th scope="col">Batch</th>
                <th scope="col">Made</th>
                <th scope="col">Weight</th>
                {axisKeys.map((key) => (
                  <th scope="col" key={key}>
                    {axisNames[key]}
                  </th>
                ))}
                <th scope="col">pH</th>
                <th scope="col">How it tasted</th>
              </tr>
            </thead>
            <tbody>
              {batches.map((batch) => (
                <tr key={batch.id} data-batch-row={batch.id}>
                  <th scope="row">
                    <Box component={Link} to={`/batch/${batch.id}`} sx={{ color: 'text.primary' }}>
                      {batch.code}
                    </Box>
                  </th>
                  <td>{moment(batch.at)}</td>
                  <td>{grams(batch.grams)}</td>
                  {axisKeys.map((key) => (
                    <td key={key} title={batch.axes[key].verdict}>
                      {figure(batch.axes[key].value)}
                    </td>
                  ))}
                  <td>{batch.measured.ph === null ? '' : batch.measured.ph.value.toFixed(2)}</td>
                  <td>{tasted(batch)}</td>
                </tr>
              ))}
            </tbody>
          </PlainTable>
          <Measured batches={batches} learned={log.data?.learned ?? []} />
          {batches.length > 1 && <TwoBatches batches={batches} />}
        </>
      )}
    </Frame>
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
              <td>{ph === null ? '' : ph.value.toFixed(2)}</td>
              <td>
                {ph?.estimate == null
                  ? ''
                  : `${ph.estimate.toFixed(2)} (${(ph.low ?? 0).toFixed(1)}–${(ph.high ?? 0).toFixed(1)})`}
              </td>
              <td>{solids === null ? '' : `${solids.value.toFixed(1)} %`}</td>
              <td>{solids === null ? '' : `${solids.estimate.toFixed(1)} %`}</td>
            </tr>
          ))}
        </tbody>
      </PlainTable>
      {learned.map((one) => (
        <Typography key={one.ingredient + one.figure} data-learned sx={{ mt: 1 }}>
          <strong>It repeats:</strong> in {one.batches} batches{' '}
          {one.figure === 'ph' ? 'the pH' : 'the dissolved solids'} came out{' '}
          {Math.abs(one.gap).toFixed(one.figure === 'ph' ? 2 : 1)}
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
