import { Box, GlobalStyles, Typography, useMediaQuery } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
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
import { knownQuery } from '../../api/queries';
import type { Known } from '../../ui/AxisBar';
import { AxisBars, type Place } from '../../ui/AxisBars';
import { BarMark } from '../../ui/BarMark';
import { Choice } from '../../ui/Choice';
import { Frame } from '../../ui/Frame';
import { BatchLine } from './BatchLine';
import { BenchBanners } from './BenchBanners';
import { BenchHead } from './BenchHead';
import { lineSteps } from './lineSteps';
import { BenchPanel, type Panel, panels } from './BenchPanel';
import { SauceFoot } from '../sauce/SauceHead';
import { Hazards } from '../sauce/SauceFacts';
import { useInView } from '../../ui/useInView';
import { useBench } from './useBench';
import { useBenchKeys } from './useBenchKeys';
import { axisContributors } from './axisContributors';
import type { SwapLine } from '../tools/SwapPanel';
import { EmptyBench } from './EmptyBench';
import { BenchLines } from './BenchLines';
import { barsPlace, underTheBars, makersLine, goneLine, pinned, hidden } from './benchLooks';
import { halves } from '../../ui/looks';
import { say } from './sentences';

/** One sauce being designed: lines, bars, fractions and corrections in one view. */
export function Bench({ sauce, kitchen }: { sauce: Sauce; kitchen: Kitchen }) {
  const bench = useBench(sauce, kitchen);
  const { isEmpty, report, advice, style, saving, applyCorrection } = bench;
  const [previewed, setPreviewed] = useState<number | null>(null);
  const [sidePreview, setSidePreview] = useState<Axes | null>(null);
  const [considered, setConsidered] = useState<Correction | null>(null);
  const [panel, setPanel] = useState<Panel>(sauce.is_told ? 'told' : 'add');
  const [swapLine, setSwapLine] = useState<SwapLine | null>(null);
  const [showsMixed, setShowsMixed] = useState(false);
  const [looked, setLooked] = useState<AxisKey | null>(null);
  const linesRef = useRef<HTMLDivElement>(null);
  const panelRef = useRef<HTMLDivElement>(null);
  const barsRef = useRef<HTMLDivElement>(null);
  const showsBars = useInView(barsRef, isEmpty);

  const isWide = useMediaQuery('(min-width:900px)', { noSsr: true });
  const isSlim = isWide && panel !== 'add';
  const corrections = advice.answer?.corrections ?? noCorrections;
  const isBesides = panel === 'swap' || panel === 'scale' || panel === 'thickness';
  const preview =
    (bench.held === null || !advice.isCurrent ? null : (corrections[0]?.after ?? null)) ??
    considered?.after ??
    (isBesides ? sidePreview : previewed === null ? null : (corrections[previewed]?.after ?? null));
  // until it is weighed anew it stands as it was last stored, so that nothing moves when the answer comes
  const early = report === null && !isEmpty ? stored(sauce) : null;
  const axes = isEmpty ? null : (report?.axes ?? early?.axes ?? null);
  const shown = showsMixed ? (report?.mixed?.axes ?? null) : null;
  const brought = useMemo(() => axisContributors(report, looked), [report, looked]);

  const known = useQuery({ ...knownQuery(style?.key ?? ''), enabled: style !== null });
  const { held, hold, aimAt } = bench;
  const placed = bench.draft.aim as readonly Place[];
  const pull = useMemo(() => ({ held, placed, onHold: hold, onPlace: aimAt }), [held, placed, hold, aimAt]);

  const openSwap = useCallback((id: number) => {
    setSwapLine({ id, part: 1 });
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
      <Choice
        label={say.besideTheBars}
        options={sauce.is_told ? panels : untold}
        value={panel}
        onChoose={setPanel}
        controls="panel"
      />
    </Box>
  );

  return (
    <Frame
      head={<BenchHead bench={bench} kitchen={kitchen} report={report} early={early} />}
      foot={<SauceFoot sauce={sauce.id} at="bench" />}
    >
      <GlobalStyles styles={underTheBars} />
      {axes !== null && !showsBars && (
        <Box sx={pinned}>
          <BarMark axes={preview ?? axes} />
        </Box>
      )}
      <BenchBanners
        saving={saving}
        fault={bench.balance.fault}
        keepMine={bench.keepMine}
        takeTheirs={bench.takeTheirs}
      />
      <Box sx={halves}>
        <BenchLines
          ref={linesRef}
          bench={bench}
          kitchen={kitchen}
          shares={panel === 'method' && brought.lines.size === 0 ? lineSteps(bench.report) : brought.lines}
          onSwap={openSwap}
        />
        {axes !== null ? (
          <Box sx={{ display: { xs: 'contents', md: 'block' } }}>
            <Box ref={barsRef} sx={barsPlace}>
              <Box aria-live="polite" sx={hidden}>
                {bench.said}
              </Box>
              {/* above the bars, which fold when a tool is opened: what was tapped stays under the pointer */}
              {isWide && tabs}
              <Hazards cautions={report?.cautions ?? early?.stops ?? noCautions} />
              <AxisBars
                axes={shown ?? axes}
                preview={preview}
                styleName={style?.name ?? null}
                isTentative={bench.isPresumed}
                looked={looked}
                onLook={(axis) => {
                  setLooked(looked === axis ? null : axis);
                }}
                mends={advice.answer?.by_axis ?? noMends}
                onMend={apply}
                onConsider={setConsidered}
                letGo={bench.draft.let_go}
                mayLetGo={report?.may_let_go ?? noAxes}
                onLetGo={bench.letGo}
                pull={pull}
                isSlim={isSlim}
                known={known.data?.axes ?? null}
                pungency={report?.pungency ?? early?.pungency ?? null}
              />
              <BatchLine report={report} showsMixed={showsMixed} onMixed={setShowsMixed} />
              <Typography data-makers sx={isSlim && looked === null ? goneLine : makersLine}>
                {looked !== null
                  ? [brought.says, ofKnown(known.data?.axes[looked] ?? [])].join(' ')
                  : bench.isPresumed && style !== null
                    ? say.comparedWithAGuess(style.name.toLowerCase())
                    : (bench.learned?.says ?? say.tapAnAxisToSee)}
              </Typography>
            </Box>
            <Box sx={{ order: 3 }}>
              {!isWide && tabs}
              <Box
                id="panel"
                role="tabpanel"
                aria-labelledby={`panel-${panel}`}
                ref={panelRef}
                sx={{ minHeight: { md: 230 } }}
              >
                {report !== null && (
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
                )}
              </Box>
            </Box>
          </Box>
        ) : (
          <EmptyBench bench={bench} />
        )}
      </Box>
    </Frame>
  );
}

/** What was kept of a sauce's standing; what was kept before there were sizes has less. */
function stored(sauce: Sauce): Partial<Sauce['standing']> {
  return sauce.standing;
}

/** The family's known recipes, from the least to the most of it. */
function ofKnown(recipes: readonly Known[]): string {
  const titles = [...recipes].sort((one, other) => one.steps - other.steps).map((one) => `“${one.title}”`);
  return titles.length === 0 ? '' : say.knownRecipes(titles.join(', '));
}

/** The ways of a sauce that nobody told of. */
const untold = panels.filter(([panel]) => panel !== 'told');
const noCorrections: readonly Correction[] = [];

const noCautions: Balance['cautions'] = [];
const noAxes: readonly AxisKey[] = [];
const noMends: Advice['by_axis'] = {};
