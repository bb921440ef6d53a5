import { Box, Typography } from '@mui/material';
import { useEffect, useMemo, useState } from 'react';
import { api, type Axes, type Formula, type ThicknessWish } from '../shared/api';
import { Choice } from '../shared/Choice';
import { rowButton, textField } from '../shared/fields';
import { grams, millilitres, moves, spoken } from '../shared/words';
import { useLatest } from './useLatest';

type By = 'window' | 'volume' | 'weight' | 'solids';
type Consistency = 'pouring' | 'coating' | 'spooning';

interface Props {
  formula: Formula;
  heats: readonly string[];
  /** Shows on the bars where boiling down leads. */
  onPreview: (axes: Axes | null) => void;
  onAdd: (text: string) => void;
}

const ways: readonly (readonly [By, string])[] = [
  ['window', 'Into the window'],
  ['volume', 'To a volume'],
  ['weight', 'To a weight'],
  ['solids', 'To dissolved solids'],
];
const units: Record<By, string> = { window: '', volume: 'ml', weight: 'g', solids: '%' };
const consistencies: readonly (readonly [Consistency, string])[] = [
  ['pouring', 'Pours'],
  ['coating', 'Coats a spoon'],
  ['spooning', 'Holds a track'],
];

/** Two ways to a consistency side by side: boil water off, or thicken. */
export function ThicknessPanel({ formula, heats, onPreview, onAdd }: Props) {
  return (
    <Box>
      <BoilDown formula={formula} heats={heats} onPreview={onPreview} />
      <Thicken formula={formula} onAdd={onAdd} />
    </Box>
  );
}

function BoilDown({ formula, heats, onPreview }: Pick<Props, 'formula' | 'heats' | 'onPreview'>) {
  const [by, setBy] = useState<By>('volume');
  const [value, setValue] = useState('');
  const [pan, setPan] = useState('24 cm');
  const [heat, setHeat] = useState(heats[1] ?? '');
  const typed = Number(value.replace(',', '.'));
  const wish = useMemo<ThicknessWish | null>(
    () =>
      by !== 'window' && value.trim() === ''
        ? null
        : { ...formula, by, value: by === 'window' || Number.isNaN(typed) ? null : typed, pan, heat },
    [formula, by, value, typed, pan, heat],
  );
  const found = useLatest(wish, api.reduce);
  const plan = wish !== null && found.fault === null ? found.answer : null;
  const after = plan?.after ?? null;
  useEffect(() => {
    onPreview(after);
    return () => {
      onPreview(null);
    };
  }, [after, onPreview]);
  return (
    <Box component="section" aria-label="Boil down">
      <Typography variant="h3" component="h2" sx={{ mt: 1 }}>
        Boil it down
      </Typography>
      <Choice label="How far" options={ways} value={by} onChoose={setBy} />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'end', my: 0.5 }}>
        {by !== 'window' && (
          <label>
            <Box
              component="input"
              data-reduce
              inputMode="decimal"
              aria-label="How far"
              value={value}
              onChange={(event: { target: { value: string } }) => {
                setValue(event.target.value);
              }}
              sx={{ ...textField, width: 100 }}
            />{' '}
            {units[by]}
          </label>
        )}
        <label>
          in a pan of{' '}
          <Box
            component="input"
            value={pan}
            maxLength={100}
            onChange={(event: { target: { value: string } }) => {
              setPan(event.target.value);
            }}
            sx={{ ...textField, width: 90 }}
          />
        </label>
        <Box
          component="select"
          aria-label="Heat"
          value={heat}
          onChange={(event: { target: { value: string } }) => {
            setHeat(event.target.value);
          }}
          sx={textField}
        >
          {heats.map((one) => (
            <option key={one} value={one}>
              {one}
            </option>
          ))}
        </Box>
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
              About {plan.minutes.value.toFixed(0)} minutes, likely {plan.minutes.low.toFixed(0)} to{' '}
              {plan.minutes.high.toFixed(0)}: the weight is the surer end.
            </Typography>
          )}
          <Typography sx={{ fontSize: '0.9rem', color: 'text.secondary' }}>
            {moves(plan.change_steps) === '' ? 'It moves no axis.' : `In steps: ${moves(plan.change_steps)}.`}{' '}
            {plan.dissolved_solids_percent.toFixed(0)} % dissolved then.
          </Typography>
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
  const wish = useMemo<ThicknessWish>(() => ({ ...formula, consistency }), [formula, consistency]);
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
        {found.answer?.ways.map((way) => (
          <Box component="li" key={way.ingredient} sx={{ borderTop: '1px solid', borderColor: 'divider' }}>
            <Box
              component="button"
              type="button"
              data-thicken={way.ingredient}
              onClick={() => {
                onAdd(`${spoken(way.measure)} ${way.name.toLowerCase()}`);
              }}
              sx={rowButton}
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
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

const small = { display: 'block', fontSize: '0.85rem', color: 'text.secondary' } as const;
