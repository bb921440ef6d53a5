import { Box } from '@mui/material';
import { type ClipboardEvent, type KeyboardEvent, useCallback, useLayoutEffect, useRef } from 'react';
import type { Line } from '../shared/api';
import { grams } from '../shared/words';
import { type DraftLine, newLine } from './draft';

interface Props {
  lines: readonly DraftLine[];
  understood: readonly Line[];
  onChange: (next: (lines: readonly DraftLine[]) => readonly DraftLine[], move: string | null) => void;
}

/** What the program made of a line, in words beside it. */
function understanding(line: Line | undefined): { text: string; mark: string; title: string; isOff: boolean } {
  if (line === undefined) return { text: '', mark: '', title: '', isOff: false };
  const name = line.name ?? '';
  const amount = line.grams === null ? '' : grams(line.grams.value);
  switch (line.status) {
    case 'measured':
      return { text: `${amount} ${name}`, mark: '', title: line.note ?? '', isOff: false };
    case 'assumed':
      return { text: `${amount} ${name}`, mark: '≈', title: line.note ?? 'taken from the usual', isOff: false };
    case 'to-taste':
      return { text: name, mark: 'no amount', title: line.note ?? '', isOff: false };
    case 'unknown':
      return { text: name === '' ? 'not known' : name, mark: 'left out', title: line.note ?? '', isOff: true };
  }
}

/** The lines as a cook writes them, each with what was understood beside it. */
export function LineEditor({ lines, understood, onChange }: Props) {
  const fields = useRef(new Map<number, HTMLInputElement>());
  const focusNext = useRef<number | null>(null);

  useLayoutEffect(() => {
    if (focusNext.current !== null) {
      fields.current.get(focusNext.current)?.focus();
      focusNext.current = null;
    }
  });

  const focusAt = useCallback(
    (index: number) => {
      const line = lines[index];
      if (line !== undefined) fields.current.get(line.id)?.focus();
    },
    [lines],
  );

  const insertAfter = (index: number, texts: readonly string[], replaced: string | null) => {
    const added = texts.map(newLine);
    focusNext.current = added.at(-1)?.id ?? null;
    onChange((now) => {
      const head = now.slice(0, index);
      const at = now[index];
      return [
        ...head,
        ...(at === undefined || replaced === '' ? [] : [replaced === null ? at : { ...at, text: replaced }]),
        ...added,
        ...now.slice(index + 1),
      ];
    }, null);
  };

  const onKey = (event: KeyboardEvent<HTMLInputElement>, index: number) => {
    const field = event.currentTarget;
    if (event.key === 'Enter') {
      event.preventDefault();
      const cut = field.selectionStart ?? field.value.length;
      if (cut < field.value.length) {
        insertAfter(index, [field.value.slice(cut)], field.value.slice(0, cut) || ' ');
      } else if (index + 1 < lines.length && lines[index + 1]?.text === '') {
        focusAt(index + 1);
      } else {
        insertAfter(index, [''], null);
      }
    } else if (event.key === 'Backspace' && field.value === '' && lines.length > 1) {
      event.preventDefault();
      focusNext.current = lines[Math.max(0, index - 1)]?.id ?? null;
      if (index === 0) focusNext.current = lines[1]?.id ?? null;
      onChange((now) => now.filter((_, at) => at !== index), null);
    } else if (event.key === 'ArrowUp' && !event.altKey) {
      event.preventDefault();
      focusAt(index - 1);
    } else if (event.key === 'ArrowDown' && !event.altKey) {
      event.preventDefault();
      focusAt(index + 1);
    }
  };

  const onPaste = (event: ClipboardEvent<HTMLInputElement>, index: number) => {
    const pasted = event.clipboardData.getData('text');
    if (!/[\r\n]/.test(pasted.trim())) return;
    event.preventDefault();
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
  };

  return (
    <Box component="ol" aria-label="Lines of the sauce" sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {lines.map((line, index) => {
        const meaning = understanding(line.text.trim() === '' ? undefined : understood[index]);
        const noteId = `line-note-${line.id}`;
        return (
          <Box
            component="li"
            key={line.id}
            data-status={understood[index]?.status ?? 'empty'}
            sx={{
              display: 'grid',
              gridTemplateColumns: { xs: '28px minmax(0, 1fr)', sm: '28px minmax(0, 1fr) minmax(0, 44%)' },
              alignItems: 'center',
              minHeight: 38,
              '@media (pointer: coarse)': { minHeight: 44 },
              borderBottom: '1px solid',
              borderColor: 'divider',
              '&:focus-within': { bgcolor: 'background.default' },
            }}
          >
            <Box
              component="span"
              aria-hidden
              sx={{ color: 'text.secondary', fontSize: '0.8rem', textAlign: 'right', pr: 1 }}
            >
              {index + 1}
            </Box>
            <Box
              component="input"
              ref={(field: HTMLInputElement | null) => {
                if (field === null) fields.current.delete(line.id);
                else fields.current.set(line.id, field);
              }}
              value={line.text}
              aria-label={`Line ${index + 1}`}
              aria-describedby={noteId}
              placeholder={lines.length === 1 ? '½ cup cider vinegar' : ''}
              autoComplete="off"
              spellCheck={false}
              onChange={(event: { target: { value: string } }) => {
                const text = event.target.value;
                onChange((now) => now.map((one) => (one.id === line.id ? { ...one, text } : one)), `line ${line.id}`);
              }}
              onKeyDown={(event: KeyboardEvent<HTMLInputElement>) => {
                onKey(event, index);
              }}
              onPaste={(event: ClipboardEvent<HTMLInputElement>) => {
                onPaste(event, index);
              }}
              sx={{
                font: 'inherit',
                color: 'text.primary',
                bgcolor: 'transparent',
                border: 0,
                outlineOffset: '-3px',
                minWidth: 0,
                width: '100%',
                height: '100%',
                minHeight: 36,
                '@media (pointer: coarse)': { minHeight: 44 },
                px: 0.5,
                '&::placeholder': { color: 'text.secondary', opacity: 1 },
              }}
            />
            <Box
              id={noteId}
              title={meaning.title}
              sx={{
                gridColumn: { xs: '2', sm: 'auto' },
                fontSize: '0.86rem',
                lineHeight: 1.2,
                color: 'text.secondary',
                pl: { xs: 0.5, sm: 1 },
                pb: { xs: meaning.text === '' ? 0 : 0.75, sm: 0 },
                overflow: 'hidden',
                textOverflow: 'ellipsis',
                whiteSpace: 'nowrap',
                textDecoration: meaning.isOff ? 'underline wavy' : 'none',
                textUnderlineOffset: '4px',
              }}
            >
              {meaning.mark !== '' && (
                <Box component="span" sx={{ fontWeight: 700, color: 'text.primary', mr: 0.5 }}>
                  {meaning.mark}
                </Box>
              )}
              {meaning.text}
              {meaning.title !== '' && (
                <Box component="span" sx={{ ml: 0.75 }}>
                  · {meaning.title}
                </Box>
              )}
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}
