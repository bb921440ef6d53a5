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
