/** Where the halves of the bench stand, on a wide screen and on a phone. */
/** The bars stay in view while a panel below them is read. */
export const barsPlace = {
  order: 1,
  position: { md: 'sticky' },
  top: 0,
  zIndex: 2,
  bgcolor: 'background.default',
  pb: 0.5,
} as const;
/** What is gone to by key or link does not end up under the bars. */
export const underTheBars = { html: { '@media (min-width: 900px)': { scrollPaddingTop: 410 } } } as const;
/** With a tool open it gives way. */
export const goneLine = { display: 'none' } as const;
export const makersLine = { fontSize: '0.88rem', minHeight: '1.4em', color: 'text.secondary' } as const;
/** On a narrow screen the bars are below the lines: their small mark stays in view. */
export const pinned = {
  display: { xs: 'block', md: 'none' },
  position: 'fixed',
  top: 0,
  left: 0,
  right: 0,
  zIndex: 4,
  bgcolor: 'background.default',
  borderBottom: '1px solid',
  borderColor: 'divider',
  px: 1.5,
} as const;
export const hidden = {
  position: 'absolute',
  width: '1px',
  height: '1px',
  overflow: 'hidden',
  clipPath: 'inset(50%)',
} as const;
