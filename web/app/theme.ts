import type { SyntheticEvent } from 'react';
import { type Theme, createTheme } from '@mui/material/styles';
import { type Inks, type ThemeName, inks } from './palettes';

declare module '@mui/material/styles' {
  interface Theme {
    inks: Inks;
  }
  interface ThemeOptions {
    inks: Inks;
  }
}

export const serif = '"Fraunces Variable", Georgia, serif';
const sans = '"Atkinson Hyperlegible Next Variable", "Segoe UI", sans-serif';

/** The whole look: thin ink rules instead of shadows, 4 px corners, an 8 px grid, big targets. */
export function makeTheme(name: ThemeName): Theme {
  const c = inks[name];
  const heading = { fontFamily: serif, fontWeight: 600, letterSpacing: '-0.005em', lineHeight: 1.2 };
  return createTheme({
    inks: c,
    palette: {
      mode: name === 'paper' ? 'light' : 'dark',
      primary: { main: c.tide, contrastText: c.paper },
      secondary: { main: c.kelp, contrastText: c.paper },
      error: { main: c.clay, contrastText: c.paper },
      warning: { main: c.ochre, contrastText: c.paper },
      info: { main: c.tide, contrastText: c.paper },
      success: { main: c.kelp, contrastText: c.paper },
      text: { primary: c.ink, secondary: c.slate },
      background: { default: c.paper, paper: c.raised },
      divider: c.rule,
    },
    shape: { borderRadius: 4 },
    spacing: 8,
    typography: {
      fontFamily: sans,
      fontSize: 15,
      h1: { ...heading, fontSize: '1.65rem' },
      h2: { ...heading, fontSize: '1.4rem' },
      h3: { ...heading, fontSize: '1.15rem' },
      body1: { fontSize: '1rem', lineHeight: 1.5 },
      body2: { fontSize: '0.92rem', lineHeight: 1.45 },
      caption: { fontSize: '0.85rem', lineHeight: 1.4 },
      button: { textTransform: 'none', fontWeight: 700, fontSize: '0.95rem' },
    },
    components: {
      MuiCssBaseline: {
        styleOverrides: {
          html: {
            colorScheme: name === 'paper' ? 'light' : 'dark',
            // A white scroll bar beside the water would undo what the red theme spares.
            scrollbarColor: `${c.slate} ${c.paper}`,
          },
          body: { fontVariantNumeric: 'tabular-nums', accentColor: c.tide },
          ':focus-visible': { outline: `3px solid ${c.tide}`, outlineOffset: 2 },
          'h1, h2, h3': { textWrap: 'balance' },
          '@media (prefers-reduced-motion: reduce)': {
            '*, *::before, *::after': {
              animationDuration: '0.01ms !important',
              // None at all: however short one were, it would begin with what was there before, on all that
              // ever changes.
              transition: 'none !important',
            },
          },
          '@media print': {
            body: { background: '#fff' },
            '[data-screen-only]': { display: 'none !important' },
          },
        },
      },
      MuiPaper: { defaultProps: { elevation: 0 }, styleOverrides: { root: { backgroundImage: 'none' } } },
      MuiButtonBase: {
        defaultProps: { disableRipple: true },
        styleOverrides: {
          root: {
            fontFamily: sans,
            // The library takes the outline away, since its ripple shows the focus; here is none. Of a box or
            // a switch the input within has it.
            '&:focus-visible, &:has(:focus-visible)': {
              outline: `3px solid ${c.tide}`,
              outlineOffset: 2,
              zIndex: 1,
            },
          },
        },
      },
      MuiButton: {
        defaultProps: { disableElevation: true },
        styleOverrides: {
          root: {
            minHeight: 44,
            paddingInline: 16,
            variants: [
              {
                props: { variant: 'contained' },
                style: { background: c.ink, color: c.paper, '&:hover': { background: c.tide } },
              },
              { props: { variant: 'outlined' }, style: { borderColor: c.ink, color: c.ink } },
              { props: { variant: 'text' }, style: { color: c.tide, paddingInline: 8 } },
            ],
          },
        },
      },
      MuiToggleButton: {
        styleOverrides: {
          root: {
            color: c.ink,
            borderColor: c.slate,
            '&.Mui-selected, &.Mui-selected:hover': { background: c.ink, color: c.paper },
          },
        },
      },
      MuiIconButton: { styleOverrides: { root: { color: c.ink, minWidth: 44, minHeight: 44 } } },
      MuiLink: { defaultProps: { underline: 'always' } },
      MuiPopover: { styleOverrides: { paper: { border: `1px solid ${c.ink}`, boxShadow: 'none' } } },
      MuiDialog: { styleOverrides: { paper: { border: `1px solid ${c.ink}`, boxShadow: 'none' } } },
      MuiDialogTitle: { styleOverrides: { root: { ...heading, fontSize: '1.3rem' } } },
      MuiTableCell: {
        styleOverrides: {
          root: { borderColor: c.rule, padding: '8px 12px' },
          head: { color: c.slate, fontWeight: 400 },
        },
      },
      MuiTooltip: {
        styleOverrides: {
          tooltip: { background: c.ink, color: c.paper, fontSize: '0.85rem', borderRadius: 4 },
        },
      },
      MuiOutlinedInput: { styleOverrides: { notchedOutline: { borderColor: c.slate } } },
      // A press that opens a list ends over one of its choices, where the list covers what was pressed: on a
      // busy machine that would choose it. Only a press of its own chooses.
      MuiSelect: {
        defaultProps: {
          MenuProps: {
            slotProps: { list: { onMouseUpCapture: (event: SyntheticEvent) => event.stopPropagation() } },
          },
        },
      },
      MuiMenuItem: { styleOverrides: { root: { minHeight: 44, whiteSpace: 'normal' } } },
      MuiSnackbarContent: { styleOverrides: { root: { background: c.ink, color: c.paper } } },
    },
  });
}
