import { Box, Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react';
import { Link, useNavigate } from 'react-router';
import { later } from '../../ui/later';
import {
  api,
  type Axes,
  type AxisKey,
  type Balance,
  type Correction,
  type Formula,
  type Kitchen,
  type Sauce,
} from '../../api/client';
import { AxisBars, BarMark } from '../../ui/AxisBars';
import { Choice } from '../../ui/Choice';
import { Fraction } from '../../ui/Fraction';
import { Frame } from '../../ui/Frame';
import { quietButton } from '../../ui/looks';
import { grams, millilitres, spoken } from '../../ui/words';
import { BenchHead } from './BenchHead';
import { Corrections } from './Corrections';
import { type Draft, draftOf, type DraftLine, editOf, hasTag, newLine, relined } from './draft';
import { LineEditor } from './LineEditor';
import { SauceFacts } from './SauceFacts';
import { Saver, type Saving } from './Saver';
import { useHistory } from './useHistory';
import { useLatest } from '../../api/useLatest';

const KeepPanel = later(async () => (await import('./KeepPanel')).KeepPanel);
const MethodPanel = later(async () => (await import('./MethodPanel')).MethodPanel);
const PartsPanel = later(async () => (await import('./PartsPanel')).PartsPanel);
const ScalePanel = later(async () => (await import('./ScalePanel')).ScalePanel);
const SwapPanel = later(async () => (await import('./SwapPanel')).SwapPanel);
const ThicknessPanel = later(async () => (await import('./ThicknessPanel')).ThicknessPanel);
const VersionsPanel = later(async () => (await import('./VersionsPanel')).VersionsPanel);

const savingWords: Record<Saving['state'], string> = {
  saved: 'Saved',
  saving: 'Saving …',
  away: 'Server away: kept here, sent later',
  troubled: 'Kept here, tried again',
  refused: 'Not stored',
  conflict: 'Changed elsewhere',
};

type Panel = 'add' | 'method' | 'swap' | 'scale' | 'thickness' | 'keep' | 'parts' | 'versions';
const panels: readonly (readonly [Panel, string])[] = [
  ['add', 'What to add'],
  ['method', 'Method'],
  ['swap', 'Swap'],
  ['scale', 'Scale'],
  ['thickness', 'Thickness'],
  ['keep', 'Keep'],
  ['parts', 'Parts'],
  ['versions', 'Versions'],
];

/** Adding to a finished sauce makes it more: the measured yield grows with it. */
function apply(draft: Draft, correction: Correction): Draft {
  const added = correction.additions.map((one) => newLine(`${spoken(one.measure)} ${one.name}`));
  const lines = draft.lines.filter((line, index) => line.text.trim() !== '' || index < draft.lines.length - 1);
  return {
    ...draft,
    lines: [...lines, ...added, newLine('')],
    yield: correction.yield ?? draft.yield,
  };
}

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
    rows: new Map(shares.map((one) => [one.line, `${part(one.share)} of ${axis ?? ''}`])),
    says: axis !== null && shares.length === 0 ? `Nothing brings any ${axis}.` : named.join(', '),
  };
}

/** One sauce being designed: lines, bars, fractions and corrections in one view. */
export function Bench({ sauce, kitchen }: { sauce: Sauce; kitchen: Kitchen }) {
  const [saver] = useState(() => new Saver(sauce));
  const { draft, change, undo, redo, canUndo, canRedo } = useHistory(saver.start);
  const saving = useSyncExternalStore(saver.subscribe, saver.current);
  const [previewed, setPreviewed] = useState<number | null>(null);
  const [sidePreview, setSidePreview] = useState<Axes | null>(null);
  const [panel, setPanel] = useState<Panel>('add');
  const [swapLine, setSwapLine] = useState(0);
  const [showsMixed, setShowsMixed] = useState(false);
  const [looked, setLooked] = useState<AxisKey | null>(null);
  const [complaint, setComplaint] = useState<string | null>(null);
  const [said, setSaid] = useState('');
  const [hindrances, setHindrances] = useState<readonly string[]>([]);
  const navigate = useNavigate();
  const linesRef = useRef<HTMLDivElement>(null);
  const mendRef = useRef<HTMLDivElement>(null);

  const formula = useMemo<Formula>(() => ({ ...editOf(draft), sauce: sauce.id }), [draft, sauce.id]);
  const isEmpty = formula.lines.every((line) => line.trim() === '');
  const balance = useLatest(formula, api.balance);
  const wish = useMemo(() => ({ ...formula, complaint }), [formula, complaint]);
  const hasAim = draft.style !== null || complaint !== null;
  // what to add is asked once the bars stand, so that it never keeps them waiting
  const advice = useLatest(!hasAim || isEmpty || !balance.isCurrent ? null : wish, api.advise);
  const style = kitchen.styles.find((one) => one.key === draft.style) ?? null;
  const report = balance.answer;
  const correction = previewed === null ? null : (advice.answer?.corrections[previewed] ?? null);
  const preview =
    panel === 'swap' || panel === 'scale' || panel === 'thickness' ? sidePreview : (correction?.after ?? null);
  const shown = showsMixed ? (report?.mixed?.axes ?? null) : null;
  const palate = useQuery({ queryKey: ['palate'], queryFn: api.palate, enabled: draft.style !== null });
  const learned = palate.data?.on === true ? palate.data.families.find((one) => one.style === draft.style) : undefined;
  const brought = useMemo(() => makers(report, looked), [report, looked]);

  const set = useCallback(
    <Field extends keyof Draft>(field: Field, value: Draft[Field]) => {
      change((now) => ({ ...now, [field]: value }), field);
    },
    [change],
  );

  /** Sets the lines from texts, as one move; what stays keeps its place. */
  const rewrite = useCallback(
    (texts: readonly string[], words: string) => {
      change((now) => ({ ...now, lines: relined(now.lines, [...texts, '']) }));
      setSaid(`${words} Undo takes it back.`);
    },
    [change],
  );

  const openSwap = useCallback((index: number) => {
    setSwapLine(index);
    setPanel('swap');
  }, []);

  const changeLines = useCallback(
    (next: (lines: readonly DraftLine[]) => readonly DraftLine[], move: string | null) => {
      change((now) => ({ ...now, lines: next(now.lines) }), move);
    },
    [change],
  );

  const applyCorrection = useCallback(
    (correction: Correction) => {
      change((now) => apply(now, correction));
      setPreviewed(null);
      setSaid(
        `Added ${correction.additions.map((one) => `${spoken(one.measure)} ${one.name}`).join(' and ')}. Undo takes it back.`,
      );
    },
    [change],
  );

  const design = useCallback(
    async (batchGrams: number, words: (count: number) => string) => {
      if (draft.style === null) return;
      try {
        const found = await api.design({ ...formula, style: draft.style, batch_grams: batchGrams, may_grow: true });
        rewrite(found.texts, words(found.texts.length));
        setHindrances(found.hindrances);
      } catch (fault) {
        setHindrances([fault instanceof Error ? fault.message : 'That did not work.']);
      }
    },
    [draft.style, formula, rewrite],
  );
  const mixed = (report?.mixed ?? report?.batch)?.grams ?? 0;
  const canSolve = draft.style !== null && mixed > 0 && draft.lines.some((line) => !hasTag(line.text, 'lock'));
  const solve = useCallback(() => {
    if (canSolve) void design(mixed, () => 'The unlocked lines are set.');
  }, [canSolve, design, mixed]);

  useEffect(() => {
    saver.take(draft);
  }, [saver, draft]);

  useEffect(
    () => () => {
      saver.flush();
    },
    [saver],
  );

  useEffect(() => {
    document.title = `${draft.title === '' ? 'New sauce' : draft.title} · Vinculum`;
  }, [draft.title]);

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const key = event.key.toLowerCase();
      if ((event.ctrlKey || event.metaKey) && key === 'z') {
        event.preventDefault();
        if (event.shiftKey) redo();
        else undo();
      } else if ((event.ctrlKey || event.metaKey) && key === 'y') {
        event.preventDefault();
        redo();
      } else if (event.altKey && /^Digit[1-8]$/.test(event.code)) {
        const correction = advice.answer?.corrections[Number(event.code.slice(5)) - 1];
        if (correction !== undefined) {
          event.preventDefault();
          applyCorrection(correction);
        }
      } else if (event.altKey && event.code === 'KeyL') {
        event.preventDefault();
        linesRef.current?.querySelector<HTMLElement>('ol input')?.focus();
      } else if (event.altKey && event.code === 'KeyC') {
        event.preventDefault();
        setPanel('add');
        requestAnimationFrame(() => mendRef.current?.querySelector<HTMLElement>('[data-correction]')?.focus());
      } else if (event.altKey && event.code === 'KeyU') {
        event.preventDefault();
        solve();
      }
    };
    window.addEventListener('keydown', onKey);
    return () => {
      window.removeEventListener('keydown', onKey);
    };
  }, [undo, redo, advice.answer, applyCorrection, solve]);

  const keepMine = async () => {
    saver.giveUp();
    const copy = await api.addSauce({ ...editOf(draft), title: `${draft.title} (my copy)` });
    if (saving.state === 'conflict' && saving.theirs !== null) saver.takeTheirs(saving.theirs);
    await navigate(`/sauce/${copy.id}`);
  };

  const tools = (
    <>
      <Typography
        component="span"
        role="status"
        data-saving={saving.state}
        sx={{ fontSize: '0.9rem', color: 'text.secondary' }}
      >
        {savingWords[saving.state]}
      </Typography>
      <Box
        component={Link}
        to={`/sauce/${sauce.id}/taste`}
        sx={{ ...quietButton, display: 'inline-flex', alignItems: 'center', textDecoration: 'underline' }}
      >
        Taste
      </Box>
      <Box
        component={Link}
        to={`/sauce/${sauce.id}/cook`}
        sx={{ ...quietButton, display: 'inline-flex', alignItems: 'center', textDecoration: 'underline' }}
      >
        Cook
      </Box>
      <Box
        component={Link}
        to={`/sauce/${sauce.id}/log`}
        sx={{ ...quietButton, display: 'inline-flex', alignItems: 'center', textDecoration: 'underline' }}
      >
        Log
      </Box>
      <Box component="button" type="button" onClick={undo} disabled={!canUndo} sx={quietButton}>
        Undo
      </Box>
      <Box component="button" type="button" onClick={redo} disabled={!canRedo} sx={quietButton}>
        Redo
      </Box>
    </>
  );

  return (
    <Frame tools={tools}>
      {report !== null && !isEmpty && (
        <Box sx={pinned}>
          <BarMark axes={preview ?? report.axes} />
        </Box>
      )}
      {saving.state === 'conflict' && (
        <Box role="alert" sx={banner}>
          <Typography sx={{ flex: 1, minWidth: 240 }}>{saving.message}</Typography>
          <Button variant="contained" onClick={() => void keepMine()}>
            Keep mine as a copy
          </Button>
          <Button
            variant="outlined"
            onClick={() => {
              if (saving.theirs === null) {
                saver.giveUp();
                void navigate('/');
                return;
              }
              const theirs = saver.takeTheirs(saving.theirs);
              change(() => theirs);
            }}
          >
            {saving.theirs === null ? 'Leave mine' : 'Take theirs'}
          </Button>
        </Box>
      )}
      {saving.state === 'troubled' && (
        <Box role="alert" sx={banner} data-troubled>
          <Typography>{saving.message}</Typography>
        </Box>
      )}
      {saving.state === 'refused' && (
        <Box role="alert" sx={banner}>
          <Typography>{saving.message} What you typed stays here until that is mended.</Typography>
        </Box>
      )}
      {balance.fault !== null && saving.state !== 'conflict' && (
        <Box role="alert" sx={banner}>
          <Typography>
            {balance.fault} The bars show the last answer; everything typed is kept and tried again.
          </Typography>
        </Box>
      )}
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
          <BenchHead draft={draft} kitchen={kitchen} set={set} />
          <LineEditor
            lines={draft.lines}
            understood={report?.lines ?? noLines}
            formula={formula}
            shares={brought.rows}
            onChange={changeLines}
            onSwap={openSwap}
          />
          <Box
            component="button"
            type="button"
            onClick={() => {
              change((now) => ({ ...now, lines: [...now.lines, newLine('')] }));
            }}
            sx={{ ...quietButton, px: 0.5, ml: '24px' }}
          >
            Add a line
          </Box>
          <Box
            component="button"
            type="button"
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
            sx={{ ...quietButton, px: 0.5, ml: 2 }}
          >
            Add a stage
          </Box>
        </Box>
        <Box>
          {report !== null && !isEmpty ? (
            <>
              <Box aria-live="polite" sx={hidden}>
                {said}
              </Box>
              <Typography data-batch sx={{ fontSize: '0.95rem', mb: 0.75, minHeight: '1.5em' }}>
                {grams(report.batch.grams)} · {millilitres(report.batch.millilitres)} {report.basis}
                {report.mixed !== null && (
                  <Box
                    component="button"
                    type="button"
                    aria-pressed={showsMixed}
                    data-as-mixed
                    title="Show where it stood before cooking"
                    onClick={() => {
                      setShowsMixed(!showsMixed);
                    }}
                    sx={{ ...quietButton, minHeight: 24, textDecoration: 'underline' }}
                  >
                    {showsMixed ? 'bars: as mixed' : `from ${grams(report.mixed.grams)} mixed`}
                  </Box>
                )}{' '}
                · {report.body.class}
                {report.ph === null && mixed > 0 && <span data-ph-unknown> · pH not known</span>}
                {report.ph !== null && (
                  <Box
                    component="span"
                    title={`between ${report.ph.low.toFixed(1)} and ${report.ph.high.toFixed(1)}; measure it where safety depends on it`}
                  >
                    {' '}
                    · pH about {report.ph.estimate.toFixed(1)} ({report.ph.low.toFixed(1)}–{report.ph.high.toFixed(1)})
                  </Box>
                )}
              </Typography>
              {report.doubt_advice !== null && (
                <Typography data-doubt sx={{ fontSize: '0.88rem', color: 'text.secondary', mb: 0.5 }}>
                  {report.doubt_advice}
                </Typography>
              )}
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
                {looked === null ? (learned?.says ?? 'Tap an axis to see which lines make it.') : brought.says}
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
              <Box id="panel" role="tabpanel" aria-labelledby={`panel-${panel}`} ref={mendRef}>
                {hindrances.map((one) => (
                  <Typography key={one} data-hindrance sx={{ fontSize: '0.95rem' }}>
                    {one}
                  </Typography>
                ))}
                {panel === 'add' && (
                  <Corrections
                    advice={advice.answer}
                    complaints={kitchen.complaints}
                    complaint={complaint}
                    hasAim={hasAim}
                    onComplaint={setComplaint}
                    onPreview={setPreviewed}
                    onApply={applyCorrection}
                    onSolve={canSolve ? solve : null}
                  />
                )}
                {panel === 'method' && (
                  <MethodPanel
                    method={draft.method}
                    pan={draft.pan}
                    stages={report.stages}
                    heats={kitchen.heats}
                    onMethod={(method, field) => {
                      change((now) => ({ ...now, method }), field);
                    }}
                    onPan={(pan) => {
                      set('pan', pan);
                    }}
                  />
                )}
                {panel === 'swap' && (
                  <SwapPanel
                    formula={formula}
                    lines={report.lines}
                    kitchen={kitchen}
                    line={swapLine}
                    onLine={setSwapLine}
                    onPreview={setSidePreview}
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
                      await saver.settled();
                      const cook = await api.cookBatch(sauce.id, start);
                      await navigate(`/cook/${cook.id}`);
                    }}
                    onPreview={setSidePreview}
                    onApply={(texts, words, finished) => {
                      change((now) => ({
                        ...now,
                        lines: relined(now.lines, [...texts, '']),
                        yield: report.basis === 'finished' ? (finished ?? now.yield) : now.yield,
                      }));
                      setSaid(`${words} Undo takes it back.`);
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
                    onPreview={setSidePreview}
                    onAdd={(text) => {
                      rewrite([...editOf(draft).lines, text], `Added ${text}.`);
                    }}
                  />
                )}
                {panel === 'keep' && <KeepPanel formula={formula} sauce={sauce.id} />}
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
                    sauce={sauce.id}
                    written={editOf(draft)}
                    settle={saver.settled}
                    onReturn={(version) => {
                      change(() => draftOf(version));
                      setSaid(`Version ${version.number} is back. Undo takes it back.`);
                    }}
                  />
                )}
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
                  onClick={() => void design(500, (count) => `Drafted ${count} lines.`)}
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

const banner = {
  display: 'flex',
  flexWrap: 'wrap',
  gap: 1.5,
  alignItems: 'center',
  border: '3px solid',
  borderColor: 'bar.preview',
  p: 1.5,
  mt: 1.5,
} as const;
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
