import { ButtonBase, type ButtonBaseProps, styled } from '@mui/material';

/** A whole row that can be pressed: what it adds or puts in stands in it. */
export const RowButton = styled(ButtonBase)<ButtonBaseProps>(({ theme }) => ({
  display: 'block',
  font: 'inherit',
  textAlign: 'left',
  width: '100%',
  minHeight: 44,
  padding: '5px 4px',
  color: theme.vars?.palette.text.primary,
  '&:hover, &:focus-visible': { backgroundColor: theme.vars?.palette.bar.track },
}));
