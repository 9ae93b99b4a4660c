import type { Components, Theme } from '@mui/material/styles';
import { controls } from './controls';
import { surfaces } from './surfaces';

/** Every part of MUI that we use, in our look. */
export const components: Components<Theme> = { ...controls, ...surfaces };
