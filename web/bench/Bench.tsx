import { Box, Button, Typography } from '@mui/material';
import { useCallback, useEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react';
import { useNavigate } from 'react-router';
import {
  api,
  type AxisKey,
  type Balance,
  type Correction,
  type Formula,
  type Kitchen,
  type Measures,
  type Sauce,
} from '../shared/api';
import { AxisBars, BarMark } from '../shared/AxisBars';
import { Fraction } from '../shared/Fraction';
import { Frame, quietButton } from '../shared/Frame';
import { textField } from '../shared/fields';
import { displayFont } from '../shared/theme';
import { grams, millilitres } from '../shared/words';
import { Corrections } from './Corrections';
import { type Draft, type DraftLine, editOf, newLine } from './draft';
import { LineEditor } from './LineEditor';
import { useHistory } from './useHistory';
import { useLatest } from './useLatest';
import { Saver, type Saving } from './Saver';

const savingWords: Record<Saving['state'], string> = {
  saved: 'Saved',
  saving: 'Saving …',
  away: 'Server away: kept here, sent later',
  refused: 'Not stored',
  conflict: 'Changed elsewhere',
};

/** Adding to a finished sauce makes it more: the measured yield grows with it. */
function apply(draft: Draft, correction: Correction, isFinished: boolean): Draft {
  const added = correction.additions.map((one) => newLine(`${one.measure.replace(/ whole$/, '')} ${one.name}`));
  const lines = draft.lines.filter((line) => line.text.trim() !== '');
  return {
    ...draft,
    lines: [...lines, ...added, newLine('')],
    yield: isFinished ? `${Math.round(correction.batch_millilitres)} ml` : draft.yield,
  };
}

/** One sauce being designed: lines, bars, fractions and corrections in one view. */
export function Bench({ sauce, kitchen }: { sauce: Sauce; kitchen: Kitchen }) {
  const [saver] = useState(() => new Saver(sauce));
  const { draft, change, undo, redo, canUndo, canRedo } = useHistory(saver.start);
  const saving = useSyncExternalStore(saver.subscribe, saver.current);
  const [previewed, setPreviewed] = useState<number | null>(null);
  const [complaint, setComplaint] = useState<string | null>(null);
  const [said, setSaid] = useState('');
  const navigate = useNavigate();
  const linesRef = useRef<HTMLDivElement>(null);
  const mendRef = useRef<HTMLDivElement>(null);

  const formula = useMemo<Formula>(() => ({ ...editOf(draft) }), [draft]);
  const isEmpty = formula.lines.every((line) => line.trim() === '');
  const balance = useLatest(formula, api.balance);
  const wish = useMemo(() => ({ ...formula, complaint }), [formula, complaint]);
  const hasAim = draft.style !== null || complaint !== null;
  const advice = useLatest(!hasAim || isEmpty ? null : wish, api.advise);
  const style = kitchen.styles.find((one) => one.key === draft.style) ?? null;
  const report = balance.answer;
  const preview = previewed === null ? null : (advice.answer?.corrections[previewed] ?? null);

  const set = useCallback(
    <Field extends keyof Draft>(field: Field, value: Draft[Field]) => {
      change((now) => ({ ...now, [field]: value }), field);
    },
    [change],
  );

  const changeLines = useCallback(
    (next: (lines: readonly DraftLine[]) => readonly DraftLine[], move: string | null) => {
      change((now) => ({ ...now, lines: next(now.lines) }), move);
    },
    [change],
  );

  const applyCorrection = useCallback(
    (correction: Correction) => {
      change((now) => apply(now, correction, report?.basis === 'finished'));
      setPreviewed(null);
      setSaid(
        `Added ${correction.additions.map((one) => `${one.measure} ${one.name}`).join(' and ')}. Undo takes it back.`,
      );
    },
    [change, report?.basis],
  );

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
        mendRef.current?.querySelector<HTMLElement>('button')?.focus();
      }
    };
    window.addEventListener('keydown', onKey);
    return () => {
      window.removeEventListener('keydown', onKey);
    };
  }, [undo, redo, advice.answer, applyCorrection]);

  const draftFormula = async () => {
    if (draft.style === null) return;
    const design = await api.design({ ...formula, style: draft.style, batch_grams: 500 });
    const lines = design.lines.map((line) =>
      newLine(`${line.measure.replace(/ whole$/, '')} ${line.name.toLowerCase()}`),
    );
    change((now) => ({ ...now, lines: [...now.lines.filter((line) => line.text.trim() !== ''), ...lines] }));
    setSaid(`Drafted ${lines.length} lines. Undo takes them back.`);
  };

  const keepMine = async () => {
    const copy = await api.addSauce({ ...editOf(draft), title: `${draft.title} (my copy)` });
    if (saving.state === 'conflict') saver.takeTheirs(saving.theirs);
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
          <BarMark axes={preview?.after ?? report.axes} />
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
              const theirs = saver.takeTheirs(saving.theirs);
              change(() => theirs);
            }}
          >
            Take theirs
          </Button>
        </Box>
      )}
      {saving.state === 'refused' && (
        <Box role="alert" sx={banner}>
          <Typography>{saving.message} What you typed stays here until that is mended.</Typography>
        </Box>
      )}
      {balance.fault !== null && (
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
          <Box
            component="input"
            value={draft.title}
            aria-label="Name of the sauce"
            placeholder="Name of the sauce"
            maxLength={200}
            onChange={(event: { target: { value: string } }) => {
              set('title', event.target.value);
            }}
            sx={{
              ...field,
              fontFamily: displayFont,
              fontWeight: 600,
              fontSize: '1.6rem',
              border: 0,
              bgcolor: 'transparent',
              px: 0,
              width: '100%',
              minHeight: 44,
            }}
          />
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, mt: 0.5, mb: 1 }}>
            <Box component="label" sx={{ flex: '3 1 160px' }}>
              <Box component="span" sx={caption}>
                Style
              </Box>
              <Box
                component="select"
                value={draft.style ?? ''}
                onChange={(event: { target: { value: string } }) => {
                  set('style', event.target.value === '' ? null : event.target.value);
                }}
                sx={{ ...field, width: '100%' }}
              >
                <option value="">no style yet</option>
                {kitchen.styles.map((one) => (
                  <option key={one.key} value={one.key}>
                    {one.name}
                  </option>
                ))}
              </Box>
            </Box>
            <Box component="label" sx={{ flex: '3 1 190px' }}>
              <Box component="span" sx={caption}>
                A cup means
              </Box>
              <Box
                component="select"
                value={draft.measures}
                onChange={(event: { target: { value: string } }) => {
                  set('measures', event.target.value as Measures);
                }}
                sx={{ ...field, width: '100%' }}
              >
                {kitchen.measures.map((one) => (
                  <option key={one.key} value={one.key}>
                    {one.name}
                  </option>
                ))}
              </Box>
            </Box>
            <Box component="label" sx={{ flex: '1 1 100px' }}>
              <Box component="span" sx={caption}>
                Came to, if cooked
              </Box>
              <Box
                component="input"
                value={draft.yield ?? ''}
                placeholder="500 ml"
                maxLength={200}
                onChange={(event: { target: { value: string } }) => {
                  set('yield', event.target.value === '' ? null : event.target.value);
                }}
                sx={{ ...field, width: '100%' }}
              />
            </Box>
          </Box>
          <LineEditor lines={draft.lines} understood={report?.lines ?? noLines} onChange={changeLines} />
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
        </Box>
        <Box>
          {report !== null && !isEmpty ? (
            <>
              <Box aria-live="polite" sx={hidden}>
                {said}
              </Box>
              <Typography data-batch sx={{ fontSize: '0.95rem', mb: 0.75, minHeight: '1.5em' }}>
                {grams(report.batch.grams)} · {millilitres(report.batch.millilitres)} {report.basis} ·{' '}
                {report.body.class}
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
              <AxisBars axes={report.axes} preview={preview?.after ?? null} styleName={style?.name ?? null} />
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
              <div ref={mendRef}>
                <Corrections
                  advice={advice.answer}
                  complaints={kitchen.complaints}
                  complaint={complaint}
                  hasAim={hasAim}
                  onComplaint={setComplaint}
                  onPreview={setPreviewed}
                  onApply={applyCorrection}
                />
              </div>
              <Facts report={report} />
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
                <Button variant="contained" onClick={() => void draftFormula()} sx={{ mt: 1.5 }}>
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

/** Allergens, diets, cautions and notes: never hidden, never in the way. */
function Facts({ report }: { report: Balance }) {
  const signs = { stop: 'Stop', warn: 'Mind', info: 'Note' } as const;
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
        <p key={caution.code} data-caution={caution.severity} style={{ margin: '4px 0' }}>
          <strong>{signs[caution.severity]}:</strong> {caution.text}{' '}
          <Box component="span" sx={{ color: 'text.secondary' }}>
            ({caution.source})
          </Box>
        </p>
      ))}
      {report.notes.map((note) => (
        <Box component="p" key={note} sx={{ my: 0.5, color: 'text.secondary' }}>
          {note}
        </Box>
      ))}
    </Box>
  );
}

const field = textField;
const caption = { display: 'block', fontSize: '0.8rem', color: 'text.secondary' } as const;
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
