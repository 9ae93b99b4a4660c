'use client';

import { useState } from 'react';
import { type Command, type Context, KINDS, type Kind } from '@/core/program/program';
import { slugs } from '@/core/text/slug';
import type { Step } from './Allows';
import styles from './allows.module.css';
import { PlaceSelect } from './PlaceSelect';

/** A command of one's own: a script, a plug-in, a value to set. */
export function AddCommand({
  commands,
  contexts,
  step,
}: {
  commands: readonly Command[];
  contexts: readonly Context[];
  step: Step;
}) {
  const [name, setName] = useState('');
  const [menu, setMenu] = useState('Scripts');
  const [kind, setKind] = useState<Kind>('script');
  const [context, setContext] = useState(contexts.find((one) => one.parent === null)?.id ?? '');
  return (
    <section className="card" aria-labelledby="add">
      <h2 id="add">Add a command by hand</h2>
      <p className="soft">A script of yours, a plug-in, a value to set.</p>
      <form
        className={styles.addForm}
        onSubmit={(event) => {
          event.preventDefault();
          if (name.trim() === '') return;
          const path = menu
            .split(/[›>/]/)
            .map((one) => one.trim())
            .filter((one) => one !== '');
          const id = slugs(commands.map((one) => one.id))(name.trim(), ...[...path].reverse());
          const made: Command = { id, name: name.trim(), kind, path, context };
          // It stands after the last command of its menu.
          const last = commands.findLastIndex((one) => one.path[0] === path[0]);
          const at = last < 0 ? commands.length : last + 1;
          void step(`Added: ${made.name}`, { commands: [...commands.slice(0, at), made, ...commands.slice(at)] }).then(
            (done) => done && setName(''),
          );
        }}
      >
        <label>
          Name
          <input
            className={styles.field}
            value={name}
            maxLength={120}
            onChange={(event) => setName(event.target.value)}
          />
        </label>
        <label>
          Menu
          <input className={styles.field} value={menu} onChange={(event) => setMenu(event.target.value)} />
        </label>
        <label>
          Kind
          <select className={styles.field} value={kind} onChange={(event) => setKind(event.target.value as Kind)}>
            {KINDS.map((one) => (
              <option key={one}>{one}</option>
            ))}
          </select>
        </label>
        <div>
          Listened for
          <PlaceSelect label="Listened for" contexts={contexts} value={context} onChange={setContext} />
        </div>
        <button type="submit" className="chip">
          Add the command
        </button>
      </form>
    </section>
  );
}
