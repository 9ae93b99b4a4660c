'use client';

import Stack from '@mui/material/Stack';
import { type Command, pathText, type Rules } from '@/core/program/program';
import { Tick } from '../kit/Tick';
import styles from './allows.module.css';

/** The areas whose commands take turns on a key. */
export function Turns({
  commands,
  rules,
  onChange,
}: {
  commands: readonly Command[];
  rules: Rules;
  onChange: (turns: Rules['turns']) => void;
}) {
  const areas = new Map<string, readonly string[]>();
  for (const { path } of commands)
    for (let length = 1; length <= Math.min(2, path.length); length++)
      areas.set(pathText(path.slice(0, length)), path.slice(0, length));
  const on = new Set(rules.turns.map(pathText));
  const listed = [...areas].sort(([a], [b]) => Number(on.has(b)) - Number(on.has(a)));
  return (
    <Stack component="section" spacing={2} className="card" aria-labelledby="turns">
      <h2 id="turns">Taking turns</h2>
      <p className="soft">Commands of these areas may share a key: each press moves on to the next.</p>
      <ul className={styles.areas}>
        {listed.map(([words, path]) => (
          <li key={words}>
            <Tick
              checked={on.has(words)}
              onChange={(now) =>
                onChange(now ? [...rules.turns, path] : rules.turns.filter((one) => pathText(one) !== words))
              }
            >
              {words}
            </Tick>
          </li>
        ))}
      </ul>
    </Stack>
  );
}
