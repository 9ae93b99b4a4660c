import { type CssVarsTheme, createTheme, type Theme } from '@mui/material/styles';
import { components } from './components';
import { LAMP_COLORS } from './lamps';
import { FACE, RADIUS, SPACE, TYPE, type } from './tokens';

type Colors = (typeof LAMP_COLORS)[keyof typeof LAMP_COLORS];

const STUDIO = LAMP_COLORS.studio;
const { palette } = createTheme({ palette: { primary: { main: STUDIO.yours }, error: { main: STUDIO.wrong } } });

/** A lamp as a color scheme: its own variables, and MUI's palette with the same colors in it. */
function schemeOf(colors: Colors, mode: 'light' | 'dark') {
  const one = (main: string, dark: string, contrastText: string) => ({ main, light: main, dark, contrastText });
  return {
    ...colors,
    palette: {
      ...palette,
      mode,
      primary: one(colors.yours, colors['yours-deep'], colors['on-yours']),
      error: one(colors.wrong, colors.wrong, colors.card),
      text: { ...palette.text, primary: colors.text, secondary: colors.soft },
      divider: colors.line,
      background: { default: colors.desk, paper: colors.card },
    },
  };
}

// The colors of the other lamps are in the stylesheet that the server sends; in a browser only their names are needed.
const others = {
  bright: schemeOf(LAMP_COLORS.bright, 'light'),
  dim: schemeOf(LAMP_COLORS.dim, 'dark'),
  contrast: schemeOf(LAMP_COLORS.contrast, 'light'),
};
const text = (size: keyof typeof TYPE) => ({ fontSize: type(size) });
const lifted = '0 3px 12px var(--shade)';

/**
 * MUI in our look. The lamps are its color schemes: what `data-lamp` says on the root chooses among them by CSS variables
 * alone, so that a lamp needs no new theme. Sizes, spaces and radii are the tokens, as variables as well.
 */
export const theme = withoutUnused(
  createTheme({
    cssVariables: { cssVarPrefix: '', colorSchemeSelector: 'data-lamp' },
    colorSchemes: {
      studio: schemeOf(STUDIO, 'light'),
      ...(typeof window === 'undefined' ? others : ({} as typeof others)),
    },
    defaultColorScheme: 'studio',
    type: TYPE,
    space: SPACE,
    radius: RADIUS,
    face: FACE,
    spacing: (n: number) => (n in SPACE ? `var(--space-${n})` : `calc(${n} * var(--space-1))`),
    shape: { borderRadius: RADIUS[2] },
    shadows: ['none', ...Array.from({ length: 24 }, () => lifted)] as Theme['shadows'],
    typography: {
      fontFamily: 'inherit',
      fontSize: 14,
      h1: { ...text(4), fontWeight: 700, lineHeight: 1.3 },
      h2: { ...text(5), fontWeight: 700, lineHeight: 1.2 },
      h3: { ...text(4), fontWeight: 700, lineHeight: 1.25 },
      body1: { ...text(3), lineHeight: 1.4 },
      body2: { ...text(2), lineHeight: 1.4 },
      caption: { ...text(2), lineHeight: 1.4, color: 'var(--soft)' },
      button: { ...text(3), textTransform: 'none', fontWeight: 700, lineHeight: 1.45 },
    },
    transitions: {
      duration: { enteringScreen: 150, leavingScreen: 100, shortest: 100, shorter: 120, short: 150, standard: 150 },
    },
    focusVisible: { outlineWidth: 3, outlineOffset: 2, outlineColor: 'var(--focus)' },
    components,
  }),
);

/** Leaves out MUI's colors that nothing of ours is drawn in: every control looks through what each color makes of it. */
function withoutUnused(all: Theme): Theme & CssVarsTheme {
  const made = all as Theme & CssVarsTheme;
  const unused = ['secondary', 'info', 'success', 'warning'] as const;
  for (const scheme of Object.values(made.colorSchemes))
    for (const color of unused) Reflect.deleteProperty(scheme.palette, color);
  for (const color of unused) Reflect.deleteProperty(made.palette, color);
  return made;
}
