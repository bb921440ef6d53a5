import { fixed } from '../../base/locale';
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
import { say } from './sentences';

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
  ['window', say.intoTheWindow],
  ['thickness', say.toAThickness],
  ['volume', say.toAVolume],
  ['weight', say.toAWeight],
  ['solids', say.toDissolvedSolids],
];
const units: Record<By, string> = { window: '', thickness: '', volume: 'ml', weight: 'g', solids: '%' };
const consistencies: readonly (readonly [Consistency, string])[] = [
  ['pouring', say.pours],
  ['coating', say.coatsASpoon],
  ['spooning', say.holdsATrack],
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
    <Box component="section" aria-label={say.boilDown}>
      <Typography variant="h3" component="h2" sx={{ mt: 1 }}>
        {say.boilItDown}
      </Typography>
      <Choice label={say.howFar} options={ways} value={by} onChoose={setBy} />
      {by === 'thickness' && (
        <Choice label={say.untilIt} options={consistencies} value={consistency} onChoose={setConsistency} />
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'end', my: 0.5 }}>
        {needsNumber && (
          <label>
            <TextInput
              data-reduce
              inputMode="decimal"
              aria-label={say.howFar}
              value={value}
              onText={setValue}
              sx={{ width: 100 }}
            />{' '}
            {units[by]}
          </label>
        )}
        <label>
          {say.inAPanOf}
          <TextInput
            value={formula.pan ?? ''}
            placeholder={say.panExample}
            maxLength={100}
            onText={(text) => {
              onPan(text === '' ? null : text);
            }}
            sx={{ width: 90 }}
          />
        </label>
        <Pick
          aria-label={say.heat}
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
            {!plan.boils
              ? say.boilingWontHelp
              : say.boilOffUntilTheSauce(
                  grams(plan.evaporate_grams),
                  grams(plan.pan_reads_grams),
                  millilitres(plan.millilitres),
                )}
          </Typography>
          {plan.minutes !== null && plan.boils && (
            <Typography>
              {say.aboutMinutesLikelyToThe(
                fixed(plan.minutes.value, 0),
                fixed(plan.minutes.low, 0),
                fixed(plan.minutes.high, 0),
                plan.heat.cooks,
              )}
            </Typography>
          )}
          {plan.minutes === null && plan.boils && <Typography>{say.nameThePanSuchAs}</Typography>}
          <Typography sx={{ fontSize: '0.9rem', color: 'text.secondary' }}>
            {say.dissolvedThen(
              moves(plan.change_steps) === '' ? say.itMovesNoAxis : say.inSteps(moves(plan.change_steps)),
              fixed(plan.dissolved_solids_percent, 0),
            )}
          </Typography>
          {plan.boils && <ReductionCurve curve={plan.curve} />}
          {plan.warnings.map((warning) => (
            <Typography key={warning}>
              <strong>{say.mind}</strong> {warning}
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
      aria-label={say.thicken}
      sx={{ borderTop: '3px solid', borderColor: 'bar.rule', mt: 1.5, pt: 0.5 }}
    >
      <Typography variant="h3" component="h2">
        {say.orThickenIt}
      </Typography>
      <Choice label={say.untilIt} options={consistencies} value={consistency} onChoose={setConsistency} />
      {found.fault !== null && <Typography role="alert">{found.fault}</Typography>}
      {found.isCurrent && found.answer?.ways.length === 0 && (
        <Typography sx={{ py: 1 }}>{say.itsStarchMakesItThat}</Typography>
      )}
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {found.answer !== null && (
          <Box component="li" data-boiled sx={{ borderTop: '1px solid', borderColor: 'divider', py: 0.6, px: 0.5 }}>
            {found.answer.boiled === null ? (
              <span>{found.answer.boiled_not}</span>
            ) : (
              <>
                <strong>
                  {!found.answer.boiled.boils
                    ? say.alreadyThatThick
                    : say.boilOffInstead(grams(found.answer.boiled.evaporate_grams))}
                </strong>
                <Box component="span" sx={small}>
                  {[
                    found.answer.boiled.minutes === null || !found.answer.boiled.boils
                      ? ''
                      : say.aboutMinutes(fixed(found.answer.boiled.minutes.value, 0)),
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
              {way.slurry_water_grams > 0 && <span>{say.inColdWater(millilitres(way.slurry_water_grams))}</span>}
              <Box component="span" sx={small}>
                {[
                  way.how,
                  way.mind === null ? '' : say.inASharpSauceIt(way.mind),
                  moves(way.change_steps),
                  ...way.allergens.map((one) => say.brings(one)),
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
