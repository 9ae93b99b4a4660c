import Fade from '@mui/material/Fade';
import type { Components, Theme } from '@mui/material/styles';
import { radius, space, type } from './tokens';

/** Lists come where they stay: what grows into place moves away from under the hand that is already pressing. */
const staysInPlace = { defaultProps: { slots: { transition: Fade } } };
const narrow = '@media (max-width: 40rem)';

/** What controls stand on and in, in our look. */
export const surfaces: Components<Theme> = {
  MuiSkeleton: { styleOverrides: { root: { background: 'var(--card-2)' } } },
  MuiPaper: {
    styleOverrides: { root: { background: 'var(--card)', color: 'var(--text)', backgroundImage: 'none' } },
    variants: [
      {
        props: { variant: 'card' },
        style: { borderRadius: radius(3), boxShadow: '0 1px 2px var(--shade)' },
      },
      {
        // The column beside what is worked on.
        props: { variant: 'side' },
        style: {
          position: 'relative',
          minHeight: 0,
          overflowY: 'auto',
          display: 'flex',
          flexDirection: 'column',
          gap: space(3),
          padding: space(4),
          borderRadius: 0,
          background: 'var(--side)',
          borderInline: '1px solid var(--line)',
          // Its words stand at the edge that all words there have.
          '& > .MuiButton-text, & > :not(.row) > .MuiButton-text': {
            alignSelf: 'flex-start',
            marginLeft: 'calc(-1 * var(--space-2))',
          },
        },
      },
    ],
  },
  MuiPopover: staysInPlace,
  MuiMenu: staysInPlace,
  MuiDialog: { styleOverrides: { paper: { borderRadius: radius(3), [narrow]: { margin: space(2) } } } },
  MuiDialogTitle: { styleOverrides: { root: { fontSize: type(4), fontWeight: 700, padding: space(4, 5, 2) } } },
  MuiDialogContent: { styleOverrides: { root: { padding: space(1, 5, 4), [narrow]: { padding: space(1, 3, 3) } } } },
  MuiDialogContentText: { styleOverrides: { root: { color: 'var(--text)' } } },
  MuiDialogActions: { styleOverrides: { root: { padding: space(2, 5, 4), flexWrap: 'wrap' } } },
  MuiMenuItem: {
    styleOverrides: {
      root: {
        fontSize: type(3),
        whiteSpace: 'normal',
        minHeight: '2rem',
        '&.Mui-selected, &.Mui-selected:hover': { background: 'var(--yours-wash)' },
        '&.Mui-focusVisible': { background: 'var(--key-dim)' },
      },
    },
  },
  MuiListSubheader: {
    styleOverrides: { root: { background: 'inherit', color: 'var(--soft)', lineHeight: '2rem', fontWeight: 700 } },
  },
  MuiSnackbarContent: {
    styleOverrides: {
      root: { background: 'var(--dark)', color: 'var(--on-dark)', fontSize: type(3), borderRadius: radius(2) },
    },
  },
  MuiAlert: {
    defaultProps: { icon: false },
    styleOverrides: {
      root: {
        padding: space(1, 3),
        borderRadius: radius(1),
        borderLeft: '4px solid var(--yours)',
        background: 'var(--card)',
        color: 'var(--text)',
        fontSize: type(3),
      },
      message: { padding: space(1, 0) },
      action: { padding: 0, marginRight: 0, alignItems: 'center' },
    },
    variants: [{ props: { severity: 'error' }, style: { borderLeftColor: 'var(--wrong)' } }],
  },
  MuiAccordion: {
    defaultProps: { disableGutters: true, elevation: 0, square: true },
    styleOverrides: { root: { background: 'none', '&::before': { display: 'none' } } },
  },
  MuiAccordionSummary: {
    styleOverrides: {
      root: { padding: 0, minHeight: '1.75rem', fontWeight: 700, flexDirection: 'row-reverse', gap: space(1) },
      content: { margin: 0 },
    },
  },
  MuiAccordionDetails: { styleOverrides: { root: { padding: space(1, 0, 2) } } },
  MuiTable: { defaultProps: { size: 'small' } },
  MuiTableCell: {
    styleOverrides: {
      root: {
        padding: space(1, 3),
        borderBottom: '1px solid var(--line-soft)',
        color: 'inherit',
        fontSize: 'inherit',
        lineHeight: 1.4,
        '* + &': { paddingLeft: 0 },
      },
      head: { color: 'var(--soft)', fontWeight: 400, fontSize: type(2) },
      stickyHeader: { background: 'var(--card-2)' },
    },
  },
  MuiTabs: {
    styleOverrides: { root: { minHeight: 0 }, indicator: { background: 'var(--yours)', height: 3 } },
  },
  MuiTab: {
    styleOverrides: {
      root: {
        minHeight: 0,
        minWidth: 0,
        padding: space(2, 3),
        color: 'var(--text)',
        fontSize: type(3),
        '&.Mui-selected': { color: 'var(--text)', fontWeight: 700 },
      },
    },
  },
  MuiTooltip: {
    styleOverrides: {
      tooltip: {
        background: 'var(--dark)',
        color: 'var(--on-dark)',
        fontSize: type(2),
        fontWeight: 400,
        lineHeight: 1.4,
        maxWidth: '22rem',
        padding: space(1, 2),
        borderRadius: radius(1),
        whiteSpace: 'pre-line',
      },
    },
  },
  MuiLink: { defaultProps: { color: 'inherit' }, styleOverrides: { root: { textDecorationColor: 'currentColor' } } },
  MuiStack: { defaultProps: { useFlexGap: true } },
};
