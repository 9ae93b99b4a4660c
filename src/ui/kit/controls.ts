import type { Components, Theme } from '@mui/material/styles';
import { radius, space, type } from './tokens';

const chosen = { background: 'var(--dark)', color: 'var(--on-dark)' };
const off = { color: 'var(--soft)', textDecoration: 'none', fontWeight: 400, cursor: 'default' };

/** Buttons, fields and what is chosen by, in our look. */
export const controls: Components<Theme> = {
  // What is pressed looks so at once: a color that fades in keeps the page busy while it answers.
  MuiButtonBase: {
    defaultProps: { disableRipple: true },
    styleOverrides: { root: { transition: 'none !important' } },
  },
  MuiButton: {
    defaultProps: { disableElevation: true, size: 'small' },
    styleOverrides: {
      root: { padding: space(1, 3), minWidth: 0, fontSize: type(3), lineHeight: 1.45, borderRadius: radius(2) },
      startIcon: { marginLeft: 0, marginRight: space(1) },
      endIcon: { marginRight: 0, marginLeft: space(1) },
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
          '&[aria-pressed="true"]': chosen,
        },
      },
      {
        props: { variant: 'text' },
        style: {
          padding: space(1, 2),
          color: 'inherit',
          textAlign: 'left',
          textDecoration: 'underline',
          textUnderlineOffset: 3,
          '&:hover': { background: 'var(--card-2)', textDecoration: 'underline' },
          '&.Mui-disabled, &[aria-disabled="true"]': off,
        },
      },
      /** Says which one is shown, and opens the list of others. */
      {
        props: { variant: 'picker' },
        style: {
          padding: space(1, 3),
          border: '1px solid var(--line)',
          background: 'var(--card-2)',
          color: 'var(--text)',
          fontWeight: 400,
          textAlign: 'left',
          '&:hover': { background: 'var(--field)' },
        },
      },
      /** Words within a line that do something. */
      {
        props: { variant: 'inline' },
        style: {
          minHeight: '1.5rem',
          padding: 0,
          color: 'inherit',
          fontSize: 'inherit',
          fontWeight: 400,
          textAlign: 'left',
          textDecoration: 'underline',
          textUnderlineOffset: 2,
          '&:hover': { background: 'none', textDecorationThickness: 2 },
          '&.Mui-disabled, &[aria-disabled="true"]': off,
        },
      },
      /** A whole line or card that can be chosen. */
      {
        props: { variant: 'line' },
        style: {
          width: '100%',
          minHeight: '1.75rem',
          justifyContent: 'flex-start',
          gap: space(2),
          padding: space(1, 2),
          color: 'inherit',
          textAlign: 'left',
          fontWeight: 400,
          '&:hover': { background: 'var(--card-2)' },
          '&[aria-pressed="true"], &[aria-current]': chosen,
          '&[aria-pressed="true"] *, &[aria-current] *': { color: 'inherit' },
        },
      },
    ],
  },
  MuiIconButton: {
    defaultProps: { size: 'small' },
    styleOverrides: {
      root: {
        padding: space(1),
        minWidth: '1.75rem',
        minHeight: '1.75rem',
        color: 'inherit',
        fontSize: type(4),
        borderRadius: radius(2),
        '&:hover': { background: 'var(--key-dim)', color: 'var(--text)' },
        '&[aria-pressed="true"]': chosen,
        '&[aria-disabled="true"]': { color: 'var(--soft)', cursor: 'default' },
      },
    },
  },
  MuiToggleButtonGroup: {
    defaultProps: { size: 'small' },
    styleOverrides: {
      root: {
        background: 'var(--field)',
        borderRadius: radius(2),
        '&:not(.MuiToggleButtonGroup-fullWidth)': { flexWrap: 'wrap' },
      },
    },
  },
  MuiToggleButton: {
    styleOverrides: {
      root: {
        padding: space(1, 2),
        minHeight: '1.75rem',
        color: 'var(--text)',
        borderColor: 'var(--line)',
        borderRadius: radius(2),
        textTransform: 'none',
        fontWeight: 400,
        lineHeight: 1.25,
        fontSize: type(3),
        '&:hover': { background: 'var(--card-2)' },
        '&.Mui-selected, &.Mui-selected:hover': chosen,
      },
    },
  },
  MuiChip: {
    styleOverrides: {
      root: {
        height: 'auto',
        minHeight: '1.5rem',
        background: 'var(--card-2)',
        color: 'var(--text)',
        border: '1px solid var(--line)',
        borderRadius: radius(2),
        fontSize: type(2),
        '&&:hover, &&.Mui-focusVisible': { background: 'var(--field)' },
        '&&[aria-pressed="true"]': { ...chosen, borderColor: 'var(--dark)' },
      },
      label: { padding: space(0, 2), whiteSpace: 'normal' },
    },
    variants: [
      {
        // How something stands.
        props: { color: 'primary' },
        style: { borderColor: 'var(--yours)', background: 'var(--yours-wash)', color: 'var(--yours-deep)' },
      },
    ],
  },
  MuiCheckbox: { defaultProps: { size: 'small' }, styleOverrides: { root: tick() } },
  MuiRadio: { defaultProps: { size: 'small' }, styleOverrides: { root: tick() } },
  MuiSwitch: { defaultProps: { size: 'small' } },
  MuiFormControlLabel: {
    styleOverrides: {
      root: { margin: 0, gap: space(1), minWidth: 0 },
      label: { fontSize: 'inherit', lineHeight: 1.3, minWidth: 0 },
    },
  },
  MuiFormLabel: {
    styleOverrides: {
      root: {
        color: 'var(--text)',
        fontSize: type(3),
        fontWeight: 700,
        '&.Mui-focused, &.Mui-error, &.Mui-disabled': { color: 'var(--text)' },
      },
    },
  },
  // Labels stand above their fields.
  MuiInputLabel: {
    // It stands above its field, also where that is empty: what the field is like may be told in it.
    defaultProps: { shrink: true },
    styleOverrides: {
      root: { position: 'static', transform: 'none', maxWidth: 'none', marginBottom: space(1), whiteSpace: 'normal' },
    },
  },
  MuiTextField: { defaultProps: { size: 'small' } },
  MuiOutlinedInput: {
    defaultProps: { notched: false },
    styleOverrides: {
      root: {
        borderRadius: radius(2),
        '&:hover .MuiOutlinedInput-notchedOutline': { borderColor: 'var(--text)' },
        '&.Mui-focused .MuiOutlinedInput-notchedOutline': { borderColor: 'var(--focus)' },
        '&.Mui-error .MuiOutlinedInput-notchedOutline': { borderColor: 'var(--wrong)' },
      },
      notchedOutline: { borderColor: 'var(--line)', top: 0, '& legend': { display: 'none' } },
      input: { padding: space(1, 2), height: 'auto', lineHeight: 1.45 },
      multiline: { padding: space(2) },
    },
  },
  MuiInputBase: {
    // Nothing here is filled in by a browser.
    defaultProps: { disableInjectingGlobalStyles: true },
    styleOverrides: {
      root: { color: 'var(--text)', background: 'var(--field)', fontSize: type(3) },
      input: { '&::placeholder': { color: 'var(--soft)', opacity: 1 } },
    },
  },
  MuiNativeSelect: { styleOverrides: { select: { '& option': { background: 'var(--field)', color: 'var(--text)' } } } },
  MuiFormHelperText: {
    styleOverrides: {
      root: { margin: 0, marginTop: space(1), color: 'var(--soft)', '&.Mui-error': { color: 'var(--wrong)' } },
    },
  },
  MuiSlider: { defaultProps: { size: 'small' }, styleOverrides: { root: { color: 'var(--yours)' } } },
  MuiLinearProgress: {
    styleOverrides: {
      root: { height: 8, borderRadius: radius(1), background: 'var(--card-2)', border: '1px solid var(--line)' },
      bar: { background: 'var(--yours)' },
    },
  },
};

function tick() {
  return { padding: 0, color: 'var(--soft)', '&.Mui-checked, &.MuiCheckbox-indeterminate': { color: 'var(--yours)' } };
}
