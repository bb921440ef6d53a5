import { fixed, upTo } from '../../ui/locale';
import { Box, Button, Typography } from '@mui/material';
import { useMemo, useState } from 'react';
import { api, type Axes, type CookStart, type Formula, type ScaleRequest } from '../../api/client';
import { Choice } from '../../ui/Choice';
import { grams, millilitres, moves, spoken } from '../../ui/words';
import { useLatest } from '../../api/useLatest';
import { usePreview } from './usePreview';
import { TextInput } from '../../ui/TextInput';
import { Check } from '../../ui/Check';
import { plainTable } from '../../ui/looks';

type How = 'to' | 'factor' | 'serves' | 'have';

interface Props {
  formula: Formula;
  /** The share that is reckoned to stay in the pan. */
  usualLoss: number;
  onPan: (pan: string | null) => void;
  /** Takes this size to the stove. */
  onCook: (start: CookStart) => Promise<void>;
  onPreview: (axes: Axes | null) => void;
  onApply: (texts: readonly string[], said: string, finished: string | null) => void;
}

const hows: readonly (readonly [How, string])[] = [
  ['to', 'Into jars'],
  ['factor', 'Times'],
  ['serves', 'For guests'],
  ['have', 'From what there is'],
];

const asked: Record<How, { label: string; usual: string }> = {
  to: { label: 'Jars and bottles, or a volume', usual: '6 x 250 ml' },
  factor: { label: 'How many times', usual: '2' },
  serves: { label: 'How many people', usual: '12' },
  have: { label: 'What there is', usual: 'plums 340 g' },
};

const percent = (error: number | null): string =>
  error === null || Math.abs(error) < 0.5 ? '' : `${error > 0 ? '+' : '−'}${fixed(Math.abs(error), 0)} %`;

/** The recipe at another size, beside what it is now: every line in what can be measured. */
export function ScalePanel({ formula, usualLoss, onPan, onCook, onPreview, onApply }: Props) {
  const [how, setHow] = useState<How>('to');
  const [values, setValues] = useState<Record<How, string>>({ to: '', factor: '', serves: '', have: '' });
  const [portion, setPortion] = useState('30 ml');
  const [fault, setFault] = useState<string | null>(null);
  const [loss, setLoss] = useState(false);
  const [holdBack, setHoldBack] = useState(false);
  const value = values[how].trim();
  const size = useMemo<CookStart | null>(
    () =>
      value === ''
        ? null
        : {
            [how]: value,
            ...(how === 'serves' ? { portion } : {}),
            loss: loss && how === 'to' ? usualLoss : 0,
            hold_back: holdBack,
          },
    [how, value, portion, loss, holdBack, usualLoss],
  );
  const wish = useMemo<ScaleRequest | null>(() => (size === null ? null : { ...formula, ...size }), [formula, size]);
  const found = useLatest(wish, api.scale);
  const sheet = wish !== null && found.fault === null ? found.answer : null;
  const after = sheet?.axes_after ?? null;
  usePreview(after, onPreview);

  return (
    <Box>
      <Choice label="How much" options={hows} value={how} onChoose={setHow} />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'end', my: 0.5 }}>
        <label>
          <Box component="span" sx={caption}>
            {asked[how].label}
          </Box>
          <TextInput
            data-scale={how}
            value={values[how]}
            placeholder={asked[how].usual}
            maxLength={200}
            onText={(text) => {
              setValues({ ...values, [how]: text });
            }}
            sx={{ width: 220 }}
          />
        </label>
        {how === 'serves' && (
          <label>
            <Box component="span" sx={caption}>
              A portion
            </Box>
            <TextInput value={portion} onText={setPortion} sx={{ width: 100 }} />
          </label>
        )}
        <label>
          <Box component="span" sx={caption}>
            Pan, if it is cooked
          </Box>
          <TextInput
            value={formula.pan ?? ''}
            placeholder="24 cm"
            maxLength={100}
            onText={(text) => {
              onPan(text === '' ? null : text);
            }}
            sx={{ width: 110 }}
          />
        </label>
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2 }}>
        <Check checked={holdBack} onCheck={setHoldBack}>
          Hold strong things back to three quarters
        </Check>
        {how === 'to' && (
          <Check checked={loss} onCheck={setLoss}>
            Allow 3 % for pan and spoon
          </Check>
        )}
      </Box>
      {wish === null && (
        <Typography sx={{ py: 1, color: 'text.secondary' }}>
          Say how much you want, and the whole sheet shows here, rounded to your spoons and scale so that the taste
          stays.
        </Typography>
      )}
      {wish !== null && found.fault !== null && <Typography role="alert">{found.fault}</Typography>}
      {sheet !== null && (
        <>
          <Typography data-factor sx={{ fontWeight: 700, mt: 0.5 }}>
            {upTo(sheet.factor, 2)} times: {grams(sheet.batch.grams)} go in, {millilitres(sheet.finished.millilitres)}{' '}
            come out
          </Typography>
          {sheet.fill.map((one) => (
            <Typography key={one.container_ml} data-fill>
              {one.count} × {millilitres(one.container_ml)}: {millilitres(one.filled_ml)} in each
              {one.left_over_ml >= 1 && `, ${millilitres(one.left_over_ml)} left over`}
            </Typography>
          ))}
          {sheet.cook !== null && (
            <Typography data-cook>
              Boil off {grams(sheet.cook.evaporate_grams)}, about {fixed(sheet.cook.minutes.value, 0)} minutes (
              {fixed(sheet.cook.minutes.low, 0)}–{fixed(sheet.cook.minutes.high, 0)}), until the sauce weighs{' '}
              {grams(sheet.cook.pan_reads_grams)}.
            </Typography>
          )}
          {sheet.notes.map((note) => (
            <Typography key={note} sx={{ fontSize: '0.9rem', color: 'text.secondary' }}>
              {note}
            </Typography>
          ))}
          <Typography sx={{ fontSize: '0.9rem', color: 'text.secondary' }}>
            {moves(sheet.change_steps, 0.05) === ''
              ? 'The rounding moves no axis that one could taste.'
              : `In steps, the rounding moves ${moves(sheet.change_steps, 0.05)}.`}
          </Typography>
          <Box component="table" sx={{ ...plainTable, width: '100%' }}>
            <thead>
              <tr>
                <th scope="col">Measure</th>
                <th scope="col">Of</th>
                <th scope="col">Rounded by</th>
              </tr>
            </thead>
            <tbody>
              {sheet.lines
                .filter((line) => line.grams !== null || line.note !== null)
                .map((line, index) => (
                  <tr key={index} data-scaled>
                    <td>
                      <strong>
                        {line.measure === null ? (line.grams === null ? '–' : grams(line.grams)) : spoken(line.measure)}
                      </strong>
                    </td>
                    <td>
                      {line.text}
                      {line.note !== null && (
                        <Box component="span" sx={{ ...caption, maxWidth: '44ch' }}>
                          {line.note}
                        </Box>
                      )}
                    </td>
                    <td>{percent(line.error_percent)}</td>
                  </tr>
                ))}
            </tbody>
          </Box>
          <Button
            variant="contained"
            data-make-it
            sx={{ mt: 1 }}
            onClick={() => {
              onApply(
                sheet.lines.map((line) => line.scaled_text),
                'The recipe has that size now.',
                sheet.yield,
              );
            }}
          >
            Make the recipe this size
          </Button>
          <Button
            variant="outlined"
            data-cook-it
            sx={{ mt: 1, ml: 1 }}
            onClick={() => {
              if (size !== null) {
                onCook(size).catch((reason: unknown) => {
                  setFault(reason instanceof Error ? reason.message : 'That did not work.');
                });
              }
            }}
          >
            Cook this size now
          </Button>
          {fault !== null && <Typography role="alert">{fault}</Typography>}
        </>
      )}
    </Box>
  );
}

const caption = { display: 'block', fontSize: '0.8rem', color: 'text.secondary' } as const;
