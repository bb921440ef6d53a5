import { fixed } from '../../base/locale';
import { Alert, Box, Chip, Typography } from '@mui/material';
import { memo, useState } from 'react';
import type { Balance } from '../../api/client';
import { CautionLine } from '../../ui/CautionLine';
import { say } from './sentences';

type Nutrition = NonNullable<Balance['nutrition']>;

/** In the order of a nutrition declaration; computed, so no more is told than its figures bear. */
function inHundred(nutrition: Nutrition, bands: Balance['nutrition_bands']): string {
  const grams = (value: number) => `${value < 10 ? fixed(value, 1) : Math.round(value)} g`;
  const energy = say.kjKcal(Math.round(nutrition.energy_kj), Math.round(nutrition.energy_kcal));
  return [
    bands === null
      ? energy
      : say.withBand(energy, Math.round(bands.energy_kcal.low), Math.round(bands.energy_kcal.high)),
    say.fatOfWhichSaturates(grams(nutrition.fat), grams(nutrition.saturates)),
    say.carbohydrateOfWhichSugars(grams(nutrition.carbohydrate), grams(nutrition.sugars)),
    say.fibre(grams(nutrition.fibre)),
    say.protein(grams(nutrition.protein)),
    say.salt(grams(nutrition.salt)),
  ].join(' · ');
}

/** What a portion brings, in what is asked about most. */
function aPortion(nutrition: Nutrition, grams: number): string {
  const of = (value: number) => (value * grams) / 100;
  return say.aPortionBrings(
    Math.round(grams),
    Math.round(of(nutrition.energy_kcal)),
    fixed(of(nutrition.sugars), 1),
    fixed(of(nutrition.fat), 1),
    fixed(of(nutrition.salt), 1),
  );
}

/** What harms stands out, whatever else is folded. */
export function Hazards({ cautions }: { cautions: Balance['cautions'] }) {
  return cautions
    .filter((caution) => caution.severity === 'stop')
    .map((caution) => (
      <Alert key={caution.code} role="note" sx={{ my: 0.5 }}>
        <CautionLine caution={caution} sx={{ my: 0 }} />
      </Alert>
    ));
}

type Fact = 'nutrition' | 'cautions' | 'notes' | 'sure';

/** One mark, drawn again only when it says something else. */
const FactMark = memo(function FactMark({
  fact,
  says,
  isOpen,
  onOpen,
}: {
  fact: Fact;
  says: string;
  isOpen: boolean;
  onOpen: (fact: Fact | null) => void;
}) {
  return (
    <Chip
      variant="outlined"
      label={says}
      aria-expanded={isOpen}
      data-fact={fact}
      onClick={() => {
        onOpen(isOpen ? null : fact);
      }}
      sx={isOpen ? { boxShadow: 'inset 0 -3px 0 currentColor' } : undefined}
    />
  );
});

/** The facts of a sauce as short marks; the sentence and its source are one tap away. */
export function SauceFacts({ report, family }: { report: Balance; family: string | null }) {
  const [open, setOpen] = useState<Fact | null>(null);
  const cautions = report.cautions.filter((caution) => caution.severity !== 'stop');
  const minds = cautions.filter((caution) => caution.severity === 'warn').length;
  const marks: readonly (readonly [Fact, string])[] = [
    ...(report.nutrition === null
      ? []
      : [['nutrition', say.kcalIn100G(Math.round(report.nutrition.energy_kcal))] as const]),
    ...(cautions.length === 0
      ? []
      : [['cautions', minds > 0 ? say.cautionCount(minds) : say.cautions(cautions.length)] as const]),
    ...(report.notes.length === 0 ? [] : [['notes', say.notes(report.notes.length)] as const]),
    ['sure', say.howSureIsIt],
  ];
  return (
    <Box component="section" aria-label={say.whatToKnow} sx={{ mt: 0.5, fontSize: '0.9rem' }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
        {report.allergens.length > 0 && <Chip variant="outlined" label={say.holds(report.allergens.join(', '))} />}
        {report.diets.length > 0 && <Chip variant="outlined" label={say.fits(report.diets.join(', '))} />}
        {marks.map(([fact, says]) => (
          <FactMark key={fact} fact={fact} says={says} isOpen={open === fact} onOpen={setOpen} />
        ))}
      </Box>
      {open === 'nutrition' && report.nutrition !== null && (
        <p>
          <strong>{say.in100G}</strong>
          {say.about(inHundred(report.nutrition, report.nutrition_bands))}
          {report.servings !== null && report.servings > 0 && (
            <> {aPortion(report.nutrition, report.batch.grams / report.servings)}</>
          )}
        </p>
      )}
      {open === 'cautions' && cautions.map((caution) => <CautionLine key={caution.code} caution={caution} />)}
      {open === 'notes' &&
        report.notes.map((note) => (
          <Box component="p" key={note} sx={{ my: 0.5, color: 'text.secondary' }}>
            {note}
          </Box>
        ))}
      {open === 'sure' && (
        <>
          {report.doubt_advice !== null && <Typography data-doubt>{report.doubt_advice}</Typography>}
          {family !== null && <Typography sx={{ color: 'text.secondary' }}>{family}</Typography>}
        </>
      )}
    </Box>
  );
}
