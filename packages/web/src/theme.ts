import { createTheme } from '@mui/material/styles';
import type {} from '@mui/x-data-grid/themeAugmentation';

/** Paper, ink and one signal colour. Everything on screen is made of these. */
const INK = {
  bench: '#22272b',
  benchRaised: '#2e3439',
  benchText: '#d9d4c7',
  paper: '#f7f3ea',
  paperDeep: '#eee8da',
  paperLight: '#fffdf8',
  hairline: '#cfc6b2',
  ink: '#1c2226',
  inkSoft: '#565c5e',
  signal: '#b93a10',
  signalPale: '#f6dccb',
} as const;

const SANS = '"Barlow", "Helvetica Neue", Arial, sans-serif';

const MONO = '"JetBrains Mono", Menlo, monospace';
const NARROW = '"Barlow Condensed", "Barlow", Arial, sans-serif';

/** The same for the style sheets of the views, as CSS variables. */
export const TOKENS = {
  ':root': {
    '--bench': INK.bench,
    '--bench-raised': INK.benchRaised,
    '--bench-text': INK.benchText,
    '--paper': INK.paper,
    '--paper-deep': INK.paperDeep,
    '--paper-light': INK.paperLight,
    '--hairline': INK.hairline,
    '--ink': INK.ink,
    '--soft': INK.inkSoft,
    '--signal': INK.signal,
    '--signal-pale': INK.signalPale,
    '--mono': MONO,
    '--narrow': NARROW,
  },
} as const;

export const theme = createTheme({
  palette: {
    mode: 'light',
    primary: { main: INK.ink, contrastText: INK.paper },
    secondary: { main: INK.signal, contrastText: '#ffffff' },
    error: { main: INK.signal },
    background: { default: INK.bench, paper: INK.paper },
    text: { primary: INK.ink, secondary: INK.inkSoft },
    divider: INK.hairline,
  },
  shape: { borderRadius: 3 },
  spacing: 8,
  typography: {
    fontFamily: SANS,
    fontSize: 14,
    button: { textTransform: 'none', fontWeight: 600, letterSpacing: 0 },
  },
  shadows: Array.from({ length: 25 }, () => 'none') as never,
  transitions: { create: () => 'none' },
  components: {
    MuiButtonBase: { defaultProps: { disableRipple: true, disableTouchRipple: true } },
    MuiButton: {
      defaultProps: { disableElevation: true, variant: 'outlined', size: 'small' },
      styleOverrides: {
        root: {
          borderRadius: 3,
          minWidth: 0,
          lineHeight: 1.4,
          '&:focus-visible': { outline: `2px solid ${INK.signal}`, outlineOffset: 1 },
        },
        outlined: { borderColor: INK.ink, '&:hover': { backgroundColor: INK.paperDeep } },
        contained: { '&:hover': { backgroundColor: '#000' } },
      },
    },
    MuiDialog: {
      styleOverrides: { paper: { border: `1px solid ${INK.ink}`, borderRadius: 4, backgroundImage: 'none' } },
    },
    MuiDialogTitle: { styleOverrides: { root: { fontSize: 18, fontWeight: 600, padding: '16px 24px 8px' } } },
    MuiBackdrop: { styleOverrides: { root: { backgroundColor: 'rgba(20,24,27,0.72)' } } },
    MuiTooltip: { styleOverrides: { tooltip: { backgroundColor: INK.ink, fontSize: 13 } } },
    MuiDialogContent: { styleOverrides: { root: { '& a': { color: 'inherit' } } } },
    MuiFormControlLabel: { styleOverrides: { label: { fontSize: 'inherit' } } },
    MuiInputBase: {
      styleOverrides: { input: { '&::placeholder': { color: INK.inkSoft, opacity: 1 } } },
    },
    MuiOutlinedInput: {
      styleOverrides: {
        root: { borderRadius: 3, backgroundColor: INK.paperLight },
        notchedOutline: { borderColor: INK.inkSoft },
      },
    },
    MuiDataGrid: {
      styleOverrides: {
        root: {
          '--DataGrid-containerBackground': INK.paper,
          backgroundColor: INK.paper,
          color: INK.ink,
          font: 'inherit',
          '--DataGrid-rowBorderColor': INK.hairline,
        },
        columnHeader: { fontFamily: NARROW, fontWeight: 600, color: INK.inkSoft },
      },
    },
    MuiSkeleton: {
      defaultProps: { animation: false },
      styleOverrides: { root: { backgroundColor: INK.paperDeep } },
    },
  },
});
