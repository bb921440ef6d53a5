import { Box } from '@mui/material';
import {
  type ClipboardEvent,
  type KeyboardEvent,
  type PointerEvent,
  useCallback,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
} from 'react';
import { api, type Formula, type Line } from '../../api/client';
import { type DraftLine, newLine, type Tag, withTag } from './draft';
import { LineMenu } from './LineMenu';
import { LineRow, type RowActions } from './LineRow';
import { useLatest } from '../../api/useLatest';
import { useNudge } from './useNudge';

interface Props {
  lines: readonly DraftLine[];
  understood: readonly Line[];
  formula: Formula;
  /** What each line brings of the axis that is looked at. */
  shares: ReadonlyMap<number, string>;
  onChange: (next: (lines: readonly DraftLine[]) => readonly DraftLine[], move: string | null) => void;
  onSwap: (index: number) => void;
}

interface Writing {
  readonly index: number;
  readonly text: string;
}

const noOffers: readonly string[] = [];

const moved = <Item,>(list: readonly Item[], from: number, to: number): readonly Item[] => {
  const left = list.filter((_, at) => at !== from);
  const item = list[from];
  return item === undefined ? list : [...left.slice(0, to), item, ...left.slice(to)];
};

/** The lines as a cook writes them, each with what was understood beside it. */
export function LineEditor({ lines, understood, formula, shares, onChange, onSwap }: Props) {
  const fields = useRef(new Map<number, HTMLInputElement>());
  // a sauce that was begun with nothing waits for its first line
  const focusNext = useRef<number | null>(lines.length === 1 && lines[0]?.text === '' ? lines[0].id : null);
  const current = useRef(lines);
  const meanings = useRef(understood);
  const mends = useRef(new Map<number, readonly string[]>());
  const [writing, setWriting] = useState<Writing | null>(null);
  const [chosen, setChosen] = useState(-1);
  const [menu, setMenu] = useState<{ index: number; anchor: HTMLElement } | null>(null);
  const [dragged, setDragged] = useState<number | null>(null);
  const nudge = useNudge(formula, current, onChange, fields);

  const question = useMemo(
    () =>
      writing === null
        ? null
        : {
            text: writing.text.slice(0, 400),
            ...(formula.measures === undefined ? {} : { measures: formula.measures }),
            sauce: formula.sauce ?? null,
          },
    [writing, formula.measures, formula.sauce],
  );
  const found = useLatest(question, api.suggest);
  const offers = useMemo(
    () =>
      writing === null
        ? noOffers
        : (found.answer?.suggestions ?? [])
            .map((one) => one.text)
            .filter((text) => text.toLowerCase() !== writing.text.trim().toLowerCase()),
    [writing, found.answer],
  );
  const state = useRef({ offers, chosen, writing });

  useLayoutEffect(() => {
    current.current = lines;
    meanings.current = understood;
    state.current = { offers: found.isCurrent ? offers : noOffers, chosen, writing };
    nudge.settle();
    if (focusNext.current !== null) {
      const field = fields.current.get(focusNext.current);
      field?.focus();
      field?.setSelectionRange(field.value.length, field.value.length);
      focusNext.current = null;
    }
  });

  const focusAt = useCallback((index: number) => {
    const line = current.current[index];
    const field = line === undefined ? undefined : fields.current.get(line.id);
    field?.focus();
    field?.setSelectionRange(field.value.length, field.value.length);
  }, []);

  const stopWriting = useCallback(() => {
    setWriting(null);
    setChosen(-1);
  }, []);

  const move = useCallback(
    (from: number, to: number) => {
      const line = current.current[from];
      if (line === undefined || to < 0 || to >= current.current.length) return;
      focusNext.current = line.id;
      onChange((now) => moved(now, from, to), null);
    },
    [onChange],
  );

  /** Puts lines in after one, whose own text is replaced, or which goes when the replacement is empty. */
  const insertAfter = useCallback(
    (index: number, texts: readonly string[], replaced: string | null) => {
      const added = texts.map(newLine);
      focusNext.current = added.at(-1)?.id ?? null;
      onChange((now) => {
        const at = now[index];
        const kept = at === undefined || replaced === '' ? [] : [replaced === null ? at : { ...at, text: replaced }];
        return [...now.slice(0, index), ...kept, ...added, ...now.slice(index + 1)];
      }, null);
    },
    [onChange],
  );

  const remove = useCallback(
    (index: number) => {
      const all = current.current;
      focusNext.current = all[index === 0 ? 1 : index - 1]?.id ?? null;
      onChange((now) => (now.length > 1 ? now.filter((_, at) => at !== index) : [newLine('')]), null);
    },
    [onChange],
  );

  const setText = useCallback(
    (index: number, text: string) => {
      onChange((now) => now.map((one, at) => (at === index ? { ...one, text } : one)), null);
    },
    [onChange],
  );

  const take = useCallback(
    (index: number, text: string) => {
      stopWriting();
      setText(index, text);
      focusNext.current = current.current[index]?.id ?? null;
    },
    [setText, stopWriting],
  );

  /** Takes the next offered reading of a line; after the last comes what was written at first. */
  const mend = useCallback(
    (index: number) => {
      const line = current.current[index];
      if (line === undefined) return;
      const offered = mends.current.get(line.id);
      const isOffer = offered !== undefined && offered.includes(line.text);
      const texts = isOffer
        ? offered
        : [line.text, ...(meanings.current[index]?.choices ?? []).map((choice) => choice.text)];
      const next = texts[(texts.indexOf(line.text) + 1) % texts.length];
      if (texts.length < 2 || next === undefined) return;
      mends.current.set(line.id, texts);
      setText(index, next);
    },
    [setText],
  );

  const openMenu = useCallback((index: number, anchor: HTMLElement) => {
    setMenu({ index, anchor });
  }, []);

  const onArrow = useCallback(
    (event: KeyboardEvent<HTMLInputElement>, index: number) => {
      const step = event.key === 'ArrowUp' ? -1 : 1;
      const { offers: open, chosen: at, writing: now } = state.current;
      event.preventDefault();
      if (event.altKey) {
        move(index, index + step);
      } else if (
        open.length > 0 &&
        now?.index === index &&
        (step > 0 || at >= 0) &&
        !event.shiftKey &&
        !event.ctrlKey
      ) {
        // down goes into the offers, up comes back out of them
        setChosen(Math.min(at + step, open.length - 1));
      } else if (event.ctrlKey || nudge.isInAmount(event.currentTarget, meanings.current[index])) {
        nudge.by(index, step === -1 ? 'up' : 'down', event.shiftKey ? 'step' : 'notch');
      } else {
        stopWriting();
        focusAt(index + step);
      }
    },
    [focusAt, move, nudge, stopWriting],
  );

  const onKey = useCallback(
    (event: KeyboardEvent<HTMLInputElement>, index: number) => {
      const field = event.currentTarget;
      const all = current.current;
      const { offers: open, chosen: at, writing: now } = state.current;
      const picked = now?.index === index ? open[at] : undefined;
      if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
        onArrow(event, index);
      } else if (event.key === 'Escape' && open.length > 0) {
        event.stopPropagation();
        stopWriting();
      } else if ((event.key === 'Enter' || event.key === 'Tab') && picked !== undefined && !event.altKey) {
        event.preventDefault();
        take(index, picked);
      } else if (event.key === 'Enter' && event.altKey) {
        event.preventDefault();
        setMenu({ index, anchor: field });
      } else if (event.key === 'Enter') {
        event.preventDefault();
        stopWriting();
        const cut = field.selectionStart ?? field.value.length;
        if (cut < field.value.length) {
          insertAfter(index, [field.value.slice(cut)], field.value.slice(0, cut) || ' ');
        } else if (index + 1 < all.length && all[index + 1]?.text === '') {
          focusAt(index + 1);
        } else {
          insertAfter(index, [''], null);
        }
      } else if (event.key === 'Backspace' && field.value === '' && all.length > 1) {
        event.preventDefault();
        remove(index);
      } else if (event.altKey && event.code === 'KeyM') {
        event.preventDefault();
        mend(index);
      } else if (event.altKey && event.code === 'KeyK') {
        event.preventDefault();
        setText(index, withTag(field.value, 'lock'));
      } else if (event.altKey && event.code === 'KeyS') {
        event.preventDefault();
        onSwap(index);
      }
    },
    [focusAt, insertAfter, mend, onArrow, onSwap, remove, setText, stopWriting, take],
  );

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
      insertAfter(index, all, '');
    },
    [insertAfter, stopWriting],
  );

  /** Drags a line by its handle: it takes the place of the line under the pointer as it goes. */
  const drag = useCallback(
    (event: PointerEvent<HTMLElement>, id: number) => {
      if (event.button !== 0) return;
      event.preventDefault();
      setDragged(id);
      const list = event.currentTarget.closest('ol');
      const onMove = (to: globalThis.PointerEvent) => {
        const rows = [...(list?.querySelectorAll<HTMLElement>('[data-line]') ?? [])];
        const over = rows.findIndex((one) => to.clientY < one.getBoundingClientRect().bottom);
        const target = over < 0 ? rows.length - 1 : over;
        onChange((now) => {
          const from = now.findIndex((line) => line.id === id);
          return from < 0 || from === target ? now : moved(now, from, target);
        }, `drag ${id}`);
      };
      const onUp = () => {
        setDragged(null);
        window.removeEventListener('pointermove', onMove);
        window.removeEventListener('pointerup', onUp);
        window.removeEventListener('pointercancel', onUp);
      };
      window.addEventListener('pointermove', onMove);
      window.addEventListener('pointerup', onUp);
      window.addEventListener('pointercancel', onUp);
    },
    [onChange],
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
      <Box component="ol" aria-label="Lines of the sauce" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {lines.map((line, index) => (
          <LineRow
            key={line.id}
            line={line}
            index={index}
            understood={understood[index]}
            share={shares.get(index + 1) ?? ''}
            suggestions={writing?.index === index && found.isCurrent ? offers : noOffers}
            chosen={writing?.index === index ? chosen : -1}
            isDragged={dragged === line.id}
            placeholder={lines.length === 1 ? '½ cup cider vinegar' : ''}
            actions={actions}
          />
        ))}
      </Box>
      <LineMenu
        anchor={menu?.anchor ?? null}
        lines={lines}
        index={menu?.index ?? 0}
        onClose={() => {
          setMenu(null);
        }}
        onTag={(which) => {
          if (menu !== null) tag(menu.index, which);
        }}
        onMove={(to) => {
          if (menu !== null) move(menu.index, to);
        }}
        onSwap={() => {
          if (menu !== null) onSwap(menu.index);
        }}
        onRemove={() => {
          if (menu !== null) remove(menu.index);
        }}
      />
    </>
  );
}
