import { Typography } from '@mui/material';
import { useNavigate } from 'react-router';
import { api, type Axes, type Balance, type Correction, type Kitchen } from '../../api/client';
import { later } from '../../ui/later';
import { Corrections } from '../tools/Corrections';
import { draftOf, editOf, withRoom } from '../sauce/draft';
import type { SwapLine } from '../tools/SwapPanel';
import type { Bench } from './useBench';
import { say } from './sentences';

const KeepPanel = later(async () => (await import('../tools/KeepPanel')).KeepPanel);
const MethodPanel = later(async () => (await import('../tools/MethodPanel')).MethodPanel);
const PartsPanel = later(async () => (await import('../tools/PartsPanel')).PartsPanel);
const ScalePanel = later(async () => (await import('../tools/ScalePanel')).ScalePanel);
const SwapPanel = later(async () => (await import('../tools/SwapPanel')).SwapPanel);
const ThicknessPanel = later(async () => (await import('../tools/ThicknessPanel')).ThicknessPanel);
const ToldPanel = later(async () => (await import('../tools/ToldPanel')).ToldPanel);
const VersionsPanel = later(async () => (await import('../tools/VersionsPanel')).VersionsPanel);

export type Panel = 'add' | 'told' | 'method' | 'swap' | 'scale' | 'thickness' | 'keep' | 'parts' | 'versions';
export const panels: readonly (readonly [Panel, string])[] = [
  ['add', say.whatToAdd],
  ['told', say.asTold],
  ['method', say.method],
  ['swap', say.swap],
  ['scale', say.scale],
  ['thickness', say.thickness],
  ['keep', say.keep],
  ['parts', say.parts],
  ['versions', say.versions],
];

interface Props {
  bench: Bench;
  kitchen: Kitchen;
  report: Balance;
  panel: Panel;
  /** The line that a substitute is looked for. */
  swapLine: SwapLine | null;
  onSwapLine: (line: SwapLine) => void;
  onPreview: (index: number | null) => void;
  onSidePreview: (axes: Axes | null) => void;
  onApply: (correction: Correction) => void;
}

/** What stands beside the bars: one way at a time to change the sauce, or to look at it. */
export function BenchPanel({
  bench,
  kitchen,
  report,
  panel,
  swapLine,
  onSwapLine,
  onPreview,
  onSidePreview,
  onApply,
}: Props) {
  const { draft, formula, advice, change, set, rewrite, add, announce } = bench;
  const navigate = useNavigate();
  return (
    <>
      {bench.hindrances.map((one) => (
        <Typography key={one} data-hindrance sx={{ fontSize: '0.95rem' }}>
          {one}
        </Typography>
      ))}
      {panel === 'add' && (
        <Corrections
          sauce={bench.sauce}
          advice={advice.answer}
          complaints={kitchen.complaints}
          complaint={bench.complaint}
          hasAim={bench.hasAim}
          onComplaint={bench.complain}
          onPreview={onPreview}
          onApply={onApply}
          onSolve={bench.canSolve ? bench.solve : null}
        />
      )}
      {panel === 'told' && <ToldPanel sauce={bench.sauce} lines={report.lines} onTake={add} />}
      {panel === 'method' && (
        <MethodPanel
          method={draft.method}
          pan={draft.pan}
          stages={report.stages}
          order={report.method}
          links={report.links}
          parted={report.method_parted}
          heats={kitchen.heats}
          onMethod={(method, field) => {
            change((now) => ({ ...now, method }), field);
          }}
          onPan={(pan) => {
            set('pan', pan);
          }}
          onAside={(step) => {
            change((now) => ({
              ...now,
              method: now.method.filter((_, at) => at !== step),
              set_aside: [...now.set_aside, { text: now.method[step] ?? '', why: 'note' }],
            }));
          }}
        />
      )}
      {panel === 'swap' && (
        <SwapPanel
          formula={formula}
          written={draft.lines}
          lines={report.lines}
          kitchen={kitchen}
          line={swapLine}
          onLine={onSwapLine}
          onPreview={onSidePreview}
          onApply={rewrite}
        />
      )}
      {panel === 'scale' && (
        <ScalePanel
          formula={formula}
          usualLoss={kitchen.usual_loss}
          onPan={(pan) => {
            set('pan', pan);
          }}
          onCook={async (start) => {
            await bench.saver.settled();
            const cook = await api.cookBatch(bench.sauce, start);
            await navigate(`/cook/${cook.id}`);
          }}
          onPreview={onSidePreview}
          onApply={(lines, words, finished) => {
            change((now) => ({
              ...now,
              lines: withRoom(lines),
              yield: report.basis === 'finished' ? (finished ?? now.yield) : now.yield,
            }));
            announce(say.undoTakesItBack(words));
          }}
        />
      )}
      {panel === 'thickness' && (
        <ThicknessPanel
          formula={formula}
          onPan={(pan) => {
            set('pan', pan);
          }}
          heats={kitchen.heats}
          onPreview={onSidePreview}
          onAdd={add}
        />
      )}
      {panel === 'keep' && <KeepPanel formula={formula} sauce={bench.sauce} />}
      {panel === 'parts' && (
        <PartsPanel
          report={report}
          vessels={kitchen.vessels}
          measures={draft.measures}
          partMl={draft.part_ml}
          onPart={(part) => {
            set('part_ml', part);
          }}
        />
      )}
      {panel === 'versions' && (
        <VersionsPanel
          sauce={bench.sauce}
          written={editOf(draft)}
          settle={bench.saver.settled}
          onReturn={(version) => {
            change(() => draftOf(version));
            announce(say.versionIsBackUndoTakes(version.number));
          }}
        />
      )}
    </>
  );
}
