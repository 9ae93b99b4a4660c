import type { LAMP_COLORS } from './lamps';
import type { FACE, RADIUS, SPACE, TYPE } from './tokens';

type Colors = (typeof LAMP_COLORS)['studio'];

declare module '@mui/material/styles' {
  interface ColorSchemeOverrides {
    studio: true;
    bright: true;
    dim: true;
    contrast: true;
    light: false;
    dark: false;
  }
  interface ColorSystemOptions extends Partial<Colors> {}
  interface ThemeOptions {
    type?: typeof TYPE;
    space?: typeof SPACE;
    radius?: typeof RADIUS;
    face?: typeof FACE;
  }
  interface CssVarsThemeOptions {
    type?: typeof TYPE;
    space?: typeof SPACE;
    radius?: typeof RADIUS;
    face?: typeof FACE;
  }
}
declare module '@mui/material/Paper' {
  interface PaperPropsVariantOverrides {
    card: true;
    side: true;
  }
}
declare module '@mui/material/Button' {
  interface ButtonPropsVariantOverrides {
    inline: true;
    picker: true;
    line: true;
  }
}
