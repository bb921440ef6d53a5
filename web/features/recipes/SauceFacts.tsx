import { Box } from '@mui/material';
import { CautionLine } from '../../ui/CautionLine';
import type { Balance } from '../../api/client';

/** In the order of a nutrition declaration; computed, so no more is told than its figures bear. */
function inHundred(nutrition: NonNullable<Balance['nutrition']>): string {
  const grams = (value: number) => `${value < 10 ? value.toFixed(1) : Math.round(value)} g`;
  return [
    `${Math.round(nutrition.energy_kj)} kJ, ${Math.round(nutrition.energy_kcal)} kcal`,
    `fat ${grams(nutrition.fat)}, of which saturates ${grams(nutrition.saturates)}`,
    `carbohydrate ${grams(nutrition.carbohydrate)}, of which sugars ${grams(nutrition.sugars)}`,
    `fibre ${grams(nutrition.fibre)}`,
    `protein ${grams(nutrition.protein)}`,
    `salt ${grams(nutrition.salt)}`,
  ].join(' · ');
}

/** Allergens, diets, cautions and notes: never hidden, never in the way. */
export function SauceFacts({ report }: { report: Balance }) {
  return (
    <Box component="section" aria-label="What to know" sx={{ mt: 1.5, fontSize: '0.9rem' }}>
      {report.allergens.length > 0 && (
        <p style={{ margin: '4px 0' }}>
          <strong>Holds</strong> {report.allergens.join(', ')}
        </p>
      )}
      {report.diets.length > 0 && (
        <p style={{ margin: '4px 0' }}>
          <strong>Fits</strong> {report.diets.join(', ')}
        </p>
      )}
      {report.nutrition !== null && (
        <p style={{ margin: '4px 0' }}>
          <strong>In 100 g</strong> about {inHundred(report.nutrition)}
        </p>
      )}
      {report.cautions.map((caution) => (
        <CautionLine key={caution.code} caution={caution} />
      ))}
      {report.notes.map((note) => (
        <Box component="p" key={note} sx={{ my: 0.5, color: 'text.secondary' }}>
          {note}
        </Box>
      ))}
    </Box>
  );
}
