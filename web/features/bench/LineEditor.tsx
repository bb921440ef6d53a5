import { Box } from '@mui/material';
import { type ClipboardEvent, useCallback, useLayoutEffect, useMemo, useRef, useState } from 'react';
import type { Formula, Line } from '../../api/client';
import { type DraftLine, type Tag, withTag } from '../sauce/draft';
import { later } from '../../ui/later';
import { LineRow, type RowActions } from './LineRow';
import { useLineDrag } from './useLineDrag';
import { useLineEdits } from './useLineEdits';
import { useLineKeys } from './useLineKeys';
import { noOffers, useNameOffers, type Writing } from './useNameOffers';
import { byLine } from './understood';
import { useNudge } from './useNudge';
import { say } from './sentences';

const LineMenu = later(async () => (await import('./LineMenu')).LineMenu);

interface Props {
  lines: readonly DraftLine[];
  understood: readonly Line[];
  formula: Formula;
  /** What each line brings of the axis that is looked at. */
  shares: ReadonlyMap<number, string>;
  onChange: (next: (lines: readonly DraftLine[]) => readonly DraftLine[], move: string | null) => void;
  onSwap: (id: number) => void;
  /** Takes in what was pasted, where it is more than one line. */
  onPage: (text: string, index: number) => Promise<boolean>;
  /** Sets a line aside: it is none of the sauce. */
  onAside: (index: number) => void;
}

/** The lines as a cook writes them, each with what was understood beside it. */
export function LineEditor({ lines, understood: entries, formula, shares, onChange, onSwap, onPage, onAside }: Props) {
  const understood = useMemo(() => byLine(entries), [entries]);
  const fields = useRef(new Map<number, HTMLInputElement>());
  // a sauce that was begun with nothing waits for its first line
  const focusNext = useRef<number | null>(lines.length === 1 && lines[0]?.text === '' ? lines[0].id : null);
  const current = useRef(lines);
  const meanings = useRef(understood);
  const [writing, setWriting] = useState<Writing | null>(null);
  const [chosen, setChosen] = useState(-1);
  const [menu, setMenu] = useState<{ index: number; anchor: HTMLElement } | null>(null);
  const { drag, dragged } = useLineDrag(onChange);
  const nudge = useNudge(formula, current, onChange, fields);

  const offers = useNameOffers(writing, formula);
  const state = useRef({ offers, chosen, writing });

  useLayoutEffect(() => {
    current.current = lines;
    meanings.current = understood;
    state.current = { offers, chosen, writing };
    nudge.settle();
    if (focusNext.current !== null) {
      const field = fields.current.get(focusNext.current);
      field?.focus();
      field?.setSelectionRange(field.value.length, field.value.length);
      focusNext.current = null;
    }
  });

  const { focusAt, move, insertAfter, remove, setText, mend } = useLineEdits({
    linesRef: current,
    meaningsRef: meanings,
    fields,
    focusNextRef: focusNext,
    onChange,
  });

  const stopWriting = useCallback(() => {
    setWriting(null);
    setChosen(-1);
  }, []);

  const take = useCallback(
    (index: number, text: string) => {
      stopWriting();
      setText(index, text);
      focusNext.current = current.current[index]?.id ?? null;
    },
    [setText, stopWriting],
  );

  const openMenu = useCallback((index: number, anchor: HTMLElement) => {
    setMenu({ index, anchor });
  }, []);

  const onKey = useLineKeys({
    linesRef: current,
    meaningsRef: meanings,
    stateRef: state,
    nudge,
    setChosen,
    move,
    focusAt,
    stopWriting,
    take,
    insertAfter,
    remove,
    mend,
    setText,
    onSwap,
    onAside,
    openMenu,
  });

  const onPaste = useCallback(
    (event: ClipboardEvent<HTMLInputElement>, index: number) => {
      const pasted = event.clipboardData.getData('text');
      if (!/[\r\n]/.test(pasted.trim())) return;
      event.preventDefault();
      stopWriting();
      const field = event.currentTarget;
      const texts = pasted
        .split(/\r?\n|\r/)
        .map((line) => line.trim())
        .filter((line) => line !== '');
      const before = field.value.slice(0, field.selectionStart ?? 0);
      const after = field.value.slice(field.selectionEnd ?? field.value.length);
      const [first = '', ...rest] = texts;
      const all = [before + first, ...rest];
      all[all.length - 1] = (all.at(-1) ?? '') + after;
      void onPage(pasted, index).then((isTaken) => {
        // the kitchen is away: as lines, then
        if (!isTaken) insertAfter(index, all, '');
      });
    },
    [insertAfter, onPage, stopWriting],
  );

  const actions = useMemo<RowActions>(
    () => ({
      text: (id, text) => {
        const index = current.current.findIndex((one) => one.id === id);
        // names are offered while one is written, not while an amount is mended
        const isAtEnd = fields.current.get(id)?.selectionEnd === text.length;
        setWriting(isAtEnd ? { index, text } : null);
        setChosen(-1);
        onChange((now) => now.map((one) => (one.id === id ? { ...one, text } : one)), `line ${id}`);
      },
      mend,
      key: onKey,
      paste: onPaste,
      keep: (id, field) => {
        if (field === null) fields.current.delete(id);
        else fields.current.set(id, field);
      },
      menu: openMenu,
      drag,
      blur: stopWriting,
      take,
    }),
    [drag, mend, onChange, onKey, onPaste, openMenu, stopWriting, take],
  );

  const tag = (index: number, which: Tag) => {
    setText(index, withTag(current.current[index]?.text ?? '', which));
  };

  return (
    <>
      <Box component="ol" aria-label={say.linesOfTheSauce} sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {lines.map((line, index) => (
          <LineRow
            key={line.id}
            line={line}
            index={index}
            understood={understood.get(line.id)}
            share={shares.get(line.id) ?? ''}
            suggestions={writing?.index === index ? offers : noOffers}
            chosen={writing?.index === index ? chosen : -1}
            isDragged={dragged === line.id}
            placeholder={lines.length === 1 ? say.cupCiderVinegar : ''}
            actions={actions}
          />
        ))}
      </Box>
      {menu !== null && (
        <LineMenu
          anchor={menu.anchor}
          lines={lines}
          index={menu.index}
          onClose={() => {
            setMenu(null);
          }}
          onTag={(which) => {
            tag(menu.index, which);
          }}
          onMove={(to) => {
            move(menu.index, to);
          }}
          onSwap={() => {
            const line = lines[menu.index];
            if (line !== undefined) onSwap(line.id);
          }}
          onAside={() => {
            onAside(menu.index);
          }}
          onRemove={() => {
            remove(menu.index);
          }}
        />
      )}
    </>
  );
}
