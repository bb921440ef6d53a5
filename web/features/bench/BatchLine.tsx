import { fixed } from '../../base/locale';
import { Box, Button, Typography } from '@mui/material';
import type { Balance } from '../../api/client';
import { grams, millilitres } from '../../ui/words';
import { say } from './sentences';

interface Props {
  /** Null while it is being weighed. */
  report: Balance | null;
  showsMixed: boolean;
  onMixed: (shows: boolean) => void;
}

/** What the whole comes to, how thick it is, how sour, and what would make it surer. */
export function BatchLine({ report, showsMixed, onMixed }: Props) {
  if (report === null) return <Typography sx={line}>…</Typography>;
  return (
    <>
      <Typography data-batch component="div" sx={line}>
        {grams(report.batch.grams)} · {millilitres(report.batch.millilitres)} {report.basis}
        {report.mixed !== null && (
          <Button
            aria-pressed={showsMixed}
            data-as-mixed
            title={say.showWhereItStoodBefore}
            onClick={() => {
              onMixed(!showsMixed);
            }}
            sx={{ minHeight: 24, textDecoration: 'underline' }}
          >
            {showsMixed ? say.barsAsMixed : say.fromMixed(grams(report.mixed.grams))}
          </Button>
        )}{' '}
        · {report.body.class}
        {report.ph === null && report.batch.grams > 0 && <span data-ph-unknown>{say.phNotKnown}</span>}
        {report.ph !== null && (
          <Box component="span" title={say.betweenAndMeasureItWhere(fixed(report.ph.low, 1), fixed(report.ph.high, 1))}>
            {say.phAbout(fixed(report.ph.estimate, 1), fixed(report.ph.low, 1), fixed(report.ph.high, 1))}
          </Box>
        )}
      </Typography>
    </>
  );
}

const line = { fontSize: '0.95rem', minHeight: 36, lineHeight: { xs: 1.5, md: '36px' } } as const;
