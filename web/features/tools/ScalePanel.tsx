import { fixed, upTo } from '../../base/locale';
import { Box, Button, Typography } from '@mui/material';
import { useMemo, useState } from 'react';
import { api, type Axes, type CookStart, type Formula, type ScaleRequest } from '../../api/client';
import { Choice } from '../../ui/Choice';
import { grams, millilitres, moves, spoken } from '../../ui/words';
import { useLatest } from '../../api/useLatest';
import type { DraftLine } from '../sauce/draft';
import { usePreview } from './usePreview';
import { TextInput } from '../../ui/TextInput';
import { Check } from '../../ui/Check';
import { plainTable } from '../../ui/looks';
import { say } from './sentences';

type How = 'to' | 'factor' | 'serves' | 'have';

interface Props {
  formula: Formula;
  /** The share that is reckoned to stay in the pan. */
  usualLoss: number;
  onPan: (pan: string | null) => void;
  /** Takes this size to the stove. */
  onCook: (start: CookStart) => Promise<void>;
  onPreview: (axes: Axes | null) => void;
  onApply: (lines: readonly DraftLine[], said: string, finished: string | null) => void;
}

const hows: readonly (readonly [How, string])[] = [
  ['to', say.intoJars],
  ['factor', say.times],
  ['serves', say.forGuests],
  ['have', say.fromWhatThereIs],
];

const asked: Record<How, { label: string; usual: string }> = {
  to: { label: say.jarsAndBottlesOrA, usual: say.sizeExample },
  factor: { label: say.howManyTimes, usual: '2' },
  serves: { label: say.howManyPeople, usual: '12' },
  have: { label: say.whatThereIs, usual: say.plums340G },
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
      <Choice label={say.howMuch} options={hows} value={how} onChoose={setHow} />
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
              {say.aPortion}
            </Box>
            <TextInput value={portion} onText={setPortion} sx={{ width: 100 }} />
          </label>
        )}
        <label>
          <Box component="span" sx={caption}>
            {say.panIfItIsCooked}
          </Box>
          <TextInput
            value={formula.pan ?? ''}
            placeholder={say.panExample}
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
          {say.addStrongAtThreeQuarters}
        </Check>
        {how === 'to' && (
          <Check checked={loss} onCheck={setLoss}>
            {say.allow3ForPanAnd}
          </Check>
        )}
      </Box>
      {wish === null && <Typography sx={{ py: 1, color: 'text.secondary' }}>{say.sayHowMuchYouWant}</Typography>}
      {wish !== null && found.fault !== null && <Typography role="alert">{found.fault}</Typography>}
      {sheet !== null && (
        <>
          <Typography data-factor sx={{ fontWeight: 700, mt: 0.5 }}>
            {say.timesGoInComeOut(
              upTo(sheet.factor, 2),
              grams(sheet.batch.grams),
              millilitres(sheet.finished.millilitres),
            )}
          </Typography>
          {sheet.fill.map((one) => (
            <Typography key={one.container_ml} data-fill>
              {say.inEach(
                one.count,
                millilitres(one.container_ml),
                millilitres(one.filled_ml),
                one.left_over_ml >= 1 ? say.leftOver(millilitres(one.left_over_ml)) : '',
              )}
            </Typography>
          ))}
          {sheet.cook !== null && (
            <Typography data-cook>
              {say.boilOffAboutMinutesUntil(
                grams(sheet.cook.evaporate_grams),
                fixed(sheet.cook.minutes.value, 0),
                fixed(sheet.cook.minutes.low, 0),
                fixed(sheet.cook.minutes.high, 0),
                grams(sheet.cook.pan_reads_grams),
              )}
            </Typography>
          )}
          {sheet.notes.map((note) => (
            <Typography key={note} sx={{ fontSize: '0.9rem', color: 'text.secondary' }}>
              {note}
            </Typography>
          ))}
          <Typography sx={{ fontSize: '0.9rem', color: 'text.secondary' }}>
            {moves(sheet.change_steps, 0.05) === ''
              ? say.theRoundingMovesNoAxis
              : say.inStepsTheRoundingMoves(moves(sheet.change_steps, 0.05))}
          </Typography>
          <Box component="table" sx={{ ...plainTable, width: '100%' }}>
            <thead>
              <tr>
                <th scope="col">{say.measure}</th>
                <th scope="col">{say.ofIt}</th>
                <th scope="col">{say.roundedBy}</th>
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
              onApply(sheet.recipe_lines, say.theRecipeHasThatSize, sheet.yield);
            }}
          >
            {say.makeTheRecipeThisSize}
          </Button>
          <Button
            variant="outlined"
            data-cook-it
            sx={{ mt: 1, ml: 1 }}
            onClick={() => {
              if (size !== null) {
                onCook(size).catch((reason: unknown) => {
                  setFault(reason instanceof Error ? reason.message : say.thatDidNotWork);
                });
              }
            }}
          >
            {say.cookThisSizeNow}
          </Button>
          {fault !== null && <Typography role="alert">{fault}</Typography>}
        </>
      )}
    </Box>
  );
}

const caption = { display: 'block', fontSize: '0.8rem', color: 'text.secondary' } as const;
