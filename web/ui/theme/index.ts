import { createTheme } from '@mui/material';
import { controls } from './controls';
import { dark, light } from './palette';

const body = "'Atkinson Hyperlegible Next Variable', 'Segoe UI', sans-serif";
/** For names, and for figures at display sizes: its nought has no slash. */
export const displayFont = "'Petrona Variable', Georgia, serif";

/** The one home of colour, type, shape, density and motion. */
export const theme = createTheme({
  cssVariables: true,
  colorSchemes: { light: { palette: light }, dark: { palette: dark } },
  shape: { borderRadius: 4 },
  typography: {
    fontFamily: body,
    fontSize: 15,
    h1: { fontFamily: displayFont, fontWeight: 600, fontSize: '1.9rem', lineHeight: 1.15 },
    h2: { fontFamily: displayFont, fontWeight: 600, fontSize: '1.25rem', lineHeight: 1.2 },
    h3: { fontFamily: displayFont, fontWeight: 600, fontSize: '1.05rem' },
    button: { textTransform: 'none', fontWeight: 600, fontSize: '0.95rem' },
  },
  components: controls,
});
