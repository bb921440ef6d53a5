interface Bar {
  track: string;
  window: string;
  windowEdge: string;
  value: string;
  doubt: string;
  preview: string;
  rule: string;
}

interface Strip {
  ground: string;
  text: string;
  accent: string;
}

declare module '@mui/material/styles' {
  interface Palette {
    bar: Bar;
    strip: Strip;
  }
  interface PaletteOptions {
    bar: Bar;
    strip: Strip;
  }
}

/** Ink on enamel, with one mustard accent. */
export const light = {
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
  strip: { ground: '#16324a', text: '#f4f3ea', accent: '#f2c14e' },
};

/** Chalk on slate: the accent carries more. */
export const dark = {
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
  strip: { ground: '#0b1217', text: '#eef1ea', accent: '#f2c14e' },
};
