import { LAMP_COLORS } from '../../kit/lamps';

/** The colors of each lamp, by CSS variable. */
export function lampVariables(): ReadonlyMap<string, ReadonlyMap<string, string>> {
  return new Map(
    Object.entries(LAMP_COLORS).map(([lamp, colors]) => [
      lamp,
      new Map(Object.entries(colors).map(([name, color]) => [`--${name}`, color])),
    ]),
  );
}
