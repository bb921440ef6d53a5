import { fixed } from '../../ui/locale';
import { Box, Typography } from '@mui/material';
import { useMemo, useState } from 'react';
import { later } from '../../ui/later';
import { api, type Axes, type Formula, type ThicknessRequest } from '../../api/client';
import { Choice } from '../../ui/Choice';
import { grams, millilitres, moves, spoken, typedNumber } from '../../ui/words';
import { useLatest } from '../../api/useLatest';
import { usePreview } from './usePreview';
import { TextInput } from '../../ui/TextInput';
import { Pick } from '../../ui/Pick';
import { RowButton } from '../../ui/RowButton';

const ReductionCurve = later(async () => (await import('./ReductionCurve')).ReductionCurve);

type By = 'window' | 'thickness' | 'volume' | 'weight' | 'solids';
type Consistency = 'pouring' | 'coating' | 'spooning';

interface Props {
  formula: Formula;
  heats: readonly string[];
  onPan: (pan: string | null) => void;
  /** Shows on the bars where boiling down leads. */
  onPreview: (axes: Axes | null) => void;
  onAdd: (text: string) => void;
}

const ways: readonly (readonly [By, string])[] = [
  ['window', 'Into the window'],
  ['thickness', 'To a thickness'],
  ['volume', 'To a volume'],
  ['weight', 'To a weight'],
  ['solids', 'To dissolved solids'],
];
const units: Record<By, string> = { window: '', thickness: '', volume: 'ml', weight: 'g', solids: '%' };
const consistencies: readonly (readonly [Consistency, string])[] = [
  ['pouring', 'Pours'],
  ['coating', 'Coats a spoon'],
  ['spooning', 'Holds a track'],
];

/** Two ways to a consistency side by side: boil water off, or thicken. */
export function ThicknessPanel({ formula, heats, onPan, onPreview, onAdd }: Props) {
  return (
    <Box>
      <BoilDown formula={formula} heats={heats} onPan={onPan} onPreview={onPreview} />
      <Thicken formula={formula} onAdd={onAdd} />
    </Box>
  );
}

function BoilDown({ formula, heats, onPan, onPreview }: Omit<Props, 'onAdd'>) {
  const [by, setBy] = useState<By>('volume');
  const [value, setValue] = useState('');
  const [consistency, setConsistency] = useState<Consistency>('coating');
  const needsNumber = by !== 'window' && by !== 'thickness';
  const [heat, setHeat] = useState(heats[1] ?? '');
  const typed = typedNumber(value);
  const wish = useMemo<ThicknessRequest | null>(
    () =>
      needsNumber && value.trim() === ''
        ? null
        : { ...formula, by, value: !needsNumber || Number.isNaN(typed) ? null : typed, consistency, heat },
    [formula, by, needsNumber, value, typed, consistency, heat],
  );
  const found = useLatest(wish, api.reduce);
  const plan = wish !== null && found.fault === null ? found.answer : null;
  const after = plan?.after ?? null;
  usePreview(after, onPreview);
  return (
    <Box component="section" aria-label="Boil down">
      <Typography variant="h3" component="h2" sx={{ mt: 1 }}>
        Boil it down
      </Typography>
      <Choice label="How far" options={ways} value={by} onChoose={setBy} />
      {by === 'thickness' && (
        <Choice label="Until it" options={consistencies} value={consistency} onChoose={setConsistency} />
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'end', my: 0.5 }}>
        {needsNumber && (
          <label>
            <TextInput
              data-reduce
              inputMode="decimal"
              aria-label="How far"
              value={value}
              onText={setValue}
              sx={{ width: 100 }}
            />{' '}
            {units[by]}
          </label>
        )}
        <label>
          in a pan of{' '}
          <TextInput
            value={formula.pan ?? ''}
            placeholder="24 cm"
            maxLength={100}
            onText={(text) => {
              onPan(text === '' ? null : text);
            }}
            sx={{ width: 90 }}
          />
        </label>
        <Pick
          aria-label="Heat"
          value={heat}
          onPick={(picked) => {
            setHeat(picked);
          }}
        >
          {heats.map((one) => (
            <option key={one} value={one}>
              {one}
            </option>
          ))}
        </Pick>
      </Box>
      {wish !== null && found.fault !== null && <Typography role="alert">{found.fault}</Typography>}
      {plan !== null && (
        <>
          <Typography data-plan sx={{ fontWeight: 700 }}>
            {plan.evaporate_grams < 1
              ? 'Boiling brings it no nearer.'
              : `Boil off ${grams(plan.evaporate_grams)}, until the sauce weighs ${grams(plan.pan_reads_grams)} and fills ${millilitres(plan.millilitres)}`}
          </Typography>
          {plan.minutes !== null && plan.evaporate_grams >= 1 && (
            <Typography>
              About {fixed(plan.minutes.value, 0)} minutes, likely {fixed(plan.minutes.low, 0)} to{' '}
              {fixed(plan.minutes.high, 0)}: the weight is the surer end.{' '}
              {plan.heat.cooks > 0
                ? `Learned from ${plan.heat.cooks} weighed ${plan.heat.cooks === 1 ? 'cook' : 'cooks'} in this pan.`
                : 'No cook was weighed in this pan at this heat yet.'}
            </Typography>
          )}
          {plan.minutes === null && plan.evaporate_grams >= 1 && (
            <Typography>Name the pan, such as 24 cm, and the minutes are told too.</Typography>
          )}
          <Typography sx={{ fontSize: '0.9rem', color: 'text.secondary' }}>
            {moves(plan.change_steps) === '' ? 'It moves no axis.' : `In steps: ${moves(plan.change_steps)}.`}{' '}
            {fixed(plan.dissolved_solids_percent, 0)} % dissolved then.
          </Typography>
          {plan.evaporate_grams >= 1 && <ReductionCurve curve={plan.curve} />}
          {plan.warnings.map((warning) => (
            <Typography key={warning}>
              <strong>Mind:</strong> {warning}
            </Typography>
          ))}
        </>
      )}
    </Box>
  );
}

function Thicken({ formula, onAdd }: Pick<Props, 'formula' | 'onAdd'>) {
  const [consistency, setConsistency] = useState<Consistency>('coating');
  const wish = useMemo<ThicknessRequest>(() => ({ ...formula, consistency }), [formula, consistency]);
  const found = useLatest(wish, api.thicken);
  return (
    <Box
      component="section"
      aria-label="Thicken"
      sx={{ borderTop: '3px solid', borderColor: 'bar.rule', mt: 1.5, pt: 0.5 }}
    >
      <Typography variant="h3" component="h2">
        Or thicken it
      </Typography>
      <Choice label="Until it" options={consistencies} value={consistency} onChoose={setConsistency} />
      {found.fault !== null && <Typography role="alert">{found.fault}</Typography>}
      {found.isCurrent && found.answer?.ways.length === 0 && (
        <Typography sx={{ py: 1 }}>Its starch makes it that thick already.</Typography>
      )}
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {found.answer !== null && (
          <Box component="li" data-boiled sx={{ borderTop: '1px solid', borderColor: 'divider', py: 0.6, px: 0.5 }}>
            {found.answer.boiled === null ? (
              <span>{found.answer.boiled_not}</span>
            ) : (
              <>
                <strong>
                  {found.answer.boiled.evaporate_grams < 1
                    ? 'By what is in it, it is that thick already'
                    : `Boil off ${grams(found.answer.boiled.evaporate_grams)} instead`}
                </strong>
                <Box component="span" sx={small}>
                  {[
                    found.answer.boiled.minutes === null || found.answer.boiled.evaporate_grams < 1
                      ? ''
                      : `about ${fixed(found.answer.boiled.minutes.value, 0)} minutes`,
                    moves(found.answer.boiled.change_steps),
                    ...found.answer.boiled.warnings,
                  ]
                    .filter((part) => part !== '')
                    .join(' · ')}
                </Box>
              </>
            )}
          </Box>
        )}
        {found.answer?.ways.map((way) => (
          <Box component="li" key={way.ingredient} sx={{ borderTop: '1px solid', borderColor: 'divider' }}>
            <RowButton
              data-thicken={way.ingredient}
              onClick={() => {
                onAdd(`${spoken(way.measure)} ${way.name.toLowerCase()}`);
              }}
            >
              <strong>
                {spoken(way.measure)} {way.name.toLowerCase()}
              </strong>
              {way.slurry_water_grams > 0.5 && <span> in {millilitres(way.slurry_water_grams)} cold water</span>}
              <Box component="span" sx={small}>
                {[
                  way.how,
                  way.mind === null ? '' : `in a sharp sauce it ${way.mind}`,
                  moves(way.change_steps),
                  ...way.allergens.map((one) => `brings ${one}`),
                ]
                  .filter((part) => part !== '')
                  .join(' · ')}
              </Box>
            </RowButton>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

const small = { display: 'block', fontSize: '0.85rem', color: 'text.secondary' } as const;
