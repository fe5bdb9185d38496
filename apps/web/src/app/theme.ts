import '@fontsource-variable/atkinson-hyperlegible-mono';
import '@fontsource-variable/atkinson-hyperlegible-next';
import { createTheme, type Theme } from '@mui/material/styles';
import { DAY, LAMP, type Tokens } from './tokens';

declare module '@mui/material/styles' {
  interface Palette {
    readonly tokens: Tokens;
  }
  interface PaletteOptions {
    readonly tokens?: Tokens;
  }
}

const TEXT_FACE = "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif";
/** Tables of figures. */
export const FIGURE_FACE = "'Atkinson Hyperlegible Mono Variable', ui-monospace, monospace";

/** Smallest side of anything a finger must hit. */
const TOUCH_PX = 44;

/** Builds the MUI theme for day or lamp. */
export function themeFor(mode: 'day' | 'lamp'): Theme {
  const t = mode === 'day' ? DAY : LAMP;
  return createTheme({
    palette: {
      mode: mode === 'day' ? 'light' : 'dark',
      tokens: t,
      primary: { main: t.action, contrastText: mode === 'day' ? '#ffffff' : '#0c1716' },
      secondary: { main: t.glue, contrastText: '#12201f' },
      error: { main: t.fails },
      warning: { main: t.close },
      success: { main: t.holds },
      background: { default: t.paper, paper: t.sheet },
      text: { primary: t.ink, secondary: t.soft },
      divider: t.rule,
    },
    shape: { borderRadius: 3 },
    typography: {
      fontFamily: TEXT_FACE,
      fontSize: 15,
      h1: { fontSize: '1.375rem', fontWeight: 700, lineHeight: 1.25 },
      h2: { fontSize: '1.125rem', fontWeight: 700, lineHeight: 1.3 },
      h3: { fontSize: '1rem', fontWeight: 700, lineHeight: 1.35 },
      body1: { fontSize: '1rem', lineHeight: 1.45 },
      body2: { fontSize: '0.9375rem', lineHeight: 1.4 },
      caption: { fontSize: '0.875rem', lineHeight: 1.35 },
      button: { textTransform: 'none', fontWeight: 600, fontSize: '0.9375rem' },
    },
    components: {
      MuiCssBaseline: {
        styleOverrides: {
          body: { fontVariantNumeric: 'tabular-nums' },
          '@media print': { body: { background: '#fff' } },
          // Ripples, sheets and dragged rows too: whoever asks for rest sees the end of a movement at once.
          '@media (prefers-reduced-motion: reduce)': {
            '*, *::before, *::after': {
              animationDuration: '0.01ms !important',
              animationIterationCount: '1 !important',
              transitionDuration: '0.01ms !important',
              scrollBehavior: 'auto !important',
            },
          },
        },
      },
      MuiPaper: { defaultProps: { elevation: 0 } },
      MuiButton: {
        defaultProps: { disableElevation: true },
        styleOverrides: { root: { minHeight: TOUCH_PX } },
      },
      MuiIconButton: { styleOverrides: { root: { minWidth: TOUCH_PX, minHeight: TOUCH_PX } } },
      // Many words run on in a second row, each with its edges whole.
      MuiToggleButtonGroup: {
        styleOverrides: {
          root: { flexWrap: 'wrap', rowGap: 4 },
          middleButton: { borderLeft: `1px solid ${t.rule}` },
          lastButton: { borderLeft: `1px solid ${t.rule}` },
        },
      },
      MuiToggleButton: {
        styleOverrides: {
          root: {
            minHeight: TOUCH_PX,
            color: t.ink,
            '&.Mui-selected': { backgroundColor: t.actionTint, color: t.ink },
          },
        },
      },
      MuiSelect: {
        styleOverrides: {
          select: {
            display: 'flex',
            alignItems: 'center',
            boxSizing: 'border-box',
            '&&': { minHeight: TOUCH_PX, paddingTop: 0, paddingBottom: 0 },
          },
        },
      },
      MuiMenuItem: { styleOverrides: { root: { minHeight: TOUCH_PX } } },
      MuiInputBase: { styleOverrides: { root: { fontSize: '1rem', minHeight: TOUCH_PX } } },
      MuiFormHelperText: { styleOverrides: { root: { fontSize: '0.875rem' } } },
      // A shrunk label is still read at the bench: 14 px instead of the usual 12.
      MuiInputLabel: {
        styleOverrides: {
          root: { fontSize: '1rem' },
          shrink: { transform: 'translate(12px, -10px) scale(0.875)' },
        },
      },
      MuiOutlinedInput: { styleOverrides: { notchedOutline: { '& legend': { fontSize: '0.9em' } } } },
      MuiTableCell: { styleOverrides: { root: { borderColor: t.rule, fontSize: '0.9375rem' } } },
      MuiButtonBase: {
        styleOverrides: {
          root: {
            fontFamily: 'inherit',
            fontSize: '1rem',
            '&.Mui-focusVisible': { outline: `3px solid ${t.glue}`, outlineOffset: 2 },
          },
        },
      },
      MuiTooltip: { styleOverrides: { tooltip: { fontSize: '0.875rem' } } },
    },
  });
}
