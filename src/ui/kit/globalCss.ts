import { serializeStyles } from '@emotion/serialize';
import { compile, serialize, stringify } from 'stylis';
import { globalStyles } from './globalStyles';
import { theme } from './theme';

/** Variables of MUI that nothing of ours asks for. */
const UNUSED = /^--(?:font|palette-(?:secondary|info|success|warning|grey|[A-Z]))/;
let written: string | null = null;

/** The variables of all lamps and what holds for every page, as the text of one stylesheet. */
export function globalCss(): string {
  const all = [...lampSheets(), globalStyles] as Parameters<typeof serializeStyles>[0];
  written ??= serialize(compile(serializeStyles(all).styles), stringify);
  return written;
}

function lampSheets(): Record<string, Record<string, string>>[] {
  return theme
    .generateStyleSheets()
    .map((sheet) =>
      Object.fromEntries(
        Object.entries(sheet as Record<string, Record<string, string>>).map(([selector, rules]) => [
          selector,
          Object.fromEntries(Object.entries(rules).filter(([name]) => !UNUSED.test(name))),
        ]),
      ),
    );
}
