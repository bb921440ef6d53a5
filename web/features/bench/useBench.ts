import { useQuery } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { useNavigate } from 'react-router';
import { api, type AxisKey, type Correction, type Formula, type Kitchen, type Sauce } from '../../api/client';
import type { Place } from '../../ui/AxisBars';
import { palateQuery } from '../../api/queries';
import { useLatest } from '../../api/useLatest';
import { type Draft, type DraftLine, editOf, hasTag, newLine, withRoom, written } from '../sauce/draft';
import { Saver } from './Saver';
import { useHistory } from './useHistory';
import { usePage } from './usePage';
import { usePresumedFamily } from './usePresumedFamily';
import { say } from './sentences';

/** Adding to a finished sauce makes it more: the measured yield grows with it. */
function apply(draft: Draft, correction: Correction): Draft {
  const added = correction.additions.map((one) => newLine(one.line));
  return {
    ...draft,
    lines: withRoom([...written(draft.lines), ...added]),
    yield: correction.yield ?? draft.yield,
  };
}

/** What is weighed: a draft as its family, or as the one it looks like. */
const formulaOf = (draft: Draft, presumed: string | null, sauce: number): Formula => ({
  ...editOf(draft),
  style: draft.style ?? presumed,
  sauce,
});

export type Bench = ReturnType<typeof useBench>;

/** One sauce being designed: its draft with the way back, what it comes to, what could be added, and where it is stored. */
export function useBench(sauce: Sauce, kitchen: Kitchen) {
  const [saver] = useState(() => new Saver(sauce));
  const { draft, change: changeDraft, undo, redo, canUndo, canRedo } = useHistory(saver.start);
  const saving = useSyncExternalStore(saver.subscribe, saver.current);
  const [complaint, setComplaint] = useState<string | null>(null);
  const [said, setSaid] = useState('');
  const [hindrances, setHindrances] = useState<readonly string[]>([]);
  const navigate = useNavigate();

  const presumed = usePresumedFamily(sauce);
  const family = draft.style ?? presumed.family;
  const formula = useMemo(() => formulaOf(draft, presumed.family, sauce.id), [draft, presumed.family, sauce.id]);
  const isEmpty = draft.lines.every((line) => line.text.trim() === '');
  const balance = useLatest(formula, api.balance);
  const { askNow } = balance;
  const change = useCallback(
    (next: (now: Draft) => Draft, move: string | null = null) => {
      // the kitchen weighs it while the page is drawn
      askNow(formulaOf(changeDraft(next, move), presumed.family, sauce.id));
    },
    [askNow, changeDraft, presumed.family, sauce.id],
  );
  const isPresumed = draft.style === null && presumed.family !== null;
  // a mark under the finger is asked about by itself
  const [held, setHeld] = useState<Place | null>(null);
  const wish = useMemo(
    () => ({ ...formula, complaint: held === null ? complaint : null, is_presumed: isPresumed, pull: held }),
    [formula, complaint, held, isPresumed],
  );
  const hasAim = family !== null || complaint !== null || held !== null || draft.aim.length > 0;
  // what to add is asked once the bars stand, so that it never keeps them waiting
  const advice = useLatest(!hasAim || isEmpty || !balance.isCurrent ? null : wish, api.advise);
  const style = kitchen.styles.find((one) => one.key === family) ?? null;
  const report = balance.answer;
  presumed.look(draft, report);
  const palate = useQuery({ ...palateQuery, enabled: draft.style !== null });
  const learned = palate.data?.on === true ? palate.data.families.find((one) => one.style === draft.style) : undefined;

  const set = useCallback(
    <Field extends keyof Draft>(field: Field, value: Draft[Field]) => {
      change((now) => ({ ...now, [field]: value }), field);
    },
    [change],
  );

  /** Whether an axis counts for this sauce. */
  const letGo = useCallback(
    (axis: AxisKey, letsGo: boolean) => {
      change((now) => ({
        ...now,
        let_go: letsGo ? [...now.let_go, axis] : now.let_go.filter((one) => one !== axis),
      }));
    },
    [change],
  );

  /** Where the cook wants an axis of this sauce, in steps; null where its family stands. */
  const aimAt = useCallback(
    (axis: AxisKey, steps: number | null) => {
      setHeld(null);
      change((now) => {
        const others = now.aim.filter((one) => one.axis !== axis);
        return { ...now, aim: steps === null ? others : [...others, { axis, steps }] };
      }, `aim ${axis}`);
    },
    [change],
  );

  /** Sets the lines as the kitchen has rewritten them, as one move. */
  const rewrite = useCallback(
    (lines: readonly DraftLine[], words: string) => {
      change((now) => ({ ...now, lines: withRoom(lines) }));
      setSaid(say.undoTakesItBack(words));
    },
    [change],
  );

  /** Puts a line behind the others, as one move. */
  const add = useCallback(
    (text: string) => {
      change((now) => ({ ...now, lines: withRoom([...written(now.lines), newLine(text)]) }));
      setSaid(say.undoTakesItBack(say.added(text)));
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
      change((now) => apply(now, correction));
      setSaid(say.addedUndoTakesItBack(correction.additions.map((one) => one.line).join(say.and)));
    },
    [change],
  );

  const design = useCallback(
    async (batchGrams: number, words: (count: number) => string) => {
      if (draft.style === null) return;
      try {
        const found = await api.design({ ...formula, style: draft.style, batch_grams: batchGrams, may_grow: true });
        rewrite(found.recipe_lines, words(found.recipe_lines.length));
        setHindrances(found.hindrances);
      } catch (fault) {
        setHindrances([fault instanceof Error ? fault.message : say.thatDidNotWork]);
      }
    },
    [draft.style, formula, rewrite],
  );
  const mixed = (report?.mixed ?? report?.batch)?.grams ?? 0;
  const canSolve = draft.style !== null && mixed > 0 && draft.lines.some((line) => !hasTag(line.text, 'lock'));
  const solve = useCallback(() => {
    if (canSolve) void design(mixed, () => say.theUnlockedLinesAreSet);
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
    document.title = say.sauceTitle(draft.title);
  }, [draft.title]);

  const { takePage, setAside, takeBack } = usePage(draft.measures, change, presumed.lookAnew, setSaid);

  const keepMine = async () => {
    saver.giveUp();
    const copy = await api.addSauce({ ...editOf(draft), title: say.myCopy(draft.title) });
    if (saving.state === 'conflict' && saving.theirs !== null) saver.takeTheirs(saving.theirs);
    await navigate(`/sauce/${copy.id}`);
  };

  const takeTheirs = (theirs: Sauce | null) => {
    if (theirs === null) {
      saver.giveUp();
      void navigate('/');
      return;
    }
    const taken = saver.takeTheirs(theirs);
    change(() => taken);
  };

  return {
    sauce: sauce.id,
    saver,
    saving,
    draft,
    formula,
    isEmpty,
    balance,
    report,
    advice,
    style,
    /** The family is only what it looks like. */
    isPresumed,
    refuseFamily: presumed.refuse,
    learned,
    hasAim,
    complaint,
    complain: setComplaint,
    hindrances,
    said,
    announce: setSaid,
    change,
    changeLines,
    set,
    letGo,
    held,
    hold: setHeld,
    aimAt,
    rewrite,
    add,
    applyCorrection,
    design,
    canSolve,
    solve,
    undo,
    redo,
    canUndo,
    canRedo,
    keepMine,
    takeTheirs,
    takePage,
    setAside,
    takeBack,
  };
}
