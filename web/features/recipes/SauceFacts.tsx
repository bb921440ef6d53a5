import { Box } from '@mui/material';
import { CautionLine } from '../../ui/CautionLine';
import type { Balance } from '../../api/client';

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
