/** The look of everything one types into. */
export const textField = {
  font: 'inherit',
  color: 'text.primary',
  bgcolor: 'background.paper',
  border: '1px solid',
  borderColor: 'text.secondary',
  borderRadius: '3px',
  minHeight: 40,
  '@media (pointer: coarse)': { minHeight: 44 },
  px: 1,
  // the ring must not cover the words above
  '&:focus-visible': { outlineOffset: 0 },
  '&::placeholder': { color: 'text.secondary', opacity: 1 },
} as const;

/** A whole row that can be pressed: what it adds or puts in stands in it. */
export const rowButton = {
  font: 'inherit',
  textAlign: 'left',
  width: '100%',
  minHeight: 44,
  py: 0.6,
  px: 0.5,
  border: 0,
  cursor: 'pointer',
  color: 'text.primary',
  bgcolor: 'transparent',
  '&:hover, &:focus-visible': { bgcolor: 'bar.track' },
} as const;
/** A button for wet fingers at the stove. */
export const bigButton = { minHeight: 56, fontSize: '1.1rem' } as const;

/** A table that is read and not managed. */
export const plainTable = {
  borderCollapse: 'collapse',
  mt: 1,
  fontSize: '0.92rem',
  '& th, & td': {
    textAlign: 'left',
    fontWeight: 400,
    py: 0.5,
    pr: 2,
    borderBottom: '1px solid',
    borderColor: 'divider',
    // what is typed into stands in line with the words beside it
    verticalAlign: 'baseline',
  },
  '& thead th': { color: 'text.secondary', fontWeight: 600, fontSize: '0.85rem' },
} as const;

/** A word that can be pressed, without a box round it. */
export const quietButton = {
  font: 'inherit',
  fontWeight: 600,
  minHeight: 44,
  px: 1,
  border: 0,
  bgcolor: 'transparent',
  color: 'text.primary',
  cursor: 'pointer',
  '&:hover:not(:disabled)': { textDecoration: 'underline', textUnderlineOffset: '4px' },
  '&:disabled': { color: 'text.secondary', cursor: 'default' },
} as const;
