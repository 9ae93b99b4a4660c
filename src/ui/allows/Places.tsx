'use client';

import { useState } from 'react';
import type { Command, Context } from '@/core/program/program';
import { slugs } from '@/core/text/slug';
import type { Step } from './Allows';
import styles from './allows.module.css';
import { PlaceSelect } from './PlaceSelect';

/** The tree of places keys are listened for. */
export function Places({
  contexts,
  commands,
  step,
}: {
  contexts: readonly Context[];
  commands: readonly Command[];
  step: Step;
}) {
  const [name, setName] = useState('');
  const root = contexts.find((one) => one.parent === null);
  const [parent, setParent] = useState(root?.id ?? '');
  const depthOf = (context: Context): number => {
    let depth = 0;
    for (let at = context.parent; at !== null && depth < contexts.length; depth++)
      at = contexts.find((one) => one.id === at)?.parent ?? null;
    return depth;
  };
  const ordered = inTreeOrder(contexts, null);
  const used = new Map<string, number>();
  for (const one of commands) used.set(one.context, (used.get(one.context) ?? 0) + 1);
  return (
    <section className="card" aria-labelledby="places">
      <h2 id="places">Places where keys are listened for</h2>
      <p className="soft">A place lies in another: what is heard everywhere is heard over the canvas, too.</p>
      <ul className={styles.places}>
        {ordered.map((context) => (
          <li key={context.id} style={{ paddingLeft: `${depthOf(context) * 1.2}rem` }}>
            <input
              key={context.name}
              aria-label={`Name of the place ${context.name}`}
              className={styles.field}
              defaultValue={context.name}
              onBlur={(event) => {
                const next = event.target.value.trim();
                if (next !== '' && next !== context.name)
                  void step(`Place renamed: ${next}`, {
                    contexts: contexts.map((one) => (one.id === context.id ? { ...one, name: next } : one)),
                  });
              }}
              onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
            />
            <span className="soft">{used.get(context.id) ?? 0} commands</span>
            {context.parent !== null && !used.has(context.id) && !contexts.some((one) => one.parent === context.id) && (
              <button
                type="button"
                className="word"
                onClick={() =>
                  void step(`Place removed: ${context.name}`, {
                    contexts: contexts.filter((one) => one.id !== context.id),
                  })
                }
              >
                Remove<span className="hidden"> {context.name}</span>
              </button>
            )}
          </li>
        ))}
      </ul>
      <form
        className={styles.row}
        onSubmit={(event) => {
          event.preventDefault();
          if (name.trim() === '') return;
          const id = slugs(contexts.map((one) => one.id))(name.trim());
          void step(`Place added: ${name.trim()}`, { contexts: [...contexts, { id, name: name.trim(), parent }] }).then(
            (done) => done && setName(''),
          );
        }}
      >
        <input
          className={styles.field}
          aria-label="Name of a new place"
          placeholder="in the brush list"
          value={name}
          maxLength={120}
          onChange={(event) => setName(event.target.value)}
        />
        <span>
          in <PlaceSelect label="The place it lies in" contexts={ordered} value={parent} onChange={setParent} />
        </span>
        <button type="submit" className="chip">
          Add a place
        </button>
      </form>
    </section>
  );
}

function inTreeOrder(contexts: readonly Context[], parent: string | null): Context[] {
  return contexts
    .filter((one) => one.parent === parent)
    .flatMap((one) => [
      one,
      ...inTreeOrder(
        contexts.filter((other) => other !== one),
        one.id,
      ),
    ]);
}
