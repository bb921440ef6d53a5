import { Box } from '@mui/material';
import type { Move } from '../../api/client';
import { grams } from '../../ui/words';
import { RowButton } from '../../ui/RowButton';
import { say } from './sentences';

const names: Record<Move['kind'], string> = {
  'pan-empty': say.weighTheEmptyPan,
  measure: '',
  step: '',
  'pan-reads': say.weighPanAndSauce,
  cool: say.offTheHeatAndCool,
  readings: say.measurePhAndSolids,
  fill: say.intoTheJars,
};

const says = (move: Move): string =>
  move.measure !== null
    ? `${move.measure.says}${move.measure.actual_grams === null ? '' : say.inIt(grams(move.measure.actual_grams))}`
    : (move.step?.text ?? names[move.kind]);

/** The whole sheet at a glance: what is done, what comes. */
export function MoveList({ moves, at, onMove }: { moves: readonly Move[]; at: number; onMove: (to: number) => void }) {
  return (
    <Box component="ol" aria-label={say.theWholeSheet} sx={{ m: 0, p: 0, listStyle: 'none' }}>
      {moves.map((move, index) => (
        <Box component="li" key={index} sx={{ borderBottom: '1px solid', borderColor: 'divider' }}>
          {move.stage !== null && move.stage !== moves[index - 1]?.stage && (
            <Box sx={{ fontSize: '0.9rem', color: 'text.secondary', pt: 1 }}>{move.stage}</Box>
          )}
          <RowButton
            aria-current={index === at ? 'step' : undefined}
            onClick={() => {
              onMove(index);
            }}
            sx={{ fontWeight: index === at ? 700 : 400, fontSize: '1.05rem' }}
          >
            {move.done ? '✓ ' : ''}
            {move.measure?.take !== null && move.measure?.take !== undefined && say.takeThe(move.measure.take)}
            {says(move)}
          </RowButton>
        </Box>
      ))}
    </Box>
  );
}
