import type { CSSObject } from '@mui/material/styles';
import { radius, space, TEXT_SCALE, type } from './tokens';

/** A phone, or a window at 200 or 400 %: one column, which the page scrolls. */
const narrow = '@media (max-width: 48rem), (max-height: 30rem)';
/** What is pressed, chosen or open; in forced colors all of it looks so. */
const CHOSEN = [
  '[aria-pressed="true"]',
  '[aria-selected="true"]',
  '[aria-current]',
  '[role="menuitem"][aria-expanded="true"]',
  '.Mui-selected',
];
const chosenWithoutColor = {
  forcedColorAdjust: 'none',
  background: 'Highlight !important',
  color: 'HighlightText !important',
};

/**
 * What holds for every page: the page itself, the frame of the screens, and a few words used everywhere. The words have no
 * weight of their own (`:where`), so that a stylesheet goes before them.
 */
export const globalStyles: CSSObject = {
  '*, *::before, *::after': { boxSizing: 'border-box' },
  'html, body': { height: '100%', margin: 0 },
  html: { textSizeAdjust: '100%' },
  'html[data-text="large"]': { fontSize: `${100 * TEXT_SCALE.large}%` },
  'html[data-text="largest"]': { fontSize: `${100 * TEXT_SCALE.largest}%` },
  body: {
    background: 'var(--desk)',
    color: 'var(--text)',
    overflow: 'hidden',
    fontFamily: 'var(--face-words)',
    fontSize: type(3),
    lineHeight: 1.4,
  },
  ':where(h1, h2, h3, p, ul, ol, dl, dd, figure, fieldset, legend)': { margin: 0, padding: 0 },
  ':where(ul, ol)': { listStyle: 'none' },
  fieldset: { border: 0, minWidth: 0 },
  legend: { fontWeight: 700 },
  h1: { fontSize: type(4) },
  h2: { fontSize: type(4) },
  h3: { fontSize: type(3) },
  small: { fontSize: type(2) },
  a: { color: 'inherit' },
  'button, input': { font: 'inherit', color: 'inherit' },
  ':focus-visible': { outline: '3px solid var(--focus)', outlineOffset: 2 },
  ':where(.hidden)': {
    position: 'absolute',
    width: 1,
    height: 1,
    overflow: 'hidden',
    clipPath: 'inset(50%)',
    whiteSpace: 'nowrap',
  },
  ':where(.soft)': { color: 'var(--soft)' },
  ':where(.small)': { fontSize: type(2) },
  ':where(.push)': { flex: 1 },
  ':where(.problem)': { color: 'var(--wrong)' },
  ':where(.empty)': { padding: space(5), textAlign: 'center', color: 'var(--soft)' },
  ':where(.card)': { background: 'var(--card)', borderRadius: radius(3), boxShadow: '0 1px 2px var(--shade)' },
  ':where(.pin)': { flex: 'none', display: 'block' },
  ':where(.keys)': { fontFamily: 'var(--face-keys)' },
  ':where(.row)': { display: 'flex', alignItems: 'center' },
  ':where(.column)': { flexDirection: 'column' },
  ':where(.row-wraps)': { flexWrap: 'wrap' },
  ':where(.row-apart)': { justifyContent: 'space-between' },
  ':where(.ruled > li)': { padding: space(2, 0), borderBottom: '1px solid var(--line-soft)' },
  ':where(.scrolls)': { position: 'relative', minHeight: 0, overflow: 'auto' },
  ':where(.chords)': { display: 'inline-flex', flexWrap: 'wrap', alignItems: 'center', gap: space(1) },

  '.shell': { display: 'grid', gridTemplateColumns: '4.6rem minmax(0, 1fr)', height: '100vh' },
  '.rail': {
    background: 'var(--rail)',
    color: 'var(--on-rail)',
    display: 'flex',
    flexDirection: 'column',
    alignItems: 'center',
    gap: space(1),
    padding: space(3, 1),
    overflowY: 'auto',
    '& a, & button': {
      width: '4.2rem',
      padding: space(2, 0, 1),
      borderRadius: radius(2),
      color: 'inherit',
      textDecoration: 'none',
      display: 'flex',
      flexDirection: 'column',
      alignItems: 'center',
      gap: space(1),
      fontSize: type(2),
      fontWeight: 400,
      lineHeight: 1.3,
      '&:hover': { background: 'color-mix(in srgb, var(--on-rail), transparent 86%)', textDecoration: 'none' },
    },
    '& a[aria-current="page"]': { background: 'var(--on-rail)', color: 'var(--rail)' },
    '& :focus-visible': { outlineColor: 'var(--on-rail)' },
  },
  '.screen': {
    display: 'grid',
    gridTemplateRows: 'minmax(3.25rem, auto) minmax(0, 1fr)',
    minWidth: 0,
    height: '100vh',
  },
  '.bar': {
    background: 'var(--bar)',
    borderBottom: '1px solid var(--line)',
    display: 'flex',
    flexWrap: 'wrap',
    alignItems: 'center',
    // What takes a second row stands at its end, below the other buttons.
    justifyContent: 'flex-end',
    gap: space(1, 3),
    padding: space(1, 4),
    minWidth: 0,
    '& > *': { maxWidth: '100%' },
    '& > :only-child': { marginRight: 'auto' },
  },

  [narrow]: {
    'html, body': { height: 'auto' },
    body: { overflow: 'auto' },
    '.shell, .screen': { display: 'block', height: 'auto' },
    '.rail': {
      flexDirection: 'row',
      padding: space(1),
      overflowX: 'auto',
      '& .mark, & .push': { display: 'none' },
      '& a, & button': { flex: 'none' },
    },
    '.bar': { justifyContent: 'flex-start', '& .push': { display: 'none' } },
    '.panes': {
      display: 'flex !important',
      flexDirection: 'column',
      height: 'auto !important',
      minHeight: '0 !important',
      overflow: 'visible !important',
      '& > *': { flex: 'none !important', minHeight: '0 !important' },
    },
    ':where(.panes > *)': { minWidth: 0 },
    '.first': { order: -1 },
    '.panes .scrolls': { maxHeight: '75vh', overflow: 'auto' },
    '.wraps': { display: 'flex !important', flexWrap: 'wrap' },
  },
  '@media (prefers-reduced-motion: reduce)': {
    '*, *::before, *::after': { animation: 'none !important', transition: 'none !important' },
  },
  '@media (forced-colors: active)': {
    [CHOSEN.join()]: chosenWithoutColor,
    [CHOSEN.map((one) => `${one} *`).join()]: { color: 'HighlightText !important' },
  },
  '@media print': {
    'html, body': { overflow: 'visible', background: '#fff', height: 'auto' },
    '.rail, .bar, .no-print': { display: 'none !important' },
    '.shell, .screen': { display: 'block', height: 'auto' },
  },
};
