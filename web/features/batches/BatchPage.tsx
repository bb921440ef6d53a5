import { Box, Button, Typography, OutlinedInput } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useParams } from 'react-router';
import { api, type BatchRecord, type CookEvent, Refusal } from '../../api/client';
import { batchQuery, recordQuery } from '../../api/queries';
import { useChange } from '../../api/useChange';
import { AxisBars } from '../../ui/AxisBars';
import { Frame } from '../../ui/Frame';
import { PlainTable } from '../../ui/PlainTable';
import { LostPage } from '../../ui/LostPage';
import { millilitres, typedNumber } from '../../ui/words';
import { KeepFacts } from '../../ui/KeepFacts';
import { SplitUses } from './SplitUses';
import { TextInput } from '../../ui/TextInput';
import { SaucePage } from '../sauce/SaucePage';
import { locale } from '../../base/locale';
import { BatchFacts } from './BatchFacts';
import { say } from './sentences';

/** One batch: what went in, how it keeps, where its jars went. Corrections are added, nothing is edited away. */
export function BatchPage() {
  const id = Number(useParams().id);
  const change = useChange<BatchRecord>(`record ${id}`, (found, queries) => {
    queries.setQueryData(recordQuery(id).queryKey, found);
    return queries.invalidateQueries(batchQuery(id));
  });
  const batch = useQuery(batchQuery(id));
  const record = useQuery(recordQuery(id));
  if (batch.error instanceof Refusal && batch.error.status === 404) return <LostPage />;
  const write = (entry: CookEvent) => change.make(() => api.writeRecord(id, entry));
  const [one, kept] = [batch.data, record.data];
  if (one === undefined || kept === undefined) {
    return (
      <Frame>
        <Typography role="status" sx={{ mt: 4 }}>
          {batch.error?.message ?? record.error?.message ?? say.opening}
        </Typography>
      </Frame>
    );
  }
  return (
    <SaucePage sauce={one.sauce} at="log" name={say.batchCoded(kept.code)}>
      <BatchFacts batch={one} kept={kept} />
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) minmax(0, 1fr)' },
          columnGap: 4,
        }}
      >
        <Box>
          {change.fault !== null && (
            <Typography role="alert" sx={{ border: '3px solid', borderColor: 'bar.preview', p: 1, mb: 1 }}>
              {change.fault}
            </Typography>
          )}
          <AxisBars axes={one.balance.axes} preview={null} styleName={one.style} />
          <Jars
            kept={kept}
            onFill={(jars) => change.make(() => api.fillJars(id, jars))}
            onEdit={(jar, edit) => change.make(() => api.editJar(jar, edit))}
          />
          <Typography variant="h2" sx={{ mt: 2.5 }}>
            {say.theRecord}
          </Typography>
          <AddEntry onWrite={write} />
          <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0 }}>
            {kept.events.map((event) => (
              <Box
                component="li"
                key={event.id}
                data-entry={event.kind}
                sx={{ display: 'flex', gap: 1, borderBottom: '1px solid', borderColor: 'divider', py: 0.5 }}
              >
                <Box component="span" sx={{ color: 'text.secondary', minWidth: 110 }}>
                  {new Date(event.at * 1000).toLocaleString(locale(), {
                    day: 'numeric',
                    month: 'short',
                    hour: '2-digit',
                    minute: '2-digit',
                  })}
                </Box>
                <Box
                  component="span"
                  sx={{
                    flex: 1,
                    textDecoration: kept.events.some(
                      (later) => later.kind === 'undone' && later.figures['event'] === event.id,
                    )
                      ? 'line-through'
                      : 'none',
                  }}
                >
                  {event.says}
                </Box>
                {['note', 'ph', 'solids'].includes(event.kind) && (
                  <Button
                    aria-label={say.takeBackWhat(event.says)}
                    sx={{ minHeight: 32 }}
                    onClick={() => void write({ kind: 'undone', figures: { event: event.id } })}
                  >
                    {say.takeBack}
                  </Button>
                )}
              </Box>
            ))}
          </Box>
        </Box>
        <Box>
          <Typography variant="h2">{say.howItKeeps}</Typography>
          <KeepFacts keep={kept.keep} />
          <SplitUses batch={id} />
        </Box>
      </Box>
    </SaucePage>
  );
}

function AddEntry({ onWrite }: { onWrite: (entry: CookEvent) => Promise<boolean> }) {
  const [note, setNote] = useState('');
  const [ph, setPh] = useState('');
  const [solids, setSolids] = useState('');
  const number = (text: string) => typedNumber(text);
  const add = async () => {
    if (note.trim() !== '' && (await onWrite({ kind: 'note', words: note.trim() }))) setNote('');
    if (ph.trim() !== '' && (await onWrite({ kind: 'ph', figures: { ph: number(ph) } }))) setPh('');
    if (solids.trim() !== '' && (await onWrite({ kind: 'solids', figures: { percent: number(solids) } })))
      setSolids('');
  };
  const field = (label: string, value: string, onChange: (value: string) => void, width: number | string) => (
    <label>
      <Box component="span" sx={{ display: 'block', fontSize: '0.8rem', color: 'text.secondary' }}>
        {label}
      </Box>
      <TextInput value={value} maxLength={500} onText={onChange} sx={{ width }} />
    </label>
  );
  return (
    <Box
      component="form"
      onSubmit={(event: { preventDefault: () => void }) => {
        event.preventDefault();
        void add();
      }}
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'end', my: 1 }}
    >
      {field(say.aNote, note, setNote, 220)}
      {field(say.phMeasured, ph, setPh, 90)}
      {field(say.dissolved, solids, setSolids, 90)}
      <Button type="submit" variant="outlined">
        {say.addToTheRecord}
      </Button>
    </Box>
  );
}

interface JarsProps {
  kept: BatchRecord;
  onFill: (jars: { ml: number; count: number; went_to: string | null }) => Promise<boolean>;
  onEdit: (jar: number, edit: { went_to?: string | null; finished?: boolean }) => Promise<boolean>;
}

function Jars({ kept, onFill, onEdit }: JarsProps) {
  const [ml, setMl] = useState('250');
  const [count, setCount] = useState('');
  const [where, setWhere] = useState('');
  const input = (label: string, value: string, onChange: (value: string) => void, width: number) => (
    <TextInput aria-label={label} placeholder={label} value={value} maxLength={200} onText={onChange} sx={{ width }} />
  );
  return (
    <Box component="section" aria-label={say.jars}>
      <Typography variant="h2" sx={{ mt: 2 }}>
        {say.jars}
      </Typography>
      <Box
        component="form"
        onSubmit={(event: { preventDefault: () => void }) => {
          event.preventDefault();
          void onFill({
            ml: typedNumber(ml),
            count: Number(count),
            went_to: where.trim() === '' ? null : where,
          }).then((isDone) => {
            if (isDone) setCount('');
          });
        }}
        sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center', my: 1 }}
      >
        {input(say.howMany, count, setCount, 100)}
        {say.ofIt}
        {input('ml', ml, setMl, 80)}
        {say.mlTo}
        {input(say.whereTo, where, setWhere, 150)}
        <Button type="submit" variant="outlined">
          {say.filled}
        </Button>
      </Box>
      {kept.jars.length > 0 && (
        <PlainTable label={say.theJars}>
          <thead>
            <tr>
              <th scope="col">{say.code}</th>
              <th scope="col">{say.holds}</th>
              <th scope="col">{say.where}</th>
              <th scope="col">{say.finished}</th>
            </tr>
          </thead>
          <tbody>
            {kept.jars.map((jar) => (
              <tr key={jar.id} data-jar={jar.code}>
                <th scope="row">{jar.code}</th>
                <td>{millilitres(jar.ml)}</td>
                <td>
                  <OutlinedInput
                    defaultValue={jar.went_to ?? ''}
                    onBlur={(event) => {
                      if (event.target.value !== (jar.went_to ?? ''))
                        void onEdit(jar.id, { went_to: event.target.value });
                    }}
                    slotProps={{ input: { 'aria-label': say.whereWent(jar.code), maxLength: 200 } }}
                    sx={{ width: 150 }}
                  />
                </td>
                <td>
                  <Button
                    aria-pressed={jar.finished_at !== null}
                    aria-label={say.finishedOn(
                      jar.finished_at === null
                        ? say.notFinished
                        : new Date(jar.finished_at).toLocaleDateString(locale()),
                      jar.code,
                    )}
                    sx={{ minHeight: 32 }}
                    onClick={() => void onEdit(jar.id, { finished: jar.finished_at === null })}
                  >
                    {jar.finished_at === null
                      ? say.notFinished
                      : new Date(jar.finished_at).toLocaleDateString(locale())}
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </PlainTable>
      )}
    </Box>
  );
}
