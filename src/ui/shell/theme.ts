'use client';

import { createTheme } from '@mui/material/styles';

/** MUI in our look: its colors come from the lamp's own variables, so that a lamp needs no new theme. */
export const theme = createTheme({
  typography: { fontFamily: 'inherit', fontSize: 14, button: { textTransform: 'none', fontWeight: 700 } },
  shape: { borderRadius: 8 },
  palette: { primary: { main: '#0d5c73' }, text: { primary: '#161616' } },
  transitions: {
    duration: { enteringScreen: 150, leavingScreen: 100, shortest: 100, shorter: 120, short: 150, standard: 150 },
  },
  components: {
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiButton: {
      defaultProps: { disableElevation: true, size: 'small' },
      styleOverrides: {
        root: {
          padding: '0.3rem 0.85rem',
          fontSize: '0.84rem',
          lineHeight: 1.45,
          whiteSpace: 'nowrap',
          '&:focus-visible': { outline: '3px solid var(--focus)', outlineOffset: 2 },
        },
      },
      variants: [
        {
          props: { variant: 'contained' },
          style: {
            background: 'var(--yours)',
            color: 'var(--on-yours)',
            '&:hover': { background: 'var(--yours-deep)' },
            '&.Mui-disabled': { background: 'var(--key-dim)', color: 'var(--soft)' },
          },
        },
        {
          props: { variant: 'outlined' },
          style: {
            background: 'var(--card)',
            color: 'var(--text)',
            borderColor: 'var(--text)',
            '&:hover': { background: 'var(--field)', borderColor: 'var(--text)' },
            '&.Mui-disabled': { borderColor: 'var(--line)', color: 'var(--soft)' },
          },
        },
        {
          props: { variant: 'text' },
          style: {
            color: 'var(--text)',
            textDecoration: 'underline',
            textUnderlineOffset: 3,
            '&:hover': { background: 'var(--card-2)' },
          },
        },
      ],
    },
    MuiPaper: {
      styleOverrides: { root: { background: 'var(--card)', color: 'var(--text)', backgroundImage: 'none' } },
    },
    MuiSnackbarContent: {
      styleOverrides: { root: { background: 'var(--dark)', color: 'var(--on-dark)', fontSize: '0.875rem' } },
    },
    MuiDialogTitle: { styleOverrides: { root: { fontSize: '1.05rem', fontWeight: 700, paddingBottom: 8 } } },
    MuiDialogContentText: { styleOverrides: { root: { color: 'var(--text)' } } },
    MuiDialogActions: { styleOverrides: { root: { padding: '8px 24px 18px' } } },
    MuiMenuItem: {
      styleOverrides: {
        root: {
          fontSize: '0.875rem',
          '&.Mui-selected, &.Mui-selected:hover': { background: 'var(--yours-wash)' },
          '&.Mui-focusVisible': { background: 'var(--key-dim)' },
        },
      },
    },
    MuiListSubheader: {
      styleOverrides: { root: { background: 'inherit', color: 'var(--soft)', lineHeight: '2rem', fontWeight: 700 } },
    },
    MuiInputBase: {
      styleOverrides: { root: { color: 'var(--text)', background: 'var(--field)', fontSize: '0.9rem' } },
    },
    MuiInputLabel: { styleOverrides: { root: { color: 'var(--soft)', '&.Mui-focused': { color: 'var(--text)' } } } },
    MuiOutlinedInput: { styleOverrides: { notchedOutline: { borderColor: 'var(--line)' } } },
    MuiFormHelperText: { styleOverrides: { root: { color: 'var(--soft)' } } },
  },
});
