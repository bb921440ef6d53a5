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

/** Two halves side by side, one below the other on a phone. */
export const halves = {
  display: 'grid',
  gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) minmax(0, 1fr)' },
  columnGap: 4,
  rowGap: { xs: 2, md: 1 },
  pt: 1,
} as const;
