import { createTheme } from '@mui/material';

const body = "'Atkinson Hyperlegible Next Variable', 'Segoe UI', sans-serif";
const display = "'Petrona Variable', Georgia, serif";

declare module '@mui/material/styles' {
  interface Palette {
    bar: {
      track: string;
      window: string;
      windowEdge: string;
      value: string;
      doubt: string;
      preview: string;
      rule: string;
    };
  }
  interface PaletteOptions {
    bar: Palette['bar'];
  }
}

/** Ink on enamel, with one mustard accent: the galley's own look, by day and by night. */
export const theme = createTheme({
  cssVariables: true,
  colorSchemes: {
    light: {
      palette: {
        primary: { main: '#16324a', contrastText: '#ffffff' },
        secondary: { main: '#8a4b00', contrastText: '#ffffff' },
        background: { default: '#eef1ec', paper: '#fbfcf9' },
        text: { primary: '#14222d', secondary: '#475562' },
        divider: '#b9c3bf',
        bar: {
          track: '#dbe2dd',
          window: '#b7d0d4',
          windowEdge: '#2f6470',
          value: '#14222d',
          doubt: '#5b6873',
          preview: '#a34d00',
          rule: '#14222d',
        },
      },
    },
    dark: {
      palette: {
        primary: { main: '#f2c14e', contrastText: '#17222b' },
        secondary: { main: '#ffb35c', contrastText: '#17222b' },
        background: { default: '#121b22', paper: '#1a262f' },
        text: { primary: '#eef1ea', secondary: '#b4c0c6' },
        divider: '#41525e',
        bar: {
          track: '#2b3a45',
          window: '#2f5660',
          windowEdge: '#8fc7d0',
          value: '#f5f3ea',
          doubt: '#aab8bf',
          preview: '#ffb35c',
          rule: '#eef1ea',
        },
      },
    },
  },
  shape: { borderRadius: 3 },
  typography: {
    fontFamily: body,
    fontSize: 15,
    h1: { fontFamily: display, fontWeight: 600, fontSize: '1.9rem', lineHeight: 1.15 },
    h2: { fontFamily: display, fontWeight: 600, fontSize: '1.25rem', lineHeight: 1.2 },
    h3: { fontFamily: display, fontWeight: 600, fontSize: '1.05rem' },
    button: { textTransform: 'none', fontWeight: 600, fontSize: '0.95rem' },
  },
  components: {
    MuiCssBaseline: {
      styleOverrides: {
        body: { fontVariantNumeric: 'tabular-nums', fontFeatureSettings: '"tnum"' },
        ':focus-visible': { outline: '3px solid currentColor', outlineOffset: '2px' },
        '@media (prefers-reduced-motion: reduce)': {
          '*': { transition: 'none !important', animation: 'none !important' },
        },
      },
    },
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiButton: {
      defaultProps: { disableElevation: true },
      styleOverrides: { root: { transition: 'none', minHeight: 40, '@media (pointer: coarse)': { minHeight: 44 } } },
    },
  },
});

export const displayFont = display;
