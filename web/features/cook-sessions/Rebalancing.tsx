import { fixed } from '../../base/locale';
import { Box, Typography } from '@mui/material';
import type { Cook, CookEvent, Rebalancing as Way } from '../../api/client';
import { spoken } from '../../ui/words';
import { RowButton } from '../../ui/RowButton';
import { say } from './sentences';

const names: Record<Way['way'], string> = {
  'as-planned': say.leaveTheRestAsPlanned,
  'in-proportion': say.allTheRestInProportion,
  solved: say.keepTheTaste,
};

/** Something was poured over or under its line: what to do with what is not in yet. */
export function Rebalancing({ cook, onEvent }: { cook: Cook; onEvent: (event: CookEvent) => void }) {
  return (
    <Box
      component="section"
      role="alert"
      data-rebalancing
      sx={{ border: '3px solid', borderColor: 'bar.preview', p: 1.5, my: 1.5 }}
    >
      <Typography variant="h2" component="h2">
        {say.thatWasNotWhatWas}
      </Typography>
      <Typography sx={{ mb: 0.5 }}>{say.youCantTakeItOut}</Typography>
      {cook.rebalancing.map((way) => {
        const changed = way.lines.filter((line) => line.is_changed);
        return (
          <RowButton
            key={way.way}
            data-way={way.way}
            onClick={() => {
              onEvent({
                kind: 'rebalanced',
                words: way.way,
                rebalanced: way.lines.map(({ line, grams }) => ({ line, grams })),
              });
            }}
            sx={{ borderTop: '1px solid', borderColor: 'divider', py: 1 }}
          >
            <Box component="span" sx={{ fontSize: '1.15rem', fontWeight: 700 }}>
              {names[way.way]}
              {way.factor !== null && say.times(fixed(way.factor, 2))}
            </Box>
            <Box component="span" sx={{ display: 'block' }}>
              {way.says}
            </Box>
            {way.way === 'solved' && changed.length > 0 && (
              <Box component="span" sx={{ display: 'block', color: 'text.secondary' }}>
                {changed.map((line) => `${line.name.toLowerCase()} ${spoken(line.measure)}`).join(', ')}
              </Box>
            )}
          </RowButton>
        );
      })}
    </Box>
  );
}
