import { Box } from '@mui/material';
import { type ClipboardEvent, type KeyboardEvent, memo, useCallback, useLayoutEffect, useRef } from 'react';
import { Link } from 'react-router';
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

interface RowProps {
  line: DraftLine;
  index: number;
  understood: Line | undefined;
  placeholder: string;
  onText: (id: number, text: string) => void;
  onMend: (index: number) => void;
  onKey: (event: KeyboardEvent<HTMLInputElement>, index: number) => void;
  onPaste: (event: ClipboardEvent<HTMLInputElement>, index: number) => void;
  keep: (id: number, field: HTMLInputElement | null) => void;
}

/** One line: drawn again only when it or what was understood of it changes. */
const LineRow = memo(function LineRow({
  line,
  index,
  understood,
  placeholder,
  onText,
  onMend,
  onKey,
  onPaste,
  keep,
}: RowProps) {
  const meaning = understanding(line.text.trim() === '' ? undefined : understood);
  const isDoubtful =
    understood !== undefined &&
    line.text.trim() !== '' &&
    (understood.status !== 'measured' || understood.alternatives.length > 0);
  const choices = understood?.choices ?? [];
  const noteId = `line-note-${line.id}`;
  return (
    <Box component="li" data-status={understood?.status ?? 'empty'} sx={row}>
      <Box component="span" aria-hidden sx={rowNumber}>
        {index + 1}
      </Box>
      <Box
        component="input"
        ref={(field: HTMLInputElement | null) => {
          keep(line.id, field);
        }}
        value={line.text}
        aria-label={`Line ${index + 1}`}
        aria-describedby={noteId}
        placeholder={placeholder}
        autoComplete="off"
        spellCheck={false}
        onChange={(event: { target: { value: string } }) => {
          onText(line.id, event.target.value);
        }}
        onKeyDown={(event: KeyboardEvent<HTMLInputElement>) => {
          onKey(event, index);
        }}
        onPaste={(event: ClipboardEvent<HTMLInputElement>) => {
          onPaste(event, index);
        }}
        sx={rowField}
      />
      <Box
        id={noteId}
        title={meaning.title}
        sx={meaning.isOff ? rowNoteOff : rowNote}
        style={{ paddingBottom: meaning.text === '' ? 0 : undefined }}
      >
        {isDoubtful && choices.length > 0 && (
          <Box
            component="button"
            type="button"
            title={`${choices.map((choice) => choice.says).join(', or ')} (Alt+M)`}
            aria-label={`Mend line ${index + 1}: ${choices[0]?.says ?? ''}`}
            onClick={() => {
              onMend(index);
            }}
            sx={mendButton}
          >
            mend
          </Box>
        )}
        {understood !== undefined &&
          understood.status === 'unknown' &&
          understood.ingredient === null &&
          understood.written_name !== '' && (
            <Box
              component={Link}
              to={`/pantry?mine=${encodeURIComponent(understood.written_name)}`}
              sx={{ ...mendButton, display: 'inline-flex', alignItems: 'center', textDecoration: 'none' }}
            >
              make it mine
            </Box>
          )}
        {meaning.mark !== '' && (
          <Box component="span" sx={{ fontWeight: 700, color: 'text.primary', mr: 0.5 }}>
            {meaning.mark}
          </Box>
        )}
        {meaning.text}
        {meaning.title !== '' && <span>{` · ${meaning.title}`}</span>}
      </Box>
    </Box>
  );
});

/** The lines as a cook writes them, each with what was understood beside it. */
export function LineEditor({ lines, understood, onChange }: Props) {
  const fields = useRef(new Map<number, HTMLInputElement>());
  const focusNext = useRef<number | null>(null);
  const current = useRef(lines);
  const meanings = useRef(understood);
  const offers = useRef(new Map<number, readonly string[]>());

  useLayoutEffect(() => {
    current.current = lines;
    meanings.current = understood;
    if (focusNext.current !== null) {
      fields.current.get(focusNext.current)?.focus();
      focusNext.current = null;
    }
  });

  const keep = useCallback((id: number, field: HTMLInputElement | null) => {
    if (field === null) fields.current.delete(id);
    else fields.current.set(id, field);
  }, []);

  const focusAt = useCallback((index: number) => {
    const line = current.current[index];
    if (line !== undefined) fields.current.get(line.id)?.focus();
  }, []);

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

  const onText = useCallback(
    (id: number, text: string) => {
      onChange((now) => now.map((one) => (one.id === id ? { ...one, text } : one)), `line ${id}`);
    },
    [onChange],
  );

  /** Takes the next offered reading of a line; after the last comes what was written at first. */
  const onMend = useCallback(
    (index: number) => {
      const line = current.current[index];
      if (line === undefined) return;
      const offered = offers.current.get(line.id);
      const isOffer = offered !== undefined && offered.includes(line.text);
      const texts = isOffer
        ? offered
        : [line.text, ...(meanings.current[index]?.choices ?? []).map((choice) => choice.text)];
      const next = texts[(texts.indexOf(line.text) + 1) % texts.length];
      if (texts.length < 2 || next === undefined) return;
      offers.current.set(line.id, texts);
      onChange((now) => now.map((one) => (one.id === line.id ? { ...one, text: next } : one)), null);
    },
    [onChange],
  );

  const onKey = useCallback(
    (event: KeyboardEvent<HTMLInputElement>, index: number) => {
      const field = event.currentTarget;
      const all = current.current;
      if (event.key === 'Enter') {
        event.preventDefault();
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
        focusNext.current = all[index === 0 ? 1 : index - 1]?.id ?? null;
        onChange((now) => now.filter((_, at) => at !== index), null);
      } else if (event.altKey && event.code === 'KeyM') {
        event.preventDefault();
        onMend(index);
      } else if ((event.key === 'ArrowUp' || event.key === 'ArrowDown') && !event.altKey) {
        event.preventDefault();
        focusAt(event.key === 'ArrowUp' ? index - 1 : index + 1);
      }
    },
    [focusAt, insertAfter, onChange, onMend],
  );

  const onPaste = useCallback(
    (event: ClipboardEvent<HTMLInputElement>, index: number) => {
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
    },
    [insertAfter],
  );

  return (
    <Box component="ol" aria-label="Lines of the sauce" sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {lines.map((line, index) => (
        <LineRow
          key={line.id}
          line={line}
          index={index}
          understood={understood[index]}
          placeholder={lines.length === 1 ? '½ cup cider vinegar' : ''}
          onText={onText}
          onMend={onMend}
          onKey={onKey}
          onPaste={onPaste}
          keep={keep}
        />
      ))}
    </Box>
  );
}

const row = {
  display: 'grid',
  gridTemplateColumns: { xs: '28px minmax(0, 1fr)', sm: '28px minmax(0, 1fr) minmax(0, 44%)' },
  alignItems: 'center',
  minHeight: 38,
  contentVisibility: 'auto',
  containIntrinsicSize: 'auto 38px',
  '@media (pointer: coarse)': { minHeight: 44 },
  borderBottom: '1px solid',
  borderColor: 'divider',
  '&:focus-within': { bgcolor: 'bar.track' },
} as const;
const rowNumber = { color: 'text.secondary', fontSize: '0.8rem', textAlign: 'right', pr: 1 } as const;
const rowField = {
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
} as const;
const rowNote = {
  gridColumn: { xs: '2', sm: 'auto' },
  fontSize: '0.86rem',
  lineHeight: 1.2,
  color: 'text.secondary',
  pl: { xs: 0.5, sm: 1 },
  pb: { xs: 0.75, sm: 0 },
  overflow: 'hidden',
  textOverflow: 'ellipsis',
  whiteSpace: 'nowrap',
} as const;
const mendButton = {
  font: 'inherit',
  fontSize: '0.82rem',
  minHeight: 30,
  '@media (pointer: coarse)': { minHeight: 44 },
  px: 0.75,
  mr: 0.75,
  border: '1px solid',
  borderColor: 'divider',
  borderRadius: '3px',
  bgcolor: 'transparent',
  color: 'text.primary',
  cursor: 'pointer',
  '&:hover': { borderColor: 'text.primary' },
} as const;
const rowNoteOff = { ...rowNote, textDecoration: 'underline wavy', textUnderlineOffset: '4px' } as const;
