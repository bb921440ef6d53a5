import type { Components, CssVarsTheme, Theme } from '@mui/material';

const coarse = '@media (pointer: coarse)';
/** High enough for a mouse, higher for a thumb. */
const reach = { minHeight: 40, [coarse]: { minHeight: 44 } } as const;

/** MUI's controls in the house's look: the one place where they get it. */
export const controls: Components<Omit<Theme, 'components' | 'palette'> & CssVarsTheme> = {
  MuiCssBaseline: {
    styleOverrides: {
      '@keyframes mui-auto-fill': { from: { display: 'block' } },
      '@keyframes mui-auto-fill-cancel': { from: { display: 'block' } },
      // what comes later must not make the page narrower
      html: { overflowY: 'scroll' },
      body: { fontVariantNumeric: 'tabular-nums', fontFeatureSettings: '"tnum"' },
      ':focus-visible': { outline: '3px solid currentColor', outlineOffset: '2px' },
      '@media (prefers-reduced-motion: reduce)': {
        '*, *::before, *::after': { transition: 'none !important', animation: 'none !important' },
      },
    },
  },
  MuiButtonBase: {
    defaultProps: { disableRipple: true },
    styleOverrides: { root: { fontFamily: 'inherit', '&.Mui-focusVisible': { outline: '3px solid currentColor' } } },
  },
  MuiButton: {
    defaultProps: { disableElevation: true, color: 'primary' },
    styleOverrides: {
      root: { transition: 'none', ...reach },
      text: ({ theme }) => ({
        minWidth: 44,
        paddingInline: 8,
        color: theme.vars.palette.text.primary,
        '&:hover:not(:disabled)': {
          backgroundColor: 'transparent',
          textDecoration: 'underline',
          textUnderlineOffset: '4px',
        },
        '&.Mui-disabled': { color: theme.vars.palette.text.secondary, opacity: 0.7 },
      }),
      outlined: ({ theme }) => ({
        color: theme.vars.palette.text.primary,
        borderColor: theme.vars.palette.text.secondary,
        '&:hover': { borderColor: theme.vars.palette.text.primary, backgroundColor: theme.vars.palette.bar.track },
      }),
      // for wet fingers at the stove
      sizeLarge: { minHeight: 56, fontSize: '1.1rem' },
    },
  },
  MuiOutlinedInput: {
    styleOverrides: {
      root: ({ theme }) => ({
        ...reach,
        backgroundColor: theme.vars.palette.background.paper,
        '& .MuiOutlinedInput-notchedOutline': { borderColor: theme.vars.palette.text.secondary },
        '&:hover .MuiOutlinedInput-notchedOutline': { borderColor: theme.vars.palette.text.primary },
        '&.Mui-focused .MuiOutlinedInput-notchedOutline': {
          borderColor: theme.vars.palette.bar.rule,
          borderWidth: 3,
        },
      }),
      input: {
        padding: '6px 8px',
        height: 'auto',
        // the frame says where one is
        '&:focus-visible': { outline: 'none' },
        '&::placeholder': { color: 'inherit', opacity: 0.68 },
      },
      multiline: { padding: 0 },
    },
  },
  // once for all fields, not once for each: a sauce of twenty lines has twenty
  MuiInputBase: {
    defaultProps: { disableInjectingGlobalStyles: true },
    styleOverrides: { root: { fontSize: 'inherit', lineHeight: 1.4 } },
  },
  MuiNativeSelect: { styleOverrides: { select: { '&&': { minWidth: 44, paddingRight: 28 } } } },
  MuiCheckbox: {
    defaultProps: { disableRipple: true },
    styleOverrides: {
      root: ({ theme }) => ({
        padding: 9,
        color: theme.vars.palette.text.secondary,
        '&.Mui-checked': { color: theme.vars.palette.primary.main },
      }),
    },
  },
  MuiFormControlLabel: {
    styleOverrides: { root: { marginLeft: -9, minHeight: 44 }, label: { fontSize: 'inherit' } },
  },
  MuiTabs: {
    styleOverrides: {
      root: { minHeight: 44 },
      indicator: ({ theme }) => ({ height: 3, backgroundColor: theme.vars.palette.bar.rule, transition: 'none' }),
    },
  },
  MuiTab: {
    styleOverrides: {
      root: ({ theme }) => ({
        minHeight: 44,
        minWidth: 44,
        padding: '6px 10px',
        fontSize: '1rem',
        color: theme.vars.palette.text.secondary,
        '&:hover, &.Mui-selected': { color: theme.vars.palette.text.primary },
      }),
    },
  },
  MuiToggleButtonGroup: { styleOverrides: { root: { flexWrap: 'wrap' } } },
  MuiToggleButton: {
    styleOverrides: {
      root: ({ theme }) => ({
        ...reach,
        padding: '4px 12px',
        fontSize: 'inherit',
        color: theme.vars.palette.text.secondary,
        borderColor: theme.vars.palette.divider,
        backgroundColor: theme.vars.palette.background.paper,
        '&:hover': { color: theme.vars.palette.text.primary, backgroundColor: theme.vars.palette.bar.track },
        '&.Mui-selected, &.Mui-selected:hover': {
          color: theme.vars.palette.text.primary,
          fontWeight: 700,
          backgroundColor: theme.vars.palette.bar.window,
          boxShadow: 'inset 0 -3px 0 currentColor',
        },
      }),
    },
  },
  MuiChip: {
    styleOverrides: {
      root: ({ theme }) => ({
        borderRadius: 4,
        fontSize: '0.86rem',
        height: 28,
        backgroundColor: 'transparent',
        borderColor: theme.vars.palette.divider,
        color: theme.vars.palette.text.primary,
        [coarse]: { height: 44 },
      }),
    },
  },
  MuiAlert: {
    defaultProps: { variant: 'outlined', icon: false },
    styleOverrides: {
      root: ({ theme }) => ({
        borderWidth: 3,
        borderColor: theme.vars.palette.bar.preview,
        color: theme.vars.palette.text.primary,
        fontSize: '1rem',
        paddingBlock: 4,
      }),
    },
  },
  MuiMenuItem: { styleOverrides: { root: { minHeight: 44 } } },
  MuiDialog: { defaultProps: { transitionDuration: 0 } },
  MuiTooltip: { defaultProps: { arrow: true, enterDelay: 500 } },
};
