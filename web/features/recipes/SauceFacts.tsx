import { fixed } from '../../ui/locale';
import { Alert, Box, Chip, Typography } from '@mui/material';
import { useState } from 'react';
import type { Balance } from '../../api/client';
import { CautionLine } from '../../ui/CautionLine';

type Nutrition = NonNullable<Balance['nutrition']>;

/** In the order of a nutrition declaration; computed, so no more is told than its figures bear. */
function inHundred(nutrition: Nutrition): string {
  const grams = (value: number) => `${value < 10 ? fixed(value, 1) : Math.round(value)} g`;
  return [
    `${Math.round(nutrition.energy_kj)} kJ, ${Math.round(nutrition.energy_kcal)} kcal`,
    `fat ${grams(nutrition.fat)}, of which saturates ${grams(nutrition.saturates)}`,
    `carbohydrate ${grams(nutrition.carbohydrate)}, of which sugars ${grams(nutrition.sugars)}`,
    `fibre ${grams(nutrition.fibre)}`,
    `protein ${grams(nutrition.protein)}`,
    `salt ${grams(nutrition.salt)}`,
  ].join(' · ');
}

/** What harms stands out, whatever else is folded. */
export function Hazards({ report }: { report: Balance }) {
  return report.cautions
    .filter((caution) => caution.severity === 'stop')
    .map((caution) => (
      <Alert key={caution.code} role="note" sx={{ my: 0.5 }}>
        <CautionLine caution={caution} sx={{ my: 0 }} />
      </Alert>
    ));
}

type Fact = 'nutrition' | 'cautions' | 'notes' | 'sure';

/** The facts of a sauce as short marks; the sentence and its source are one tap away. */
export function SauceFacts({ report, family }: { report: Balance; family: string | null }) {
  const [open, setOpen] = useState<Fact | null>(null);
  const cautions = report.cautions.filter((caution) => caution.severity !== 'stop');
  const minds = cautions.filter((caution) => caution.severity === 'warn').length;
  const marks: readonly (readonly [Fact, string])[] = [
    ...(report.nutrition === null
      ? []
      : [['nutrition', `${Math.round(report.nutrition.energy_kcal)} kcal in 100 g`] as const]),
    ...(cautions.length === 0
      ? []
      : [['cautions', minds > 0 ? `${minds} to mind` : counted(cautions.length, 'caution')] as const]),
    ...(report.notes.length === 0 ? [] : [['notes', counted(report.notes.length, 'note')] as const]),
    ['sure', 'How sure is it?'],
  ];
  return (
    <Box component="section" aria-label="What to know" sx={{ mt: 1.5, fontSize: '0.9rem' }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
        {report.allergens.length > 0 && <Chip variant="outlined" label={`Holds ${report.allergens.join(', ')}`} />}
        {report.diets.length > 0 && <Chip variant="outlined" label={`Fits ${report.diets.join(', ')}`} />}
        {marks.map(([fact, says]) => (
          <Chip
            key={fact}
            variant="outlined"
            label={says}
            aria-expanded={open === fact}
            data-fact={fact}
            onClick={() => {
              setOpen(open === fact ? null : fact);
            }}
            sx={open === fact ? { boxShadow: 'inset 0 -3px 0 currentColor' } : undefined}
          />
        ))}
      </Box>
      {open === 'nutrition' && report.nutrition !== null && (
        <p>
          <strong>In 100 g</strong> about {inHundred(report.nutrition)}
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

const counted = (count: number, of: string): string => `${count} ${of}${count === 1 ? '' : 's'}`;
