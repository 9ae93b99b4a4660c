import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import postcss from 'postcss';

/** The colors of each lamp, by variable, as the stylesheet has them; what a lamp doesn't set it has from Studio. */
export function lampVariables(): ReadonlyMap<string, ReadonlyMap<string, string>> {
  const sheet = postcss.parse(readFileSync(join(import.meta.dirname, '../tokens.css'), 'utf8'));
  const usual = new Map<string, string>();
  const lamps = new Map<string, Map<string, string>>();
  sheet.walkRules((rule) => {
    const own = rule.selectors.flatMap((one) => /^\[data-lamp="(\w+)"\]$/.exec(one)?.[1] ?? []);
    const variables = new Map(usual);
    rule.walkDecls(/^--/, ({ prop, value }) => {
      variables.set(prop, value);
      if (rule.selectors.includes(':root')) usual.set(prop, value);
    });
    for (const lamp of own) lamps.set(lamp, variables);
  });
  return lamps;
}
