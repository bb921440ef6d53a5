import { Box, Typography } from '@mui/material';
import type { Advice, Correction } from '../shared/api';
import { steps } from '../shared/words';

interface Props {
  advice: Advice | null;
  hasStyle: boolean;
  onPreview: (index: number | null) => void;
  onApply: (correction: Correction) => void;
}

const saysWhere = (distance: number): string =>
  distance < 0.125 ? 'then it stands inside every window' : `then ${steps(distance)} off`;

/** What to add, best first. Hover or focus shows on the bars where it would move; a click or Enter adds it. */
export function Corrections({ advice, hasStyle, onPreview, onApply }: Props) {
  if (!hasStyle) {
    return (
      <Box component="section" aria-labelledby="mend">
        <Typography id="mend" variant="h2" component="h2" sx={heading}>
          What to add
        </Typography>
        <Typography sx={{ color: 'text.secondary' }}>
          Choose a style above the lines, and the best few spoonfuls to add are found here.
        </Typography>
      </Box>
    );
  }
  return (
    <Box component="section" aria-labelledby="mend">
      <Typography id="mend" variant="h2" component="h2" sx={heading}>
        What to add
      </Typography>
      {advice?.notes.map((note) => (
        <Typography key={note} sx={{ fontSize: '0.95rem', mb: 0.5 }}>
          {note}
        </Typography>
      ))}
      <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0 }} aria-label="Corrections">
        {advice?.corrections.map((correction, index) => {
          const extra = [...correction.side_effects, ...correction.allergens_added.map((one) => `brings ${one}`)];
          return (
            <Box component="li" key={index} sx={{ borderTop: '1px solid', borderColor: 'divider' }}>
              <Box
                component="button"
                type="button"
                data-correction={index + 1}
                onMouseEnter={() => {
                  onPreview(index);
                }}
                onMouseLeave={() => {
                  onPreview(null);
                }}
                onFocus={() => {
                  onPreview(index);
                }}
                onBlur={() => {
                  onPreview(null);
                }}
                onClick={() => {
                  onPreview(null);
                  onApply(correction);
                }}
                sx={{
                  font: 'inherit',
                  textAlign: 'left',
                  width: '100%',
                  minHeight: 44,
                  py: 0.6,
                  px: 0.5,
                  border: 0,
                  cursor: 'pointer',
                  color: 'text.primary',
                  bgcolor: 'transparent',
                  display: 'grid',
                  gridTemplateColumns: '1fr auto',
                  columnGap: 1.5,
                  '&:hover, &:focus-visible': { bgcolor: 'bar.track' },
                }}
              >
                <Box component="span" sx={{ fontWeight: 700 }}>
                  {correction.additions
                    .map((one) => `${one.measure.replace(/ whole$/, '')} ${one.name.toLowerCase()}`)
                    .join(' + ')}
                </Box>
                <Box component="span" aria-hidden sx={{ fontSize: '0.8rem', color: 'text.secondary' }}>
                  Alt+{index + 1}
                </Box>
                <Box component="span" sx={{ gridColumn: '1 / -1', fontSize: '0.85rem', color: 'text.secondary' }}>
                  {[saysWhere(correction.distance_after), ...extra].join(' · ')}
                </Box>
              </Box>
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}

const heading = { borderBottom: '3px solid', borderColor: 'bar.rule', pb: 0.25, mb: 0.5 } as const;
