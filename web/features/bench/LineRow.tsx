import { Box, ButtonBase, InputBase } from '@mui/material';
import { type ClipboardEvent, type KeyboardEvent, memo, type PointerEvent } from 'react';
import { Link } from 'react-router';
import type { Line } from '../../api/client';
import { describe } from '../../ui/describe';
import { grams } from '../../ui/words';
import { type DraftLine, isHeading } from '../sauce/draft';
import { say } from './sentences';

/** What a row can be asked to do; one object for all rows, so that a row is drawn again only for its own sake. */
export interface RowActions {
  readonly text: (id: number, text: string) => void;
  readonly mend: (index: number) => void;
  readonly key: (event: KeyboardEvent<HTMLInputElement>, index: number) => void;
  readonly paste: (event: ClipboardEvent<HTMLInputElement>, index: number) => void;
  readonly keep: (id: number, field: HTMLInputElement | null) => void;
  readonly menu: (index: number, button: HTMLElement) => void;
  readonly drag: (event: PointerEvent<HTMLElement>, id: number) => void;
  readonly blur: () => void;
  readonly take: (index: number, text: string) => void;
}

interface Props {
  line: DraftLine;
  index: number;
  understood: Line | undefined;
  /** "62 % of the salt", while an axis is looked at. */
  share: string;
  suggestions: readonly string[];
  chosen: number;
  isDragged: boolean;
  placeholder: string;
  actions: RowActions;
}

const marks: Record<string, string> = {
  lock: say.locked,
  steeped: say.steeped,
  cold: say.addedCold,
  optional: say.optionalMark,
};

/** What the program made of a line, in words beside it. */
function understanding(line: Line | undefined): { text: string; mark: string; title: string; isOff: boolean } {
  if (line === undefined || line.status === 'heading') return { text: '', mark: '', title: '', isOff: false };
  const name = line.name ?? '';
  const amount = line.grams === null ? '' : grams(line.grams.value);
  const tags = line.tags.flatMap((tag) => marks[tag] ?? []).join(', ');
  const note = [tags, line.note ?? ''].filter((part) => part !== '').join(' · ');
  // what nothing was made of comes first: the rest may be cut off
  const unread = line.unread.length === 0 ? '' : say.notRead(line.unread.join('”, “'));
  switch (line.status) {
    case 'measured':
      return {
        text: `${amount} ${name}`.trim(),
        mark: unread === '' ? (line.sure === 'likely' ? say.likelyMeasured : '') : unread,
        title: note,
        isOff: false,
      };
    case 'assumed':
      return {
        text: `${amount} ${name}`.trim(),
        mark: unread === '' ? (line.sure === 'likely' ? say.likely : '≈') : `≈ ${unread}`,
        title: note === '' ? say.typicalWeightUsed : note,
        isOff: false,
      };
    case 'to-taste':
      return {
        text: name,
        mark: [say.noAmount, unread].filter((part) => part !== '').join(' · '),
        title: note,
        isOff: false,
      };
    case 'unknown':
      // what is said of it says that it is not known
      return { text: name === '' && note === '' ? say.notKnown : name, mark: say.leftOut, title: note, isOff: true };
  }
}

/** One line: its handle, what is written, what was understood, and its own menu. */
export const LineRow = memo(function LineRow({
  line,
  index,
  understood,
  share,
  suggestions,
  chosen,
  isDragged,
  placeholder,
  actions,
}: Props) {
  const isEmpty = line.text.trim() === '';
  const meaning = understanding(isEmpty ? undefined : understood);
  const isDoubtful =
    understood !== undefined &&
    !isEmpty &&
    (understood.status === 'assumed' ||
      understood.status === 'to-taste' ||
      understood.status === 'unknown' ||
      understood.part !== null ||
      understood.alternatives.length > 0);
  const choices = understood?.mends ?? [];
  const noteId = `line-note-${line.id}`;
  const listId = `line-offers-${line.id}`;
  const isOpen = suggestions.length > 0;
  const isStage = isHeading(line.text);
  const isLong = !isStage && line.text.length > fits;
  return (
    <Box
      component="li"
      data-line={line.id}
      data-status={understood?.status ?? 'empty'}
      sx={isStage ? stageRow : isLong ? longRow : row}
      style={isDragged ? { outline: '3px solid', outlineOffset: '-3px' } : undefined}
    >
      <Box
        component="span"
        aria-hidden
        title={say.dragToMoveAltAnd}
        onPointerDown={(event: PointerEvent<HTMLElement>) => {
          actions.drag(event, line.id);
        }}
        sx={handle}
      >
        {index + 1}
      </Box>
      <Box sx={{ position: 'relative', minWidth: 0 }}>
        <InputBase
          inputRef={(field: HTMLInputElement | null) => {
            actions.keep(line.id, field);
            if (field !== null) describe(field, noteId);
          }}
          value={line.text}
          fullWidth
          placeholder={placeholder}
          autoComplete="off"
          onChange={(event) => {
            actions.text(line.id, event.target.value);
          }}
          onKeyDown={(event) => {
            actions.key(event as KeyboardEvent<HTMLInputElement>, index);
          }}
          onBlur={actions.blur}
          slotProps={{
            input: {
              role: 'combobox',
              'aria-expanded': isOpen,
              'aria-autocomplete': 'list',
              'aria-controls': isOpen ? listId : undefined,
              'aria-activedescendant': isOpen && chosen >= 0 ? `${listId}-${chosen}` : undefined,
              'aria-label': isStage ? say.stageLine(index) : say.line(index),
              spellCheck: false,
              onPaste: (event: ClipboardEvent<HTMLInputElement>) => {
                actions.paste(event, index);
              },
            },
          }}
          sx={isStage ? stageField : rowField}
        />
        {isOpen && (
          <Box component="ul" id={listId} role="listbox" aria-label={say.itMayBe} sx={offers}>
            {suggestions.map((text, number) => (
              <Box
                component="li"
                key={text}
                id={`${listId}-${number}`}
                role="option"
                aria-selected={number === chosen}
                data-offer
                onPointerDown={(event: PointerEvent<HTMLElement>) => {
                  event.preventDefault();
                  actions.take(index, text);
                }}
                sx={offer}
              >
                {text}
              </Box>
            ))}
          </Box>
        )}
      </Box>
      <Box
        id={noteId}
        title={meaning.title}
        sx={isLong ? (meaning.isOff ? longNoteOff : longNote) : meaning.isOff ? rowNoteOff : rowNote}
        style={isEmpty || isStage ? { paddingBottom: 0, minHeight: 0 } : undefined}
      >
        {share !== '' && (
          <Box component="span" data-share sx={{ fontWeight: 700, color: 'text.primary', mr: 0.75 }}>
            {share}
          </Box>
        )}
        {isDoubtful && choices.length > 0 && (
          <ButtonBase
            title={say.altM(choices.map((choice) => choice.says).join(say.orElse))}
            aria-label={say.fixLine(index, choices[0]?.says)}
            onClick={() => {
              actions.mend(index);
            }}
            sx={mendButton}
          >
            {say.fix}
          </ButtonBase>
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
              {say.addAsMyProduct}
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
      <ButtonBase
        aria-haspopup="menu"
        aria-label={say.whatToDoWithLine(index)}
        title={say.lockSteepSwapMoveAlt}
        onClick={(event: { currentTarget: HTMLElement }) => {
          actions.menu(index, event.currentTarget);
        }}
        sx={menuButton}
      >
        ⋮
      </ButtonBase>
    </Box>
  );
});

const row = {
  display: 'grid',
  gridTemplateColumns: { xs: '28px minmax(0, 1fr) 44px', sm: '28px minmax(0, 1fr) minmax(0, 42%) 32px' },
  alignItems: 'center',
  minHeight: 38,
  '@media (pointer: coarse)': { minHeight: 44 },
  borderBottom: '1px solid',
  borderColor: 'divider',
  '&:focus-within': { bgcolor: 'bar.track' },
} as const;
/** Letters that a field shows beside what was understood; of a longer line that stands below, and the line is seen whole. */
const fits = 34;
const longRow = {
  ...row,
  gridTemplateColumns: { xs: '28px minmax(0, 1fr) 44px', sm: '28px minmax(0, 1fr) 32px' },
} as const;
const stageRow = { ...row, borderBottom: '3px solid', borderColor: 'bar.rule', mt: 0.5 } as const;
const handle = {
  color: 'text.secondary',
  fontSize: '0.8rem',
  textAlign: 'right',
  pr: 1,
  alignSelf: 'stretch',
  display: 'flex',
  alignItems: 'center',
  justifyContent: 'flex-end',
  cursor: 'grab',
  touchAction: 'none',
  userSelect: 'none',
  '&:hover': { color: 'text.primary', fontWeight: 700 },
} as const;
const rowField = {
  display: 'block',
  '& input': {
    height: 'auto',
    minHeight: 36,
    '@media (pointer: coarse)': { minHeight: 44 },
    py: 0,
    px: 0.5,
    outlineOffset: '-3px',
  },
} as const;
const stageField = { ...rowField, fontWeight: 700, '& input': { ...rowField['& input'], fontWeight: 700 } } as const;
const rowNote = {
  gridColumn: { xs: '2', sm: 'auto' },
  gridRow: { xs: '2', sm: 'auto' },
  fontSize: '0.86rem',
  lineHeight: 1.2,
  minHeight: '1.2em',
  boxSizing: 'content-box',
  color: 'text.secondary',
  pl: { xs: 0.5, sm: 1 },
  pb: { xs: 0.75, sm: 0 },
  // what a cook must check is seen whole; on a phone when its line is gone to, so that nothing moves before
  overflowWrap: 'anywhere',
  whiteSpace: { xs: 'nowrap', sm: 'normal' },
  overflow: { xs: 'hidden', sm: 'visible' },
  textOverflow: 'ellipsis',
  'li:focus-within > &, li:hover > &': { whiteSpace: 'normal', overflow: 'visible' },
} as const;
const longNote = { ...rowNote, gridColumn: '2', gridRow: '2', pl: 0.5, pb: 0.75 } as const;
const longNoteOff = { ...longNote, textDecoration: 'underline wavy', textUnderlineOffset: '4px' } as const;
const rowNoteOff = { ...rowNote, textDecoration: 'underline wavy', textUnderlineOffset: '4px' } as const;
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
const menuButton = {
  font: 'inherit',
  fontWeight: 700,
  minHeight: 36,
  '@media (pointer: coarse)': { minHeight: 44 },
  border: 0,
  bgcolor: 'transparent',
  color: 'text.secondary',
  cursor: 'pointer',
  '&:hover, &:focus-visible': { color: 'text.primary', bgcolor: 'bar.window' },
} as const;
const offers = {
  position: 'absolute',
  zIndex: 3,
  left: 0,
  right: 0,
  top: '100%',
  listStyle: 'none',
  m: 0,
  p: 0,
  bgcolor: 'background.paper',
  border: '2px solid',
  borderColor: 'bar.rule',
} as const;
const offer = {
  px: 1,
  minHeight: 36,
  '@media (pointer: coarse)': { minHeight: 44 },
  display: 'flex',
  alignItems: 'center',
  cursor: 'pointer',
  '&:hover, &[aria-selected="true"]': { bgcolor: 'bar.window', textDecoration: 'underline' },
} as const;
