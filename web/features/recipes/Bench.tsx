import { Box, Button, GlobalStyles, Typography, useMediaQuery } from '@mui/material';
import { useCallback, useMemo, useRef, useState } from 'react';
import {
  type Advice,
  type Axes,
  type AxisKey,
  type Balance,
  type Correction,
  type Kitchen,
  type Sauce,
} from '../../api/client';
import { AxisBars, BarMark } from '../../ui/AxisBars';
import { Choice } from '../../ui/Choice';
import { Frame } from '../../ui/Frame';
import { BatchLine } from './BatchLine';
import { BenchBanners } from './BenchBanners';
import { BenchHead } from './BenchHead';
import { BenchPanel, type Panel, panels } from './BenchPanel';
import { RecipeSettings } from './RecipeSettings';
import { newLine } from './draft';
import { LineEditor } from './LineEditor';
import { SauceFoot } from './SauceHead';
import { Hazards, SauceFacts } from './SauceFacts';
import { SetAside } from './SetAside';
import { useInView } from '../../ui/useInView';
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
  const [considered, setConsidered] = useState<Correction | null>(null);
  const [panel, setPanel] = useState<Panel>('add');
  const [swapLine, setSwapLine] = useState(0);
  const [showsMixed, setShowsMixed] = useState(false);
  const [looked, setLooked] = useState<AxisKey | null>(null);
  const linesRef = useRef<HTMLDivElement>(null);
  const panelRef = useRef<HTMLDivElement>(null);
  const barsRef = useRef<HTMLDivElement>(null);
  const showsBars = useInView(barsRef, report === null || isEmpty);

  const isWide = useMediaQuery('(min-width:900px)', { noSsr: true });
  const corrections = advice.answer?.corrections ?? noCorrections;
  const isBesides = panel === 'swap' || panel === 'scale' || panel === 'thickness';
  const preview =
    considered?.after ??
    (isBesides ? sidePreview : previewed === null ? null : (corrections[previewed]?.after ?? null));
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
      setConsidered(null);
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

  // on a wide screen they stay in view with the bars, on a narrow one they lead on from the lines
  const tabs = (
    <Box sx={{ borderBottom: '1px solid', borderColor: 'divider', mb: 0.5 }}>
      <Choice label="Beside the bars" options={panels} value={panel} onChoose={setPanel} controls="panel" />
    </Box>
  );

  return (
    <Frame
      head={<BenchHead bench={bench} kitchen={kitchen} report={report} />}
      foot={<SauceFoot sauce={sauce.id} at="bench" />}
    >
      <GlobalStyles styles={underTheBars} />
      {report !== null && !isEmpty && !showsBars && (
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
      <Box sx={halves}>
        <Box ref={linesRef} component="section" aria-label="The sauce" sx={{ order: { xs: 2, md: 0 } }}>
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
            sx={{ ml: '20px' }}
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
          >
            Add a stage
          </Button>
          <RecipeSettings draft={draft} kitchen={kitchen} set={bench.set} />
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
        {report !== null && !isEmpty ? (
          <Box sx={{ display: { xs: 'contents', md: 'block' } }}>
            <Box ref={barsRef} sx={barsPlace}>
              <Box aria-live="polite" sx={hidden}>
                {bench.said}
              </Box>
              <Hazards report={report} />
              <AxisBars
                axes={shown ?? report.axes}
                preview={preview}
                styleName={style?.name ?? null}
                looked={looked}
                onLook={(axis) => {
                  setLooked(looked === axis ? null : axis);
                }}
                mends={advice.answer?.by_axis ?? noMends}
                onMend={apply}
                onConsider={setConsidered}
                pungency={report.pungency}
              />
              <BatchLine report={report} showsMixed={showsMixed} onMixed={setShowsMixed} />
              <Typography data-makers sx={makersLine}>
                {looked === null ? (bench.learned?.says ?? 'Tap an axis to see which lines make it.') : brought.says}
              </Typography>
              {isWide && tabs}
            </Box>
            <Box sx={{ order: 3 }}>
              {!isWide && tabs}
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
              <SauceFacts
                report={report}
                family={
                  style === null ? null : `${style.name}: from ${style.references} reference formulas, ${style.schools}`
                }
              />
            </Box>
          </Box>
        ) : (
          <EmptyBench bench={bench} />
        )}
      </Box>
    </Frame>
  );
}

/** What to do with nothing written yet. */
function EmptyBench({ bench }: { bench: ReturnType<typeof useBench> }) {
  return (
    <Box sx={{ mt: 2, maxWidth: '46ch' }}>
      <Typography sx={{ color: 'text.secondary' }}>
        Write what goes in, one line for each thing, as you would tell a friend: “2 tbsp honey”, “juice of half a
        lemon”, “a pinch of cayenne”. Or paste a whole recipe. The balance appears here with the first line.
      </Typography>
      {bench.style === null ? (
        <Typography sx={{ mt: 1.5, color: 'text.secondary' }}>
          Or choose a family above, and have a first formula drafted.
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
  );
}

const noCorrections: readonly Correction[] = [];
const noLines: Balance['lines'] = [];

const noMends: Advice['by_axis'] = {};

const halves = {
  display: 'grid',
  gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) minmax(0, 1fr)' },
  columnGap: 4,
  rowGap: 1,
  pt: 1,
} as const;
/** The bars stay in view while a panel below them is read. */
const barsPlace = {
  order: 1,
  position: { md: 'sticky' },
  top: 0,
  zIndex: 2,
  bgcolor: 'background.default',
  pb: 0.5,
} as const;
/** What is gone to by key or link does not end up under the bars. */
const underTheBars = { html: { '@media (min-width: 900px)': { scrollPaddingTop: 410 } } } as const;
const makersLine = { fontSize: '0.88rem', minHeight: '1.4em', color: 'text.secondary' } as const;
/** On a narrow screen the bars are below the lines: their small mark stays in view. */
const pinned = {
  display: { xs: 'block', md: 'none' },
  position: 'fixed',
  top: 0,
  left: 0,
  right: 0,
  zIndex: 4,
  bgcolor: 'background.default',
  borderBottom: '1px solid',
  borderColor: 'divider',
  px: 1.5,
} as const;
const hidden = {
  position: 'absolute',
  width: '1px',
  height: '1px',
  overflow: 'hidden',
  clipPath: 'inset(50%)',
} as const;
