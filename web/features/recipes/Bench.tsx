import { Box, Button, Typography } from '@mui/material';
import { useCallback, useMemo, useRef, useState } from 'react';
import { type Axes, type AxisKey, type Balance, type Correction, type Kitchen, type Sauce } from '../../api/client';
import { AxisBars, BarMark } from '../../ui/AxisBars';
import { Choice } from '../../ui/Choice';
import { Fraction } from '../../ui/Fraction';
import { Frame } from '../../ui/Frame';
import { BatchLine } from './BatchLine';
import { BenchBanners } from './BenchBanners';
import { BenchHead } from './BenchHead';
import { BenchPanel, type Panel, panels } from './BenchPanel';
import { BenchTools } from './BenchTools';
import { newLine } from './draft';
import { FamilyGuess } from './FamilyGuess';
import { LineEditor } from './LineEditor';
import { SauceFacts } from './SauceFacts';
import { SetAside } from './SetAside';
import { useBench } from './useBench';
import { useBenchKeys } from './useBenchKeys';

/** Which line brings how much of an axis, for the rows, and the same as one sentence. */
function makers(report: Balance | null, axis: AxisKey | null): { rows: ReadonlyMap<number, string>; says: string } {
  const shares = report === null || axis === null ? [] : report.shares[axis];
  const part = (share: number) => `${Math.round(100 * share)} %`;
  const named = shares
    .filter((one) => one.share >= 0.05)
    .slice(0, 3)
    .map(
      (one) =>
        `${part(one.share)} of the ${axis ?? ''} comes from ${(report?.lines[one.line - 1]?.name ?? '').toLowerCase()}`,
    );
  return {
    rows: new Map([...rowShares(report, shares)].map(([row, share]) => [row + 1, `${part(share)} of ${axis ?? ''}`])),
    says: axis !== null && shares.length === 0 ? `Nothing brings any ${axis}.` : named.join(', '),
  };
}

/** Shares by row, from 0: a row may name several ingredients. */
function rowShares(report: Balance | null, shares: Balance['shares'][AxisKey]): ReadonlyMap<number, number> {
  const sums = new Map<number, number>();
  for (const one of shares) {
    const row = report?.lines[one.line - 1]?.row ?? one.line - 1;
    sums.set(row, (sums.get(row) ?? 0) + one.share);
  }
  return sums;
}

/** One sauce being designed: lines, bars, fractions and corrections in one view. */
export function Bench({ sauce, kitchen }: { sauce: Sauce; kitchen: Kitchen }) {
  const bench = useBench(sauce, kitchen);
  const { draft, change, formula, isEmpty, report, advice, style, saving, applyCorrection } = bench;
  const [previewed, setPreviewed] = useState<number | null>(null);
  const [sidePreview, setSidePreview] = useState<Axes | null>(null);
  const [panel, setPanel] = useState<Panel>('add');
  const [swapLine, setSwapLine] = useState(0);
  const [showsMixed, setShowsMixed] = useState(false);
  const [looked, setLooked] = useState<AxisKey | null>(null);
  const linesRef = useRef<HTMLDivElement>(null);
  const panelRef = useRef<HTMLDivElement>(null);

  const corrections = advice.answer?.corrections ?? noCorrections;
  const isBesides = panel === 'swap' || panel === 'scale' || panel === 'thickness';
  const preview = isBesides ? sidePreview : previewed === null ? null : (corrections[previewed]?.after ?? null);
  const shown = showsMixed ? (report?.mixed?.axes ?? null) : null;
  const brought = useMemo(() => makers(report, looked), [report, looked]);

  const openSwap = useCallback((index: number) => {
    setSwapLine(index);
    setPanel('swap');
  }, []);
  const apply = useCallback(
    (correction: Correction) => {
      applyCorrection(correction);
      setPreviewed(null);
    },
    [applyCorrection],
  );
  const showCorrections = useCallback(() => {
    setPanel('add');
  }, []);
  useBenchKeys({
    undo: bench.undo,
    redo: bench.redo,
    corrections,
    apply,
    solve: bench.solve,
    showCorrections,
    linesRef,
    panelRef,
  });

  const tools = (
    <BenchTools
      sauce={sauce.id}
      saving={saving}
      undo={bench.undo}
      redo={bench.redo}
      canUndo={bench.canUndo}
      canRedo={bench.canRedo}
    />
  );

  return (
    <Frame tools={tools}>
      {report !== null && !isEmpty && (
        <Box sx={pinned}>
          <BarMark axes={preview ?? report.axes} />
        </Box>
      )}
      <BenchBanners
        saving={saving}
        fault={bench.balance.fault}
        keepMine={bench.keepMine}
        takeTheirs={bench.takeTheirs}
      />
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) minmax(0, 1fr)' },
          columnGap: 4,
          rowGap: 2,
          pt: 1.5,
        }}
      >
        <Box ref={linesRef} component="section" aria-label="The sauce">
          <BenchHead draft={draft} kitchen={kitchen} colour={report?.colour ?? null} set={bench.set} />
          {draft.style === null && report !== null && (
            <FamilyGuess
              families={report.families}
              kitchen={kitchen}
              onTake={(key) => {
                bench.set('style', key);
              }}
            />
          )}
          <LineEditor
            lines={draft.lines}
            understood={report?.lines ?? noLines}
            formula={formula}
            shares={brought.rows}
            onChange={bench.changeLines}
            onSwap={openSwap}
            onPage={bench.takePage}
            onAside={bench.setAside}
          />
          <Button
            onClick={() => {
              change((now) => ({ ...now, lines: [...now.lines, newLine('')] }));
            }}
            sx={{ px: 0.5, ml: '24px' }}
          >
            Add a line
          </Button>
          <Button
            title="A heading starts a stage: lines below it belong to it"
            onClick={() => {
              change((now) => ({
                ...now,
                lines: [
                  ...now.lines.filter((line, at) => line.text !== '' || at + 1 < now.lines.length),
                  newLine('Off the heat:'),
                  newLine(''),
                ],
              }));
            }}
            sx={{ px: 0.5, ml: 2 }}
          >
            Add a stage
          </Button>
          <SetAside
            aside={draft.set_aside}
            onIngredient={(at) => {
              bench.takeBack(at, 'ingredient');
            }}
            onStep={(at) => {
              bench.takeBack(at, 'step');
            }}
          />
        </Box>
        <Box>
          {report !== null && !isEmpty ? (
            <>
              <Box aria-live="polite" sx={hidden}>
                {bench.said}
              </Box>
              <BatchLine report={report} showsMixed={showsMixed} onMixed={setShowsMixed} />
              {style !== null && (
                <Typography sx={{ fontSize: '0.82rem', color: 'text.secondary' }}>
                  {style.name}: from {style.references} reference formulas, {style.schools}
                </Typography>
              )}
              <AxisBars
                axes={shown ?? report.axes}
                preview={preview}
                styleName={style?.name ?? null}
                looked={looked}
                onLook={(axis) => {
                  setLooked(looked === axis ? null : axis);
                }}
              />
              <Typography data-makers sx={{ fontSize: '0.88rem', minHeight: '1.4em', color: 'text.secondary' }}>
                {looked === null ? (bench.learned?.says ?? 'Tap an axis to see which lines make it.') : brought.says}
              </Typography>
              <Box
                sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 4, rowGap: 1.5, my: 1.5 }}
                aria-label="Ratios"
                role="group"
              >
                {fractions
                  .filter(([, above, below]) => tastes(report, above) && tastes(report, below))
                  .map(([ratio, above, below]) => (
                    <Fraction key={ratio} ratio={report.ratios[ratio]} above={above} below={below} />
                  ))}
              </Box>
              <Box sx={{ borderBottom: '1px solid', borderColor: 'divider', mb: 0.5 }}>
                <Choice label="Beside the bars" options={panels} value={panel} onChoose={setPanel} controls="panel" />
              </Box>
              <Box id="panel" role="tabpanel" aria-labelledby={`panel-${panel}`} ref={panelRef}>
                <BenchPanel
                  bench={bench}
                  kitchen={kitchen}
                  report={report}
                  panel={panel}
                  swapLine={swapLine}
                  onSwapLine={setSwapLine}
                  onPreview={setPreviewed}
                  onSidePreview={setSidePreview}
                  onApply={apply}
                />
              </Box>
              <SauceFacts report={report} />
            </>
          ) : (
            <Box sx={{ mt: 2, maxWidth: '46ch' }}>
              <Typography sx={{ color: 'text.secondary' }}>
                Write what goes in, one line for each thing, as you would tell a friend: “2 tbsp honey”, “juice of half
                a lemon”, “a pinch of cayenne”. The balance appears here with the first line.
              </Typography>
              {style === null ? (
                <Typography sx={{ mt: 1.5, color: 'text.secondary' }}>
                  Or choose a style, and have a first formula drafted.
                </Typography>
              ) : (
                <Button
                  variant="contained"
                  onClick={() => void bench.design(500, (count) => `Drafted ${count} lines.`)}
                  sx={{ mt: 1.5 }}
                >
                  Draft a first formula, about 500 g
                </Button>
              )}
            </Box>
          )}
        </Box>
      </Box>
    </Frame>
  );
}

const noCorrections: readonly Correction[] = [];
const noLines: Balance['lines'] = [];

const fractions = [
  ['sweet_to_sour', 'sweet', 'sour'],
  ['salt_to_sweet', 'salt', 'sweet'],
  ['umami_to_salt', 'umami', 'salt'],
  ['sour_to_fat', 'sour', 'fat'],
] as const;

/** Whether there is enough of it to stand in a fraction: what nobody can taste has no ratio. */
function tastes(report: Balance, what: AxisKey | 'fat'): boolean {
  return what === 'fat' ? report.batch.fat_percent >= 1 : report.axes[what].steps > 0;
}

/** On a narrow screen the bars are below the lines: their small mark stays in view. */
const pinned = {
  display: { xs: 'block', md: 'none' },
  position: 'sticky',
  top: 0,
  zIndex: 1,
  bgcolor: 'background.default',
  py: 0.5,
} as const;
const hidden = {
  position: 'absolute',
  width: '1px',
  height: '1px',
  overflow: 'hidden',
  clipPath: 'inset(50%)',
} as const;
