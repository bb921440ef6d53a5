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
  '&::placeholder': { color: 'text.secondary', opacity: 1 },
} as const;
